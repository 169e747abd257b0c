// Documents made after the reader was tuned, printed in ways that the others are not. They are held back.
import xlsx from '@e965/xlsx';
import { writeFileSync } from 'node:fs';
import { parts, truthOf } from './parts.mjs';
import { printTable } from './print.mjs';
import { datasheet, tableHtml } from './html.mjs';
import { chromium, groff, latex, weasyprint } from './producers.mjs';
import { document, drawTable, heading, prose } from '../../../tools/draw-pdf.mjs';

const all = [];
const add = (id, ext, part, make, o = {}) => all.push({ id, file: `${id}.${ext}`, part, make, held: true, ...o });
const WORDS = 'Winds at three hundred metres are steadier than at the ground, and so the sonde is let up at dusk and taken in at dawn. ';

add('unseen-last-column', 'pdf', 'TF1733', (out) =>
  chromium(
    datasheet(
      parts.TF1733.title,
      tableHtml(
        printTable(parts.TF1733, {
          columns: ['description', 'type', 'name', 'number'],
          heads: ['Description', 'I/O', 'Pin name', 'Pin no.'],
        }),
      ),
      { css: 'th,td{border:none;border-bottom:.4pt solid #999}', font: 'DejaVu Serif', size: 8 },
    ),
    out,
  ),
);
add(
  'unseen-three-heads',
  'pdf',
  'TF5048',
  (out) =>
    weasyprint(
      datasheet(
        parts.TF5048.title,
        tableHtml(
          printTable(parts.TF5048, {
            columns: ['numbers', 'name', 'type', 'description'],
            heads: ['a', 'b', 'c', 'd', 'e', 'f'],
            packages: ['QFN-32', 'LQFP-48', 'BGA-49'],
          }),
          {
            headHtml:
              '<tr><th colspan="3">Pins</th><th rowspan="2">Signal</th><th rowspan="2">Pin type</th><th rowspan="2">Remarks</th></tr><tr><th>QFN-32</th><th>LQFP-48</th><th>BGA-49</th></tr>',
          },
        ),
        { size: 8 },
      ),
      out,
    ),
  { package: 'LQFP-48' },
);
add('unseen-text-columns', 'pdf', 'TF6116', (out) =>
  document(out, (doc) => {
    heading(doc, 'TF6116 static memory, TSOP-44', 40, 14);
    const table = printTable(parts.TF6116, {
      columns: ['number', 'name', 'type', 'description'],
      heads: ['Pin', 'Symbol', 'Type', 'Function'],
    });
    const half = Math.ceil(table.rows.length / 2);
    drawTable(
      doc,
      { heads: table.heads, rows: table.rows.slice(0, half) },
      { y: 80, columns: [45, 95, 160, 190], right: 290, rules: 'all', size: 7.5, pad: 2 },
    );
    drawTable(
      doc,
      { heads: table.heads, rows: table.rows.slice(half) },
      { y: 80, columns: [310, 360, 425, 455], right: 555, rules: 'all', size: 7.5, pad: 2 },
    );
    prose(doc, WORDS.repeat(6), 560);
  }),
);
add(
  'unseen-per-function',
  'pdf',
  'TF9320',
  (out) =>
    document(out, (doc) => {
      let y = heading(doc, 'TF9320 telemetry radio, QFN-24', 50, 15);
      const { rows, heads } = printTable(parts.TF9320, {
        columns: ['name', 'number', 'type', 'description'],
        heads: ['Name', 'No.', 'Type', 'Description'],
      });
      let group = [];
      const flush = () => {
        if (group.length > 0)
          y = drawTable(doc, { heads, rows: group }, { y, columns: [50, 130, 190, 270], rules: 'rows', bottom: 800 }) + 14;
        group = [];
      };
      for (const r of rows) {
        if (r.group === undefined) {
          group.push(r);
          continue;
        }
        flush();
        y = heading(doc, `${r.group} terminals`, y + 4, 10);
      }
      flush();
    }),
  { groups: false },
);
add('unseen-columns-ruled', 'pdf', 'TF4032', (out) =>
  document(out, (doc) => {
    let y = heading(doc, 'TF4032 relay and valve driver', 50, 14);
    y = prose(doc, WORDS.repeat(3), y);
    drawTable(
      doc,
      printTable(parts.TF4032, {
        columns: ['number', 'name', 'type', 'description'],
        heads: ['Terminal', 'Designation', 'Kind', 'Use'],
        print: { ranges: false, bus: 'list' },
      }),
      { y, columns: [50, 130, 250, 300], rules: 'columns', font: 'Times-Roman', size: 10, pad: 2 },
    );
  }),
);
add(
  'unseen-bars',
  'pdf',
  'TF8101',
  (out) =>
    latex(
      `\\documentclass[a4paper]{article}\\usepackage{longtable}\\begin{document}\\section{${parts.TF8101.title}, TSSOP-16}${WORDS}\\begin{longtable}{|c|c|c|p{6cm}|}\\hline No.&Symbol&I/O&Function\\\\\\hline\\endhead ${printTable(
        parts.TF8101,
        { columns: ['number', 'name', 'type', 'description'], heads: [], groups: false },
      )
        .rows.map((r) => r.cells.map((c, i) => (r.low && i === 1 ? `$\\overline{\\rm ${c}}$` : c.replace(/µ/g, '$\\mu$'))).join('&'))
        .join('\\\\\\hline\n')}\\\\\\hline\\end{longtable}${WORDS.repeat(8)}\\end{document}`,
      out,
    ),
  { groups: false },
);
add('unseen-boxed', 'pdf', 'TF2108', (out) =>
  groff(
    `.TL\n${parts.TF2108.title}\n.SH\nConnections\n.PP\n${WORDS.repeat(3)}\n.TS\ndoublebox center;\nc c c.\nLead\tDesignation\tFunction\n=\n${printTable(
      parts.TF2108,
      { columns: ['number', 'name', 'description'], heads: [] },
    )
      .rows.map((r) => r.cells.join('\t').replace(/−/g, '\\-'))
      .join('\n')}\n.TE\n.PP\n${WORDS.repeat(5)}\n`,
    out,
  ),
);
add('unseen-scaled', 'pdf', 'TF4032', (out) =>
  chromium(
    datasheet(
      'TF4032',
      tableHtml(
        printTable(parts.TF4032, {
          columns: ['number', 'name', 'type', 'description'],
          heads: ['Pin', 'Pin Name', 'Pin Type', 'Pin Description'],
        }),
      ),
      {
        size: 6,
        css: 'table.pins { font-size: 5.5pt } th, td { padding: 1pt 3pt; border: .3pt solid #bbb }',
        before: ['electrical', 'ordering', 'ratings'],
        after: ['registers'],
      },
    ),
    out,
  ),
);
add('unseen-one-sheet', 'xlsx', 'TF1733', async (out) => {
  const rows = printTable(parts.TF1733, { columns: ['number', 'name', 'type', 'description'], heads: [] }).rows.map((r) => r.cells);
  const book = xlsx.utils.book_new();
  const sheet = [
    ['Checked by', 'M. Oake'],
    [],
    ['Limit', 'Min', 'Max'],
    ['VM', 4.5, 60],
    ['DVDD', 4.5, 5.5],
    [],
    ['Terminal', 'Signal', 'Kind', 'Notes'],
    ...rows,
    [],
    ['Order code', 'Packing'],
    ['TF1733-T', 'Tube'],
  ];
  xlsx.utils.book_append_sheet(book, xlsx.utils.aoa_to_sheet(sheet), 'All of it');
  writeFileSync(out, xlsx.write(book, { type: 'buffer', compression: true }));
});

export const unseen = all.map((d) => {
  const truth = truthOf(parts[d.part], d.package ?? parts[d.part].packages[0]);
  const grouped = d.groups !== false && parts[d.part].rows.some((r) => r.n === undefined);
  return { ...d, truth: grouped ? truth : truth.map(({ group: _g, ...rest }) => rest) };
});
