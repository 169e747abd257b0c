import Papa from 'papaparse';
import { readText } from '../core/intake';
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
const text = table(1200);
const t = (f: () => unknown) => {
  const s = performance.now();
  f();
  return performance.now() - s;
};
console.log('first', t(() => readText(text)).toFixed(1));
const runs = Array.from({ length: 60 }, () => t(() => readText(text)));
console.log(runs.map((r) => r.toFixed(1)).join(' '));
const p = Array.from({ length: 60 }, () => t(() => Papa.parse(text, { delimiter: ',' })));
console.log(p.map((r) => r.toFixed(2)).join(' '));
