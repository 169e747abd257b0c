// Makes the weights of core/intake/understand/precedents.json, or of another file, from the labelled terminals: `npm run learn [-- FILE]`.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { evidenceOfCode } from '../core/intake/understand/type-codes';
import { packWeights } from '../core/intake/understand/precedents';
import { traitsOf } from '../core/intake/understand/traits';
import { ELECTRICAL_TYPES, type ElectricalType } from '../core/part';

const FOLDER = 'bench/corpus/terminals';
const weightsFile = process.argv[2] ?? 'core/intake/understand/precedents.json';
const ROUNDS = 150;
const RATE = 0.1;
/** Pulls weights towards 0, so that what was seen once decides little. */
const DECAY = 0.06;

interface Example {
  traits: number[];
  type: number;
}

/** Lines of `name | code | description | type`; those that begin with # are remarks. */
function readTerminals() {
  return readdirSync(FOLDER)
    .filter((f) => f.endsWith('.txt'))
    .sort()
    .flatMap((f) =>
      readFileSync(`${FOLDER}/${f}`, 'utf8')
        .split('\n')
        .map((line, i) => ({ line, at: `${f}:${i + 1}` })),
    )
    .filter(({ line }) => line.trim() !== '' && !line.startsWith('#'))
    .map(({ line, at }) => {
      const [name = '', code = '', description = '', type = ''] = line.split('|').map((cell) => cell.trim());
      const index = ELECTRICAL_TYPES.indexOf(type as ElectricalType);
      if (index < 0) throw new Error(`${at}: “${type}” is no electrical type.`);
      return { name, code, description, type: index };
    });
}

const read = readTerminals().map((t) => ({
  type: t.type,
  traits: [...traitsOf(t.name, evidenceOfCode(t.code, new Map()), t.code !== '', t.description).keys()],
}));
const counts = new Map<string, number>();
for (const { traits } of read) for (const t of traits) counts.set(t, (counts.get(t) ?? 0) + 1);
const kept = [...counts]
  .filter(([, n]) => n > 1)
  .map(([t]) => t)
  .sort();
const indexOf = new Map(kept.map((t, i) => [t, i]));
const examples: Example[] = read.map(({ type, traits }) => ({ type, traits: traits.flatMap((t) => indexOf.get(t) ?? []) }));

/** Multinomial logistic regression, all examples at a time, by Adam: the same examples give the same weights. */
function learn(): Float64Array {
  const types = ELECTRICAL_TYPES.length;
  const [weights, mean, square, slope] = [0, 0, 0, 0].map(() => new Float64Array(kept.length * types)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const shares = new Float64Array(types);
  for (let round = 1; round <= ROUNDS; round++) {
    weights.forEach((w, i) => (slope[i] = DECAY * w));
    for (const { traits, type } of examples) {
      const scale = 1 / Math.sqrt(Math.max(1, traits.length));
      shares.fill(0);
      for (const t of traits) for (let k = 0; k < types; k++) shares[k]! += weights[t * types + k]! * scale;
      const most = Math.max(...shares);
      let whole = 0;
      for (let k = 0; k < types; k++) whole += shares[k] = Math.exp(shares[k]! - most);
      for (const t of traits) for (let k = 0; k < types; k++) slope[t * types + k]! += (shares[k]! / whole - (k === type ? 1 : 0)) * scale;
    }
    for (let i = 0; i < weights.length; i++) {
      mean[i] = 0.9 * mean[i]! + 0.1 * slope[i]!;
      square[i] = 0.999 * square[i]! + 0.001 * slope[i]! ** 2;
      weights[i]! -= (RATE * (mean[i]! / (1 - 0.9 ** round))) / (Math.sqrt(square[i]! / (1 - 0.999 ** round)) + 1e-8);
    }
  }
  return weights;
}

const weights = learn();
const rows = kept.flatMap((trait, i) => {
  const row = packWeights([...weights.subarray(i * ELECTRICAL_TYPES.length, (i + 1) * ELECTRICAL_TYPES.length)]);
  return row === undefined ? [] : [`${JSON.stringify(trait)}:${JSON.stringify(row)}`];
});
writeFileSync(weightsFile, `{\n${rows.join(',\n')}\n}\n`);
console.log(`${examples.length} terminals, ${rows.length} traits of ${counts.size}`);
