import type { Surroundings } from '../table/understand';
import { legendLine } from '../understand/legend';
import type { Chain } from './chains';
import type { Found } from './find-tables';
import { spacedText, textOf } from './lines';
import { inBox, type Ready } from './ready';

/** Types of a document are explained near its table, or in a table of their own. */
export function surroundings(ready: readonly Ready[], chain: Chain, all: readonly Found[], legends: readonly string[]): Surroundings {
  const pages = new Set(chain.map((b) => b.page));
  const near = ready.filter((r) => pages.has(r.page.number) || pages.has(r.page.number + 1) || pages.has(r.page.number - 1));
  const first = ready[0]!.lines.slice(0, 12).map(textOf);
  const outside = near.flatMap((r) =>
    r.lines
      .filter((l) => !all.some((f) => f.chain.some((b) => b.page === r.page.number && l.words.some((w) => inBox(w, b.box)))))
      .map(spacedText),
  );
  return {
    titles: [...chain[0]!.captions, ...first],
    legend: [...legends, ...outside],
    notes: near.flatMap((r) => r.lines.map(textOf)),
  };
}

/** Rows of small ruled tables, `I | Input pin`, as the lines of a legend. */
export function legendTables(ready: readonly Ready[]): string[] {
  const explains = /legend|abbreviation|type|code|symbol|key/i;
  return ready
    .flatMap((r) => r.blocks)
    .filter((b) => explains.test([...b.captions.slice(0, 2), ...(b.rows[0]?.cells ?? [])].join(' ')))
    .flatMap((b) => b.rows.flatMap(({ cells }) => legendLine(cells.filter((c) => c !== ''))));
}

/** All lines that can explain type codes: those of small tables, and those of the pages. */
export const legendLines = (ready: readonly Ready[]): string[] => [
  ...legendTables(ready),
  ...ready.flatMap((r) => r.lines.map(spacedText)),
];

/** The largest line near the top of the first page. */
export function titleOf(ready: readonly Ready[]): string {
  const top = (ready.find((r) => r.lines.length > 0) ?? ready[0]!).lines.slice(0, 12);
  if (top.length === 0) return '';
  const largest = Math.max(...top.map((l) => l.size));
  return textOf(top.find((l) => l.size > largest - 0.5) ?? top[0]!);
}
