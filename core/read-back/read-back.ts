import { padOwners, pinsOnNode, type Edit, type Model, type Package, type Part, type Pin } from '../part';
import { walkPads } from '../lands';
import { sha256 } from '../release/digest';
import type { SpiceModel } from '../spice';

/** A place to be read back: a pad with its pins, or a node with what it is tied to. */
export interface ReadBackStep {
  place: string;
  pins: Pin[];
  /** What a node is tied to where no pin is. */
  to?: string;
  /** What the model's comments say of a node, and in which line. */
  doc?: string;
  docLine?: number;
  digest: string;
  /** `lapsed`: it was read back, and has changed since. */
  state: 'open' | 'read' | 'lapsed';
}

/** Twelve digits tell a change from none; they are no seal against forging. */
const short = (...what: unknown[]): string => sha256(JSON.stringify(what)).slice(0, 12);
const stateOf = (mark: string | undefined, digest: string): ReadBackStep['state'] =>
  mark === undefined ? 'open' : mark === digest ? 'read' : 'lapsed';

/** The pads of a package in walking order. A mark lapses when the pad's pins, their names or its place in the walk change. */
export function padSteps(part: Part, pkg: Package): ReadBackStep[] {
  const owners = padOwners(part, pkg.id);
  return walkPads(pkg.land.pads).map((place, index) => {
    const pins = owners.get(place) ?? [];
    const digest = short(place, index, pins.map(nameOf));
    return { place, pins, digest, state: stateOf(pkg.readBack?.[place], digest) };
  });
}

const nameOf = (pin: Pin): unknown[] => [pin.name, pin.activeLow ?? false];

/** The nodes of a model in their order, for one unit. A mark lapses when the tie, the pin's name or the comment changes. */
export function nodeSteps(part: Part, model: Model, chosen: SpiceModel, unit: string): ReadBackStep[] {
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  return chosen.nodes.map((node, index) => {
    const tie = model.ties[unit]?.[node.name];
    const pins = pinsOnNode(tie).flatMap((id) => byId.get(id) ?? []);
    const to = tie === undefined ? leftOut(node) : 'pin' in tie ? undefined : tie.to === 'rail' ? `rail ${tie.rail}` : tie.to;
    const digest = short(node.name, index, node.doc, pins.map(nameOf), to ?? '');
    return {
      place: node.name,
      pins,
      ...(to === undefined ? {} : { to }),
      ...(node.doc === '' ? {} : { doc: node.doc }),
      ...(node.docLine === undefined ? {} : { docLine: node.docLine }),
      digest,
      state: stateOf(model.readBack?.[unit]?.[node.name], digest),
    };
  });
}

const leftOut = ({ otherwise }: SpiceModel['nodes'][number]): string =>
  otherwise === undefined ? 'not tied' : `left out, then ${otherwise}`;

/** The edit that marks a step as printed, or takes its mark away. */
export const markEdit = (of: Extract<Edit, { kind: 'markRead' }>['of'], step: ReadBackStep, isRead = true): Edit => ({
  kind: 'markRead',
  of,
  marks: [{ place: step.place, digest: isRead ? step.digest : null }],
});
