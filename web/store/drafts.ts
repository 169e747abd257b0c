import { useState } from 'react';
import { useStore } from '.';

/** What was begun in forms and not taken, by part and form; in the tab's own storage as well, so that a reload keeps it. */
const drafts = new Map<string, unknown>();
const STORED = 'draft ';

function kept(key: string): unknown {
  if (drafts.has(key)) return drafts.get(key);
  try {
    const text = sessionStorage.getItem(STORED + key);
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

function keep(key: string, value: unknown): void {
  if (value === undefined) drafts.delete(key);
  else drafts.set(key, value);
  try {
    sessionStorage.removeItem(STORED + key);
    if (value !== undefined) sessionStorage.setItem(STORED + key, JSON.stringify(value));
  } catch {
    // No room or no leave to store: it stays as long as the page does.
  }
}

/**
 * State of a form of the part in view that stays while the person looks elsewhere, until it is dropped. Its value must be
 * plain data. Give the component a key of its own where the form's name changes.
 */
export function useDraft<T>(form: string, start: () => T): [value: T, set: (next: T) => void, drop: () => void] {
  const key = `${useStore((s) => s.part.id)} ${form}`;
  const [value, setValue] = useState(() => (kept(key) as T | undefined) ?? start());
  const set = (next: T) => {
    setValue(next);
    keep(key, next);
  };
  return [value, set, () => keep(key, undefined)];
}
