import { boundLabel, compareTerminals, firstPadOrId, padsIn, shortBound, type FrozenPart, type Model, type Pin } from '../part';
import { definedNames } from './defined-names';
import { chosenModel } from './part-models';
import type { SpiceModel } from './read-models';
import { rewriteForBerkeley } from './rewrite';

/**
 * A SPICE library of the part: one subcircuit whose terminals are the part's pins in the order of their numbers and whose
 * calls follow the joined pins, never the models' own order by accident; then the models' sources as they came. Empty where
 * no model is joined.
 */
export function writeSpiceLibrary(part: FrozenPart): string {
  const called = part.models.flatMap((model) => calledModel(model) ?? []);
  if (called.length === 0) return '';
  const names = nodeNames(part);
  const tied = new Set(called.flatMap(({ model }) => [...tiedPins(model)]));
  const pins = part.pins.filter((p) => names.has(p.id) && tied.has(p.id)).sort(byNumber(part));
  const subckt = ownName(part, called.map((c) => c.text).join('\n'));
  const calls = called.flatMap((own, i) =>
    Object.keys(own.model.ties).flatMap((unitId) => call(part, own, unitId, names, i === 0 ? '' : `_${i + 1}`)),
  );
  // Several models of one file bring it once.
  const sources = called.filter(({ text }, i) => called.findIndex((c) => c.text === text) === i);
  return [
    `* ${oneLine(part.name)}: ${oneLine(part.description)}`,
    `* Terminals in the order of their numbers:`,
    ...pins.map((p) => `*   ${names.get(p.id)} = ${oneLine(p.name)}, ${padsIn(p, part.packages[0]?.id).join(' ') || 'no pad'}`),
    `.subckt ${subckt} ${pins.map((p) => names.get(p.id)).join(' ')}`,
    ...calls,
    `.ends ${subckt}`,
    '',
    ...sources.flatMap(({ model, text, rewrites }) => [
      `* Source: ${oneLine(model.fileName)}`,
      ...rewrites.map((r) => `* Rewritten for Berkeley SPICE 3, line ${r.line} of it: ${r.what}`),
      text.replace(/\r\n?/g, '\n').trimEnd(),
      '',
    ]),
  ].join('\n');
}

interface Called {
  model: Model;
  /** The text that is delivered, and the model as it stands in it. */
  text: string;
  written: SpiceModel;
  rewrites: ReturnType<typeof rewriteForBerkeley>['rewrites'];
}

/** A joined model with the text that is delivered for it; undefined where its source no longer has it. */
function calledModel(model: Model): Called | undefined {
  const chosen = chosenModel(model);
  if (!chosen) return undefined;
  const { text, rewrites } = model.berkeley
    ? rewriteForBerkeley(model.source, model.chosen, model.params)
    : { text: model.source, rewrites: [] };
  return { model, text, rewrites, written: chosenModel({ ...model, source: text }) ?? chosen };
}

/** The part's own name, unless the source defines it: a subcircuit that calls itself would never end. */
function ownName(part: FrozenPart, source: string): string {
  const name = clean(part.name);
  const taken = definedNames(source);
  let own = name;
  while (taken.has(own.toLowerCase())) own += '_PART';
  return own;
}

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();
const plainWord = (text: string): string => text.replace(/[^A-Za-z0-9_]+/g, '_');
/** A name that every SPICE takes: it starts with a letter. */
const clean = (name: string): string => plainWord(name).replace(/^(\d)/, 'N$1');

const tiedPins = (model: Model): Set<string> =>
  new Set(Object.values(model.ties).flatMap((ties) => Object.values(ties).flatMap((tie) => ('pin' in tie ? [tie.pin] : []))));

const byNumber = (part: FrozenPart) => (a: Pin, b: Pin) => {
  const number = (p: Pin) => padsIn(p, part.packages[0]?.id)[0] ?? '';
  return compareTerminals(number(a), number(b));
};

/** Node names that every SPICE reads: letters, digits and underscores, P and N for signs, the number where a name stands twice. */
function nodeNames(part: FrozenPart): Map<string, string> {
  const plain = (p: Pin) => clean(p.name.replace(/\+/g, 'P').replace(/[−–-]/g, 'N').replace(/#/g, 'B'));
  const counts = new Map<string, number>();
  for (const p of part.pins) counts.set(plain(p).toLowerCase(), (counts.get(plain(p).toLowerCase()) ?? 0) + 1);
  return new Map(
    part.pins.map((p) => {
      const name = plain(p);
      const twice = counts.get(name.toLowerCase())! > 1;
      return [p.id, twice ? `${name}_${plainWord(firstPadOrId(p, part.packages[0]?.id))}` : name];
    }),
  );
}

/** Berkeley SPICE 3 has no way to leave a node open; a resistance of 1 Gohm to ground keeps the matrix regular. */
const OPEN_OHMS = '1G';

/** The nodes that an instance names: of those that it may leave out, the ones up to the last that is tied. */
function givenNodes(model: SpiceModel, ties: Readonly<Record<string, unknown>>): SpiceModel['nodes'] {
  const last = model.nodes.findLastIndex((n) => n.otherwise === undefined || ties[n.name] !== undefined);
  return model.nodes.slice(0, last + 1);
}

/** An instance of a model in a unit. `suffix` tells those of a part's several models apart. */
function call(part: FrozenPart, { model, written: chosen }: Called, unitId: string, names: Map<string, string>, suffix: string): string[] {
  const ties = model.ties[unitId]!;
  const label = `${shortBound(boundLabel(part, unitId)) || '1'}${suffix}`;
  const extra: string[] = [];
  const nodes = givenNodes(chosen, ties).map(({ name, otherwise }) => {
    const tie = ties[name];
    if (tie && 'pin' in tie) return names.get(tie.pin) ?? '0';
    if (tie?.to === 'ground') return '0';
    if (tie?.to === 'rail') return clean(tie.rail);
    if (tie === undefined && otherwise !== undefined) return otherwise;
    const open = `open_${label}_${plainWord(name)}`;
    extra.push(`R${open} ${open} 0 ${OPEN_OHMS}`);
    return open;
  });
  // A bulk that no pin is joined to lies on the source, as in every three-lead transistor.
  if (chosen.kind === 'model' && nodes.length === 4 && chosen.nodes[3]!.name === 'bulk' && ties['bulk'] === undefined) {
    nodes[3] = nodes[2]!;
    extra.length = 0;
  }
  const params = Object.entries(model.params ?? {})
    .filter(([name]) => chosen.kind === 'model' || chosen.params.some((p) => p.name.toLowerCase() === name.toLowerCase()))
    .map(([k, v]) => ` ${k}=${v}`)
    .join('');
  return [`${chosen.letter}${label} ${nodes.join(' ')} ${chosen.name}${params}`, ...extra];
}
