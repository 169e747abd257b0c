import { readSource } from '../cli/source';
import { terminalsIn } from '../core/intake';
const r = await readSource(process.argv[2]!, {});
if (!r.ok) console.log('REFUSED', JSON.stringify(r.problems));
else {
  const p = r.value.proposal;
  for (const t of terminalsIn(p))
    console.log(
      JSON.stringify(t.numbers),
      t.name,
      '|',
      t.type,
      '|',
      t.group ?? '',
      '|',
      (t.description ?? '').slice(0, 90),
      '|',
      t.doubts
        .map((d) => `${d.field}: ${d.reason}`)
        .join(' / ')
        .slice(0, 150),
    );
  for (const q of p.problems) console.log('PROBLEM', JSON.stringify(q));
  console.log(JSON.stringify((r.value as any).proposal.tables?.map((t: any) => [t.title, t.page, t.rows, t.taken])));
}
if (process.argv[3]) {
  const { openPdf, pagesOf, addRules } = await import('../adapters/pdf');
  const { prepare } = await import('../core/intake/page/ready');
  const { headerAt } = await import('../core/intake/page/headers');
  const { textOf } = await import('../core/intake/page/lines');
  const { regionsOf } = await import('../core/intake/page/regions');
  const { tablesOf } = await import('../core/intake/page/find-tables');
  const { blocksIn } = await import('../core/intake/page/borderless');
  const { readFileSync } = await import('node:fs');
  for (const name of ['DOMMatrix', 'ImageData', 'Path2D']) (globalThis as Record<string, unknown>)[name] ??= class {};
  const library = (await import('pdfjs-dist/legacy/build/pdf.mjs')) as any;
  const data = { cMapUrl: 'node_modules/pdfjs-dist/cmaps/', standardFontDataUrl: 'node_modules/pdfjs-dist/standard_fonts/' };
  const o = (await openPdf(library, new Uint8Array(readFileSync(process.argv[2]!)), data)) as any;
  const pages = await pagesOf(library, o.document);
  const { pagesWorthRuling } = await import('../core/intake/page/candidates');
  console.log('worth', pagesWorthRuling(pages));
  const full = await addRules(library, o.document, pages, pagesWorthRuling(pages));
  const ready = prepare((full as any) ?? pages);
  for (const r of ready) {
    if (process.argv[3] !== 'all' && String(r.page.number) !== process.argv[3]) continue;
    const regions = regionsOf(r.page, r.lines);
    console.log('page', r.page.number, 'regions', regions.length, 'lattices', r.lattices.length, 'blocks', r.blocks.length);
    for (const g of regions) {
      g.lines.forEach((l, i) =>
        console.log(l.base.toFixed(1), l.size, textOf(l).slice(0, 110), JSON.stringify(headerAt(g.lines, i)?.heads.map((h) => h.text))),
      );
      for (const b of blocksIn(g, r.rules, undefined).blocks)
        console.log(
          'BLOCK',
          b.edges.map((e) => Math.round(e)),
          b.rows.length,
          JSON.stringify(b.rows.slice(0, 5).map((x) => x.cells)),
        );
    }
  }
  for (const t of tablesOf(ready, {}))
    console.log('TABLE', t.score, t.table.rows.length, t.table.columns.map((c) => c.role + ':' + c.heading).join(' | '));
}
