import type { Part } from '../part';

/** What each kind of edit must answer: the part after it, and a few words for undo's label. */
export interface EditRule<E> {
  apply(part: Part, edit: E): Part;
  describe(edit: E): string;
}

/** An edit that names something the part does not have. It is our own mistake, never the user's. */
export class EditError extends Error {}

/** Replaces the members with the given ids; throws where one is not there. */
export function replaceById<T extends { id: string }>(list: readonly T[], ids: readonly string[], change: (member: T) => T): T[] {
  const wanted = new Set(ids);
  const out = list.map((member) => (wanted.delete(member.id) ? change(member) : member));
  if (wanted.size > 0) throw new EditError(`nothing has the id ${[...wanted].join(', ')}`);
  return out;
}

/** Adds a member, or replaces the one with its id. */
export const putById = <T extends { id: string }>(list: readonly T[], member: T): T[] =>
  list.some((m) => m.id === member.id) ? list.map((m) => (m.id === member.id ? member : m)) : [...list, member];

export const plural = (count: number, noun: string): string => `${count} ${noun}${count === 1 ? '' : 's'}`;
