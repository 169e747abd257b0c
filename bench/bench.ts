import Papa from 'papaparse';
import { arrangePart } from '../core/arrange';
import { checkPart } from '../core/checks';
import { readText, takeProposal } from '../core/intake';
import { applyEdit, canonicalPart, DEFAULT_RULES, emptyPart, parsePart, type Part, type Result } from '../core/part';
import { readModels } from '../core/spice';

/** Median of several runs, in ms, after a warm-up. */
function time(work: () => unknown, runs = 9): number {
  work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

const must = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error('refused');
  return result.value;
};

/** A ball list of n pins, as CSV. */
function table(n: number): string {
  const rows = Array.from({ length: n }, (_, i) =>
    i % 9 === 0
      ? `${i + 1},VSS,G,Ground,Grounds`
      : i % 13 === 0
        ? `${i + 1},VCCO${i % 6},P,Bank ${i % 6} supply,Bank ${i % 6}`
        : `${i + 1},IO${i % 6}_L${i >> 1}${'PN'[i & 1]},I/O,Bank ${i % 6} input/output,Bank ${i % 6}`,
  );
  return `Pin,Name,Type,Description,Group\n${rows.join('\n')}\n`;
}

function partOf(n: number): Part {
  const empty = emptyPart('BENCH');
  return applyEdit(empty, takeProposal(empty, must(readText(table(n)))));
}

const text = table(1200);
const part = partOf(1156);
const arranged = applyEdit(part, arrangePart(part, DEFAULT_RULES));
const bytes = canonicalPart(arranged);
const library = Array.from(
  { length: 4000 },
  (_, i) => `* 1 = in\n* 2 = out\n.subckt M${i} 1 2 3\nR1 1 2 1k\n${'* a remark that fills the file\n'.repeat(12)}.ends\n`,
).join('');

const rows: [what: string, ms: number, baseline: string, against: number][] = [
  ['read a CSV of 1,200 pins', time(() => readText(text)), 'Papa Parse alone', time(() => Papa.parse(text, { delimiter: ',' }))],
  ['read a CSV of 300 pins, x 4', time(() => readText(table(300))) * 4, 'one of 1,200 pins', time(() => readText(table(1200)))],
  ['plan and draw 1,156 balls', time(() => arrangePart(part, DEFAULT_RULES)), 'one copy of the part', time(() => structuredClone(part))],
  ['check 1,156 balls', time(() => checkPart(arranged)), 'one copy of the part', time(() => structuredClone(arranged))],
  ['read and write its file', time(() => canonicalPart(parsePart(bytes))), 'JSON alone', time(() => JSON.stringify(JSON.parse(bytes)))],
  [
    `list 4,000 models in ${(library.length / 1e6).toFixed(1)} MB`,
    time(() => readModels(library), 5),
    'splitting its lines',
    time(() => library.split('\n')),
  ],
];

for (const [what, ms, baseline, against] of rows)
  console.log(`${what.padEnd(34)} ${ms.toFixed(1).padStart(8)} ms   ${(ms / against).toFixed(2).padStart(8)} x ${baseline}`);
