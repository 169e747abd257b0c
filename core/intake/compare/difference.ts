import { terminalsAt, type ElectricalType, type Part } from '../../part';
import { terminalsIn, type Proposal } from '../proposal';

/** A terminal as two sources can be compared by it. */
export interface Listed {
  number: string;
  name: string;
  type: ElectricalType;
  activeLow: boolean;
}

export interface Difference {
  added: string[];
  removed: string[];
  renamed: Change[];
  retyped: Change[];
  /** Names that stand at another number; only names that stand once in both. */
  moved: { name: string; from: string; to: string }[];
  /** Terminals that became active low, or no longer are. */
  levels: Change[];
}

interface Change {
  number: string;
  from: string;
  to: string;
}

/** A source's terminals in one package; in the one in view where none is named. */
export const listedOf = (proposal: Proposal, packageName = proposal.package): Listed[] =>
  terminalsIn(proposal, packageName).map((t) => ({
    number: t.numbers[packageName]!,
    name: t.name,
    type: t.type,
    activeLow: t.activeLow ?? false,
  }));

/** A part's terminals in one package; its first where none is named. */
export function listedOfPart(part: Part, packageName?: string): Listed[] {
  const found = part.packages.find((p) => p.name === packageName) ?? part.packages[0];
  return (found ? terminalsAt(part.pins, found.id) : []).map(({ pad, terminal }) => ({
    number: pad,
    name: terminal.name,
    type: terminal.type,
    activeLow: terminal.activeLow ?? false,
  }));
}

/** What differs between two lists of terminals, number by number in the order of the newer list. */
export function differenceOf(old: readonly Listed[], fresh: readonly Listed[]): Difference {
  const before = new Map(old.map((t) => [t.number, t]));
  const after = new Map(fresh.map((t) => [t.number, t]));
  const both = [...after.values()].flatMap((now) => {
    const then = before.get(now.number);
    return then ? [{ then, now }] : [];
  });
  const [onceBefore, onceAfter] = [once(old), once(fresh)];
  return {
    added: [...after.keys()].filter((n) => !before.has(n)),
    removed: [...before.keys()].filter((n) => !after.has(n)),
    renamed: both.flatMap(({ then, now }) => (then.name === now.name ? [] : [{ number: now.number, from: then.name, to: now.name }])),
    retyped: both.flatMap(({ then, now }) => (then.type === now.type ? [] : [{ number: now.number, from: then.type, to: now.type }])),
    moved: [...onceAfter].flatMap(([name, to]) => {
      const from = onceBefore.get(name);
      return from === undefined || from === to ? [] : [{ name, from, to }];
    }),
    levels: both.flatMap(({ then, now }) =>
      then.activeLow === now.activeLow ? [] : [{ number: now.number, from: levelOf(then), to: levelOf(now) }],
    ),
  };
}

/** The active level in words. */
export const levelOf = (t: { activeLow?: boolean | undefined }): string => (t.activeLow ? 'active low' : 'active high');

/** The texts that stand once in a list. */
export function standOnce(list: readonly string[]): Set<string> {
  const counts = new Map<string, number>();
  for (const text of list) counts.set(text, (counts.get(text) ?? 0) + 1);
  return new Set(list.filter((text) => counts.get(text) === 1));
}

/** Number by name, for names that stand once. */
function once(list: readonly Listed[]): Map<string, string> {
  const names = standOnce(list.map((t) => t.name));
  return new Map(list.filter((t) => names.has(t.name)).map((t) => [t.name, t.number]));
}
