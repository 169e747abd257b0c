import type { Model, NodeTie } from '../part';
import { chosenModel } from './part-models';
import type { SpiceModel } from './read-models';

/** A part's model as another text gives it, with what was kept of the join and the nodes that are to be tied again. */
export interface NewVersion {
  model: Model;
  kept: number;
  loose: string[];
}

/**
 * A part's model taken from another text: a new version of its file keeps the ties of nodes that are called and described as
 * they were, and the parameters that there still are. Where nodes have bare numbers and nothing is said of them, a number
 * means what its place says: then ties are kept only where the whole list is as it was. Another model keeps nothing.
 */
export function newVersionOf(current: Model, to: Pick<Model, 'fileName' | 'source' | 'chosen'>): NewVersion {
  if (current.source === to.source && current.chosen === to.chosen) return { model: { ...current, ...to }, kept: 0, loose: [] };
  const [before, after] = [chosenModel(current), chosenModel(to)];
  if (!before || !after || current.chosen !== to.chosen) return { model: { id: current.id, ...to, ties: {} }, kept: 0, loose: [] };
  const same = sameNodes(before, after);
  const loose = new Set<string>();
  let kept = 0;
  const ties = Object.fromEntries(
    Object.entries(current.ties).map(([unit, own]) => {
      const stay = Object.entries(own).filter(([node]) => same.has(node) || !loose.add(node));
      kept += stay.length;
      return [unit, Object.fromEntries(stay) as Record<string, NodeTie>];
    }),
  );
  for (const { name } of after.nodes) if (!before.nodes.some((n) => n.name === name)) loose.add(name);
  const { params, ...rest } = current;
  const known = new Set(after.params.map((p) => p.name.toLowerCase()));
  const set = Object.entries(params ?? {}).filter(([name]) => known.has(name.toLowerCase()));
  return { model: { ...rest, ...to, ties, ...(set.length > 0 ? { params: Object.fromEntries(set) } : {}) }, kept, loose: [...loose] };
}

/** The nodes of a model that are in its new version what they were. */
function sameNodes(before: SpiceModel, after: SpiceModel): Set<string> {
  const list = (model: SpiceModel) => model.nodes.map((n) => n.name).join(' ');
  const isSameList = list(before) === list(after);
  const was = new Map(before.nodes.map((n) => [n.name, n]));
  const plain = (doc: string) => doc.toLowerCase().replace(/\s+/g, ' ').trim();
  const same = after.nodes.filter(({ name, doc }) => {
    const old = was.get(name);
    if (!old || plain(old.doc) !== plain(doc)) return false;
    return isSameList || doc !== '' || !/^\d+$/.test(name);
  });
  return new Set(same.map((n) => n.name));
}
