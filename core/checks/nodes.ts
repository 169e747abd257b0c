import {
  boundLabel,
  carriesPower,
  groupBy,
  isChannelKey,
  pinsOnNode,
  sayBound,
  WHOLE_PART,
  type Model,
  type NodeTie,
  type Pin,
} from '../part';
import { allRolesOfPin } from '../spice/pin-roles';
import { rolesOf } from '../spice/roles';
import type { ModelNode, SpiceModel } from '../spice';
import { bindingUnits, definedNames, readModels, rewriteForBerkeley, type Construct } from '../spice';
import { pinText, type Facts, type RawFinding, type Rule } from './rule';

interface Slot {
  model: Model;
  chosen: SpiceModel;
  unit: string;
  node: ModelNode;
  tie: NodeTie | undefined;
}

/** Every node of every joined model in every unit that it is bound in. */
function slots({ part, chosen }: Facts): Slot[] {
  return part.models.flatMap((model) => {
    const spice = chosen.get(model.id);
    if (!spice) return [];
    const units = new Set([...bindingUnits(part, spice.nodes.length, model), ...Object.keys(model.ties)]);
    return [...units].flatMap((unit) =>
      spice.nodes.map((node) => ({ model, chosen: spice, unit, node, tie: model.ties[unit]?.[node.name] })),
    );
  });
}

/** Ties under a unit that is gone, or of a model that is bound in the whole part now, or no longer is. */
function tiedUnbound({ part, chosen }: Facts): RawFinding[] {
  return part.models.flatMap((model) => {
    const spice = chosen.get(model.id);
    if (!spice) return [];
    const bound = new Set(bindingUnits(part, spice.nodes.length, model));
    return Object.entries(model.ties).flatMap(([unit, ties]): RawFinding[] => {
      const nodes = Object.keys(ties);
      if (bound.has(unit) || nodes.length === 0) return [];
      const isThere = unit === WHOLE_PART || isChannelKey(unit) || part.units.some((u) => u.id === unit);
      const where = isThere ? `in ${sayBound(boundLabel(part, unit)) || 'the whole part'}` : 'in a unit that is gone';
      const now = bound.has(WHOLE_PART) ? 'in the whole part' : [...bound].some(isChannelKey) ? 'channel by channel' : 'unit by unit';
      return [
        {
          where: { model: model.id },
          message: `${spice.name} is tied ${where}, and is bound ${now}.`,
          mends: [
            {
              label: 'untie it there',
              edit: { kind: 'tieNodes', model: model.id, ties: nodes.map((node) => ({ unit, node, tie: null })) },
            },
          ],
        },
      ];
    });
  });
}

const unitText = ({ part }: Facts, unit: string): string => (unit === WHOLE_PART ? '' : ` in ${sayBound(boundLabel(part, unit))}`);

const tieTo = (s: Slot, to: 'ground' | 'open') => ({
  label: to === 'ground' ? 'tie it to ground' : 'leave it open',
  edit: { kind: 'tieNodes' as const, model: s.model.id, ties: [{ unit: s.unit, node: s.node.name, tie: { to } }] },
});

const at = (s: Slot) => ({ model: s.model.id, node: s.node.name, ...(s.unit === WHOLE_PART ? {} : { unit: s.unit }) });

/** Pins on a node that they cannot be on, with the way to untie them. */
function wronglyTied(facts: Facts, isWrong: (pin: Pin) => boolean, says: (pin: Pin, slot: Slot) => string): RawFinding[] {
  return slots(facts).flatMap((s) =>
    pinsOnNode(s.tie)
      .flatMap((id) => facts.pinById.get(id) ?? [])
      .filter(isWrong)
      .map((pin) => ({
        where: { ...at(s), pin: pin.id },
        message: says(pin, s),
        mends: [
          { label: 'untie it', edit: { kind: 'tieNodes', model: s.model.id, ties: [{ unit: s.unit, node: s.node.name, tie: null }] } },
        ],
      })),
  );
}

/** A pin that stands on two nodes of one instance joins them, which a model does not expect. */
function pinsOnTwoNodes(facts: Facts): RawFinding[] {
  const byPin = new Map<string, Slot[]>();
  for (const s of slots(facts))
    for (const pin of pinsOnNode(s.tie))
      byPin.set(`${s.model.id} ${s.unit} ${pin}`, [...(byPin.get(`${s.model.id} ${s.unit} ${pin}`) ?? []), s]);
  return [...byPin]
    .filter(([, same]) => same.length > 1)
    .map(([key, same]) => {
      const pin = facts.pinById.get(key.split(' ').pop()!);
      return {
        where: { ...at(same[1]!), ...(pin ? { pin: pin.id } : {}) },
        message: `${pin ? pinText(pin) : 'A pin'} is on the nodes ${same.map((s) => s.node.name).join(' and ')}${unitText(facts, same[0]!.unit)}.`,
      };
    });
}

/** Supplies are shared by the models of a part, signals are not. */
function signalsOnTwoModels(facts: Facts): RawFinding[] {
  const tied = slots(facts).flatMap((slot) => pinsOnNode(slot.tie).map((pin) => ({ pin, slot })));
  return [...groupBy(tied, (t) => t.pin)].flatMap(([id, same]) => {
    const pin = facts.pinById.get(id);
    const second = same.find(({ slot }) => slot.model !== same[0]!.slot.model)?.slot;
    if (!pin || !second || carriesPower(pin.type)) return [];
    const names = [...groupBy(same, ({ slot }) => slot.model.id).values()].map(([first]) => first!.slot.chosen.name).join(' and ');
    return [{ where: { ...at(second), pin: id }, message: `${pinText(pin)} is on nodes of ${names}.` }];
  });
}

function namesOfTwoFiles({ part }: Facts): RawFinding[] {
  // Sources are long, and one alone contradicts nobody.
  const models = part.models.filter((m, i) => part.models.findIndex((o) => o.source === m.source) === i);
  if (models.length < 2) return [];
  const first = new Map<string, Model>();
  return models.flatMap((model) => {
    const own = definedNames(model.source);
    const twice = [...own].find((name) => first.has(name));
    const before = twice === undefined ? undefined : first.get(twice);
    for (const name of own) if (!first.has(name)) first.set(name, model);
    return before
      ? [{ where: { model: model.id }, message: `${twice!.toUpperCase()} is defined in ${before.fileName} and in ${model.fileName}.` }]
      : [];
  });
}

/** Units bound to one drawing must have the same port on the same node. */
function unequalTies(facts: Facts): RawFinding[] {
  const portOf = (unit: string, pin: string) => facts.placesOf.get(pin)?.find((p) => p.unit.id === unit)?.port.id;
  const drawingOf = new Map(facts.part.units.map((u) => [u.id, u.drawing]));
  const first = new Map<string, { port: string; unit: string }>();
  const found: RawFinding[] = [];
  for (const s of slots(facts)) {
    const pin = pinsOnNode(s.tie)[0];
    const port = pin === undefined ? undefined : portOf(s.unit, pin);
    if (port === undefined) continue;
    const key = `${s.model.id} ${drawingOf.get(s.unit)} ${s.node.name}`;
    const before = first.get(key);
    if (!before) first.set(key, { port, unit: s.unit });
    else if (before.port !== port)
      found.push({
        where: { ...at(s), pin: pin! },
        message: `Node ${s.node.name} is tied to another place${unitText(facts, s.unit)} than${unitText(facts, before.unit)}.`,
      });
  }
  return found;
}

const isPower = ({ pinById }: Facts, slot: Slot, type: 'ground' | 'supply-in'): boolean =>
  pinsOnNode(slot.tie).some((id) => pinById.get(id)?.type === type);

/** True where the model's text itself names the global ground node. */
const usesGround = (model: Model): boolean => /^\s*[a-z]\S*\s(?:[^*;]*\s)?0\s/im.test(model.source);

const dialectCache = new WeakMap<Model, Construct[]>();

/** Constructs that the export would still have; read once a model, since sources are long. */
function foreignConstructs(model: Model): Construct[] {
  const known = dialectCache.get(model);
  if (known) return known;
  const text = model.berkeley ? rewriteForBerkeley(model.source, model.chosen, model.params).text : model.source;
  const read = readModels(text, model.fileName);
  const found = read.ok ? read.value.dialect : [];
  dialectCache.set(model, found);
  return found;
}

export const nodeRules: Rule[] = [
  {
    id: 'model-gone',
    family: 'nodes',
    severity: 'error',
    title: 'The chosen model is not in its source',
    why: 'The release would call a model that is not delivered.',
    find: ({ part, chosen }) =>
      part.models
        .filter((m) => !chosen.has(m.id))
        .map((m) => ({
          where: { model: m.id },
          message: `${m.fileName} has no model ${m.chosen || '(none chosen)'}.`,
          mends: [{ label: 'remove the model', edit: { kind: 'removeModel', model: m.id } }],
        })),
  },
  {
    id: 'unit-unbound',
    family: 'nodes',
    severity: 'error',
    title: 'A model is tied where it is not bound',
    why: 'The library calls it there too, so that signals run through it twice, or through a unit that is no longer there.',
    find: tiedUnbound,
  },
  {
    id: 'node-untied',
    family: 'nodes',
    severity: 'error',
    title: 'A model node has no pin',
    why: 'The simulation would run with an open terminal, or not at all.',
    find: (facts) =>
      slots(facts)
        .filter((s) => s.tie === undefined && s.node.otherwise === undefined)
        .map((s) => ({
          where: at(s),
          message: `Node ${s.node.name}${s.node.doc ? ` (${s.node.doc})` : ''} of ${s.chosen.name} has no pin${unitText(facts, s.unit)}.`,
          mends: [tieTo(s, 'ground'), tieTo(s, 'open')],
        })),
  },
  {
    id: 'node-no-connect',
    family: 'nodes',
    severity: 'error',
    title: 'A no-connect pin is joined to a node',
    why: 'A pin that ends inside the package cannot drive a model.',
    find: (facts) =>
      wronglyTied(
        facts,
        (pin) => pin.type === 'no-connect',
        (pin, s) => `${pinText(pin)} is not connected inside and is joined to node ${s.node.name}.`,
      ),
  },
  {
    id: 'node-two-signals',
    family: 'nodes',
    severity: 'error',
    title: 'Two pins on one node are not the same signal',
    why: 'The model shorts what the part keeps apart.',
    find: (facts) =>
      slots(facts).flatMap((s) => {
        const pins = pinsOnNode(s.tie).flatMap((id) => facts.pinById.get(id) ?? []);
        const other = pins.find((p) => p.name !== pins[0]!.name);
        return other
          ? [
              {
                where: { ...at(s), pin: other.id },
                message: `${pinText(pins[0]!)} and ${pinText(other)} are on node ${s.node.name} and are not the same signal.`,
              },
            ]
          : [];
      }),
  },
  {
    id: 'pin-two-nodes',
    family: 'nodes',
    severity: 'error',
    title: 'A pin is on two nodes of one model',
    why: 'It joins two terminals of the model that the maker keeps apart.',
    find: pinsOnTwoNodes,
  },
  {
    id: 'pin-two-models',
    family: 'nodes',
    severity: 'warning',
    title: 'A signal is on two models',
    why: 'The release calls both at once: two outputs would drive one pin, and an input is loaded twice.',
    find: signalsOnTwoModels,
  },
  {
    id: 'models-one-name',
    family: 'nodes',
    severity: 'warning',
    title: 'Two model files define one name differently',
    why: 'They are delivered in one library, where a simulator takes one of the two.',
    find: namesOfTwoFiles,
  },
  {
    id: 'ties-unequal',
    family: 'nodes',
    severity: 'error',
    title: 'Equal units are tied to the model differently',
    why: 'One of the channels would simulate another circuit than the others.',
    find: unequalTies,
  },
  {
    id: 'node-role',
    family: 'nodes',
    severity: 'warning',
    title: "A node's comment contradicts the pin's name",
    why: 'Swapped nodes simulate, and give wrong figures for days.',
    find: (facts) =>
      slots(facts).flatMap((s) => {
        const pin = facts.pinById.get(pinsOnNode(s.tie)[0] ?? '');
        if (!pin) return [];
        const [own, said] = [allRolesOfPin(pin), rolesOf(s.node.doc || s.node.name)];
        if (
          own.size === 0 ||
          said.size === 0 ||
          [...own].some((r) => said.has(r)) ||
          !OPPOSED.some(([a, b]) => (own.has(a) && said.has(b)) || (own.has(b) && said.has(a)))
        )
          return [];
        return [
          {
            where: { ...at(s), pin: pin.id },
            message: `${pinText(pin)} is on node ${s.node.name}, of which the model says “${s.node.doc || s.node.name}”.`,
          },
        ];
      }),
  },
  {
    id: 'model-no-ground',
    family: 'nodes',
    severity: 'warning',
    title: 'No node of the model leads to ground',
    why: 'A simulator needs a direct path to ground from every node; without it the matrix is singular.',
    find: (facts) =>
      facts.part.models.flatMap((model) => {
        const own = slots(facts).filter((s) => s.model === model);
        if (own[0]?.chosen.kind !== 'subckt' || !own.some((s) => isPower(facts, s, 'supply-in'))) return [];
        const isGrounded = own.some(
          (s) =>
            isPower(facts, s, 'ground') ||
            (s.tie && 'to' in s.tie && s.tie.to === 'ground') ||
            rolesOf(s.node.doc || s.node.name).has('supply-'),
        );
        return isGrounded || usesGround(model)
          ? []
          : [{ where: { model: model.id }, message: `${model.chosen} has a supply and no node on a ground.` }];
      }),
  },
  {
    id: 'dialect-foreign',
    family: 'nodes',
    severity: 'note',
    title: 'The model has constructs of a dialect',
    why: 'Simulators that keep to Berkeley SPICE 3 will not read it; whoever gets the library should know.',
    find: ({ part }) =>
      part.models.flatMap((model) => {
        const left = foreignConstructs(model);
        if (left.length === 0) return [];
        const named = left.slice(0, 3).map((c) => `${c.construct} (line ${c.lines[0]})`);
        const more = left.length > 3 ? ` and ${left.length - 3} more` : '';
        const canRewrite = !model.berkeley && left.some((c) => c.canRewrite);
        return [
          {
            where: { model: model.id },
            message: `${model.fileName} has what Berkeley SPICE 3 has not: ${named.join(', ')}${more}.`,
            mends: canRewrite
              ? [{ label: 'rewrite on export what can be', edit: { kind: 'setModel' as const, model: { ...model, berkeley: true } } }]
              : [],
          },
        ];
      }),
  },
  {
    id: 'bus-on-node',
    family: 'nodes',
    severity: 'error',
    title: 'A bus is tied to a single node',
    why: 'It stands for as many nets as it has bits, and a node is one of them.',
    find: (facts) =>
      wronglyTied(
        facts,
        (pin) => pin.bits !== undefined,
        (pin, s) =>
          `${pinText(pin)} is ${pin.bits!.length} nets, and on node ${s.node.name} of ${s.chosen.name}${unitText(facts, s.unit)}.`,
      ),
  },
  {
    id: 'pin-without-node',
    family: 'nodes',
    severity: 'note',
    title: 'A signal pin is not in the model',
    why: 'A simulation will not show what happens there.',
    find: (facts) => {
      if (facts.chosen.size === 0) return [];
      const tied = new Set(slots(facts).flatMap((s) => pinsOnNode(s.tie)));
      return facts.part.pins
        .filter(
          (p) =>
            !tied.has(p.id) && ['input', 'output', 'bidirectional', 'three-state', 'open-drain', 'open-source', 'passive'].includes(p.type),
        )
        .map((p) => ({ where: { pin: p.id }, message: `${pinText(p)} is on no node of the model.` }));
    },
  },
];

const OPPOSED: [string, string][] = [
  ['in+', 'in-'],
  ['input', 'output'],
  ['in+', 'output'],
  ['in-', 'output'],
  ['supply+', 'supply-'],
  ['supply+', 'ground'],
  ['supply+', 'input'],
  ['supply+', 'output'],
  ['ground', 'input'],
  ['ground', 'output'],
  ['ground', 'enable'],
  ['enable', 'input'],
  ['enable', 'output'],
  ['anode', 'cathode'],
  ['drain', 'source'],
  ['drain', 'gate'],
  ['gate', 'source'],
  ['collector', 'emitter'],
  ['collector', 'base'],
  ['base', 'emitter'],
];
