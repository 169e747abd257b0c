// Scores the join against its corpus: `npm run bench:join [-- FILTER…] [--tuned] [--tell]`: nodes and what comments say
// of them, pairs of pins and nodes (a wrong pair is what must never be), trials, pad lists.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { nodeEngine } from '../cli/engine';
import { decodeText } from '../core/intake';
import { readPads } from '../core/lands';
import { sayProblem } from '../core/part';
import { matchPins, readModels, runTrials, type MatchPin, type SpiceModel } from '../core/spice';

const corpus = join(process.cwd(), 'bench/corpus');
const flags = new Set(process.argv.slice(2).filter((a) => a.startsWith('--')));
const filters = process.argv.slice(2).filter((a) => !a.startsWith('--'));

type Kind = 'right' | 'asked' | 'wrong';
type Row = Record<Kind, number>;
const rows = new Map<string, Row>();
const told: string[] = [];

/** Counts one thing that was looked at; what is not right is told with its file. */
function count(what: string, held: boolean, kind: Kind, say: string): void {
  const key = `${what}${held ? ' (held back)' : ''}`;
  const row = rows.get(key) ?? { right: 0, asked: 0, wrong: 0 };
  row[kind]++;
  rows.set(key, row);
  if (kind !== 'right') told.push(`${key}, ${kind}: ${say}`);
}

function truths<T extends { file: string; held: boolean }>(folder: string): T[] {
  return readdirSync(join(corpus, folder))
    .filter((f) => f.endsWith('.truth.json'))
    .map((f) => JSON.parse(readFileSync(join(corpus, folder, f), 'utf8')) as T)
    .filter((t) => filters.length === 0 || filters.some((f) => t.file.includes(f)))
    .filter((t) => !flags.has('--tuned') || !t.held);
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s.,;]+/g, ' ')
    .trim();

type Pins = [number: string, name: string, type: MatchPin['type'], unit: string][];
const pinsOf = (pins: Pins): MatchPin[] =>
  pins.map(([number, name, type, unit]) => ({ number, name, type, unit: unit === '-' ? null : unit }));

interface ModelTruth {
  file: string;
  held: boolean;
  models: { name: string; nodes: [name: string, doc: string][] }[];
  task: { model: string; pins: Pins; pairs: string[]; asks: string[] };
}

function scoreModel(truth: ModelTruth): void {
  const { file, held, models, task } = truth;
  const read = readModels(decodeText(readFileSync(join(corpus, 'models', file))), file);
  const found: SpiceModel[] = read.ok ? read.value.models : [];
  for (const model of models) {
    const own = found.find((m) => m.name === model.name);
    model.nodes.forEach(([name, doc], i) => {
      const node = own?.nodes[i];
      const where = `${file} ${model.name} node ${name}`;
      count('nodes', held, node?.name === name ? 'right' : 'wrong', where);
      const isRight = node !== undefined && plain(node.doc) === plain(doc);
      if (doc !== '' || (node?.doc ?? '') !== '')
        count('node comments', held, isRight ? 'right' : node?.doc === '' ? 'asked' : 'wrong', `${where}: “${node?.doc}”, truth “${doc}”`);
    });
  }
  const chosen = found.find((m) => m.name === task.model);
  if (!chosen) return count('pairs', held, 'wrong', `${file}: ${read.ok ? 'no model' : read.problems.map(sayProblem).join(' ')}`);
  const matching = matchPins(pinsOf(task.pins), chosen.nodes, chosen.endsAlike);
  const made = matching.pairs.map(
    (p) => `${p.unit === null || !task.pairs.some((t) => t.includes(':')) ? '' : `${p.unit}:`}${p.pin}=${p.node}`,
  );
  for (const pair of task.pairs) if (!made.includes(pair)) count('pairs', held, 'asked', `${file}: ${pair} is not proposed`);
  for (const pair of made) count('pairs', held, task.pairs.includes(pair) ? 'right' : 'wrong', `${file}: ${pair} is proposed`);
}

for (const truth of truths<ModelTruth>('models')) scoreModel(truth);

interface PadTruth {
  file: string;
  held: boolean;
  packages?: { name: string; pads: [number: string, x: number, y: number, w: number, h: number, shape: string, drill?: number][] }[];
  refused?: string;
}

for (const { file, held, packages, refused } of truths<PadTruth>('pads')) {
  const read = readPads(decodeText(readFileSync(join(corpus, 'pads', file))), file.replace(/\.\w+$/, ''), file);
  if (refused !== undefined) {
    const says = read.ok ? 'it was taken' : read.problems.map(sayProblem).join(' ');
    count('pad lists', held, new RegExp(refused, 'i').test(says) ? 'right' : 'wrong', `${file}: ${says}`);
    continue;
  }
  const got = read.ok ? read.value.packages.map((p) => [p.name, p.land.pads.map((d) => [d.number, d.x, d.y, d.w, d.h, d.shape, ...(d.drill === undefined ? [] : [d.drill])])]) : []; // prettier-ignore
  const want = (packages ?? []).map((p) => [p.name, p.pads]);
  // To a micron: lengths in inches have no end in millimetres.
  const rounded = (of: unknown) => JSON.stringify(of, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 1000) / 1000 : v));
  const isRight = rounded(got) === rounded(want);
  count(
    'pad lists',
    held,
    isRight ? 'right' : 'wrong',
    `${file}: ${read.ok ? JSON.stringify(got).slice(0, 300) : read.problems.map(sayProblem).join(' ')}`,
  );
}

interface TrialTruth {
  file: string;
  held: boolean;
  model: string;
  device?: SpiceModel['device'];
  pins: Pins;
  map: [pin: string, node: string][];
  verdict: 'pass' | 'fail' | 'inconclusive';
  /** The exchange that alone passes. */
  rejoin?: string[];
}

const engine = nodeEngine();
for (const t of truths<TrialTruth>('trials')) {
  const source = decodeText(readFileSync(join(corpus, 'trials', t.file)));
  const read = readModels(source, t.file);
  const model = read.ok ? read.value.models.find((m) => m.name === t.model) : undefined;
  if (!model) {
    count('trials', t.held, 'wrong', `${t.file}: not read`);
    continue;
  }
  const pins = new Map(pinsOf(t.pins).map((p) => [p.number, p]));
  const joins = model.nodes.map(({ name }) => ({
    node: name,
    pins: t.map.filter(([, node]) => node === name).map(([pin]) => pins.get(pin)!),
    to: 'open' as const,
  }));
  const trials = await runTrials({ unit: null, device: t.device ?? model.device, model, source, joins, params: {} }, engine.simulate);
  const verdict = trials.some((r) => r.verdict === 'fail') ? 'fail' : trials.every((r) => r.verdict === 'pass') ? 'pass' : 'inconclusive';
  const rejoin = trials.find((r) => r.rejoin)?.rejoin;
  const isRight =
    verdict === t.verdict && (t.rejoin === undefined || JSON.stringify(rejoin?.toSorted()) === JSON.stringify(t.rejoin.toSorted()));
  count('trials', t.held, isRight ? 'right' : 'wrong', `${t.file}: ${trials.map((r) => `${r.name} ${r.verdict}: ${r.reason}`).join('; ')}`);
}
engine.close();

if (flags.has('--tell')) console.log(`${told.join('\n')}\n`);
console.log(['what', 'right', 'asked or missing', 'wrong', 'right %'].join('\t'));
for (const [what, { right, asked, wrong }] of rows)
  console.log([what, right, asked, wrong, ((100 * right) / (right + asked + wrong)).toFixed(1)].join('\t'));
