import { useEffect, useRef, useState, useSyncExternalStore } from 'react';

/** Something a person can do, from the palette, by a key or by a button: one definition for all three. */
export interface Command {
  id: string;
  title: string;
  /** Written as it is shown: `Ctrl+K`, `N`, `Shift+↑`. */
  key?: string;
  /** The place in the key sheet. */
  group: string;
  /** Answers "can I?" without acting; the palette, the key and the button all ask it. */
  can?: () => boolean;
  run: () => void;
}

/**
 * Commands by the order in which their components came. A component keeps its place when its commands change: what stands
 * inside another one is asked first, whichever of them was drawn last.
 */
const lists = new Map<number, Command[]>();
let nextPlace = 0;
const listeners = new Set<() => void>();
let all: Command[] = [];

function changed() {
  all = [...lists].sort(([a], [b]) => a - b).flatMap(([, commands]) => commands);
  for (const l of listeners) l();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

export const useAllCommands = (): Command[] => useSyncExternalStore(subscribe, () => all);

/** Offers commands while a component stands. They run with the newest closure, so they need no list of dependencies. */
export function useCommands(commands: Command[]): void {
  const newest = useRef(commands);
  const [place] = useState(() => nextPlace++);
  const shape = commands.map((c) => `${c.id} ${c.title} ${c.key ?? ''}`).join('|');
  useEffect(() => {
    newest.current = commands;
  });
  useEffect(() => {
    const at = (id: string) => newest.current.find((c) => c.id === id);
    lists.set(
      place,
      newest.current.map((c) => ({ ...c, can: () => at(c.id)?.can?.() ?? true, run: () => at(c.id)?.run() })),
    );
    changed();
    return () => {
      lists.delete(place);
      changed();
    };
  }, [shape, place]);
}

const NAMES: Record<string, string> = {
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
  ' ': 'Space',
  Delete: 'Del',
};

/** The name of a pressed key, as commands write it. */
export function keyName(e: KeyboardEvent): string {
  const base = NAMES[e.key] ?? (e.key.length === 1 ? e.key.toUpperCase() : e.key);
  const shift = e.shiftKey && (e.key.length > 1 || /[A-Z]/i.test(e.key));
  return [e.ctrlKey || e.metaKey ? 'Ctrl+' : '', e.altKey ? 'Alt+' : '', shift ? 'Shift+' : '', base].join('');
}

/** What the focus is on, for its own keys come first: text has most, a list of choices its letters and arrows, a box only the space. */
function fieldOf(target: EventTarget | null): 'text' | 'list' | 'box' | undefined {
  if (!(target instanceof HTMLElement)) return undefined;
  if (target.tagName === 'SELECT') return 'list';
  const type = target.tagName === 'INPUT' ? (target as HTMLInputElement).type : '';
  if (type === 'checkbox') return 'box';
  if (type === 'radio' || type === 'range') return 'list';
  return target.isContentEditable || /^(INPUT|TEXTAREA)$/.test(target.tagName) ? 'text' : undefined;
}

/** Runs the command of a pressed key. In fields only keys with Ctrl or Alt are commands; in text the web's own editing keys never. */
export function handleKey(e: KeyboardEvent): void {
  if (e.defaultPrevented) return;
  const name = keyName(e);
  const field = fieldOf(e.target);
  if (field === 'box' ? name === 'Space' : field && !/^(Ctrl|Alt)\+/.test(name)) return;
  if (field === 'text' && /^Ctrl\+(Shift\+)?[ZYACVX]$/.test(name)) return;
  const command = [...all].reverse().find((c) => c.key !== undefined && c.key.split(' or ').includes(name) && (c.can?.() ?? true));
  if (!command) return;
  e.preventDefault();
  command.run();
}
