import Papa from 'papaparse';
import PDFDocument from 'pdfkit';
import type { PdfLibrary } from '../adapters/pdf';
import { openSource } from '../adapters/source';
import { arrangePart } from '../core/arrange';
import { checkPart } from '../core/checks';
import { readSourceText, readText, takeProposal } from '../core/intake';
import { applyEdit, canonicalPart, DEFAULT_RULES, emptyPart, parsePart, type Part, type Result } from '../core/part';
import { readModels } from '../core/spice';

/** So long every piece of work is warmed up, so that the machine code that is measured is settled; in ms. */
const WARM_MS = 1000;

/** Medians of several runs, in ms, after a warm-up; the runs of both take turns, so that what else the machine does slows both. */
async function times(work: () => unknown, baseline: () => unknown, runs = 15): Promise<[number, number]> {
  const until = performance.now() + WARM_MS;
  do {
    await work();
    await baseline();
  } while (performance.now() < until);
  const taken: [number[], number[]] = [[], []];
  for (let i = 0; i < runs; i++)
    for (const [k, job] of [work, baseline].entries()) {
      const start = performance.now();
      await job();
      taken[k]!.push(performance.now() - start);
    }
  const [ours, theirs] = taken.map((all) => all.sort((x, y) => x - y)[Math.floor(runs / 2)]!);
  return [ours!, theirs!];
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

const [text, quarterText] = [table(1200), table(300)];
const part = partOf(1156);
const quarterPart = partOf(289);
const arranged = applyEdit(part, arrangePart(part, DEFAULT_RULES));
const bytes = canonicalPart(arranged);
const library = Array.from(
  { length: 4000 },
  (_, i) => `* 1 = in\n* 2 = out\n.subckt M${i} 1 2 3\nR1 1 2 1k\n${'* a remark that fills the file\n'.repeat(12)}.ends\n`,
).join('');

/** A boundary-scan file of n balls. */
function scan(n: number): string {
  const names = Array.from({ length: n }, (_, i) => `IO_${i}`);
  const map = names.map((name, i) => `    "${name} : A${i + 1}`).join('," &\n');
  const cells = names.map((name, i) => `    "${i} (BC_1, ${name}, output3, X, 0, 1, Z)`).join('," &\n');
  return `entity BIG is\n  port (\n${names.map((x) => `    ${x} : inout bit`).join(';\n')}\n  );\n  constant PKG : PIN_MAP_STRING :=\n${map}";\n  attribute BOUNDARY_REGISTER of BIG : entity is\n${cells}";\nend BIG;\n`;
}
const [big, quarter] = [scan(1156), scan(289)];

/** A datasheet of a hundred pages: prose and tables of other kinds, the pin table on page 61. */
async function hundredPages(): Promise<Uint8Array> {
  const doc = new PDFDocument({ size: 'A4', margin: 50 });
  const chunks: Uint8Array[] = [];
  doc.on('data', (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise((resolve) => doc.on('end', resolve));
  const put = (text: string, x: number, y: number) => doc.text(text, x, y, { lineBreak: false });
  for (let page = 1; page <= 100; page++) {
    if (page > 1) doc.addPage();
    doc.fontSize(9);
    if (page === 61)
      ['Pin', ...Array.from({ length: 48 }, (_, i) => String(i + 1))].forEach((n, i) =>
        [n, i ? `SIG${i}` : 'Name', i ? 'I' : 'Type', i ? 'Input' : 'Description'].forEach((c, k) => put(c, 50 + k * 90, 60 + i * 14)),
      );
    else if (page % 3 === 0)
      Array.from({ length: 40 }, (_, i) =>
        [`Figure ${i}`, 'at 3 V', String(i), String(i + 2), 'mV'].forEach((c, k) =>
          put(i ? c : ['Parameter', 'Conditions', 'Min', 'Max', 'Unit'][k]!, 50 + k * 90, 60 + i * 16),
        ),
      );
    else doc.text('The device measures what the tethered sonde needs and keeps its counts while the link is down. '.repeat(32), 50, 60);
  }
  doc.end();
  await done;
  return Buffer.concat(chunks);
}

const pdf = await hundredPages();
for (const name of ['DOMMatrix', 'ImageData', 'Path2D']) (globalThis as Record<string, unknown>)[name] ??= class {};
const pdfjs = (await import('pdfjs-dist/legacy/build/pdf.mjs')) as unknown as PdfLibrary;
const data = { cMapUrl: 'node_modules/pdfjs-dist/cmaps/', standardFontDataUrl: 'node_modules/pdfjs-dist/standard_fonts/' };
async function readAll(): Promise<void> {
  const opened = must(await openSource(pdf, { pdf: () => Promise.resolve({ library: pdfjs, data }) }));
  must(await opened.read({}));
  await opened.close();
}
async function textAlone(): Promise<void> {
  const document = await pdfjs.getDocument({ data: new Uint8Array(pdf), verbosity: 0, ...data }).promise;
  for (let i = 1; i <= document.numPages; i++) await (await document.getPage(i)).getTextContent();
  await document.loadingTask.destroy();
}
const fourTimes = (work: () => unknown) => () => {
  for (let i = 0; i < 4; i++) work();
};

const rows: [what: string, work: () => unknown, baseline: string, against: () => unknown, runs?: number][] = [
  ['read a CSV of 1,200 pins', () => readText(text), 'Papa Parse alone', () => Papa.parse(text, { delimiter: ',' })],
  ['read a CSV of 300 pins, x 4', fourTimes(() => readText(quarterText)), 'one of 1,200 pins', () => readText(text)],
  ['plan and draw 1,156 balls', () => arrangePart(part, DEFAULT_RULES), 'one copy of the part', () => structuredClone(part)],
  [
    'plan and draw 289 balls, x 4',
    fourTimes(() => arrangePart(quarterPart, DEFAULT_RULES)),
    'one of 1,156',
    () => arrangePart(part, DEFAULT_RULES),
  ],
  ['check 1,156 balls', () => checkPart(arranged), 'one copy of the part', () => structuredClone(arranged)],
  ['read and write its file', () => canonicalPart(parsePart(bytes)), 'JSON alone', () => JSON.stringify(JSON.parse(bytes))],
  [
    `list 4,000 models in ${(library.length / 1e6).toFixed(1)} MB`,
    () => readModels(library),
    'splitting its lines',
    () => library.split('\n'),
    5,
  ],
  ['read BSDL of 1,156 balls', () => readSourceText(big), 'four of 289', fourTimes(() => readSourceText(quarter))],
  ['read a PDF of 100 pages', readAll, 'its text by pdf.js alone', textAlone, 7],
];
for (const [what, work, baseline, against, runs] of rows) {
  const [ours, theirs] = await times(work, against, runs);
  console.log(`${what.padEnd(34)} ${ours.toFixed(1).padStart(8)} ms   ${(ours / theirs).toFixed(2).padStart(8)} x ${baseline}`);
}
