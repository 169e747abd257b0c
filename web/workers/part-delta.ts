import type { Part } from '../../core/part';

interface Listed {
  id: string;
}

/** A list of things with ids: what is in it now, in its order, and those of them that are new or changed. */
interface ListDelta {
  ids: string[];
  changed: Listed[];
}

/** What has changed in a part since it was last handed over: some of it as a whole, lists by what is new in them. */
export interface PartDelta {
  whole: Partial<Part>;
  lists: Partial<Record<keyof Part, ListDelta>>;
}

const isListed = (value: unknown): value is readonly Listed[] =>
  Array.isArray(value) &&
  value.every((v) => typeof (v as Partial<Listed> | null)?.id === 'string') &&
  new Set(value.map((v: Listed) => v.id)).size === value.length;

/**
 * What must be told of a part to someone who has it as it was before. Edits leave what they do not touch as it is, so a
 * glance at what is the same object finds what is the same: moving a pin tells of one drawing instead of a thousand pins.
 */
export function deltaOf(before: Part, after: Part): PartDelta {
  const delta: PartDelta = { whole: {}, lists: {} };
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof Part>) {
    const [was, is] = [before[key], after[key]];
    if (was === is) continue;
    if (isListed(was) && isListed(is)) {
      const known = new Set<unknown>(was);
      delta.lists[key] = { ids: is.map((v) => v.id), changed: is.filter((v) => !known.has(v)) };
    } else Object.assign(delta.whole, { [key]: is });
  }
  return delta;
}

/** The part as it is now, from the part as it was and what has changed since. */
export function withDelta(before: Part, { whole, lists }: PartDelta): Part {
  const after: Record<string, unknown> = { ...before, ...whole };
  // What was taken away is not there, rather than there and empty.
  for (const [key, value] of Object.entries(whole)) if (value === undefined) delete after[key];
  for (const [key, { ids, changed }] of Object.entries(lists)) {
    const byId = new Map([...(before[key as keyof Part] as unknown as Listed[]), ...changed].map((v) => [v.id, v]));
    after[key] = ids.map((id) => byId.get(id)!);
  }
  return after as Part;
}
