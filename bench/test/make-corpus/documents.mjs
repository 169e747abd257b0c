// The corpus's PDF documents: which part is printed how, by which producer. `held` documents are not looked at while
// the reader is being improved.
import { parts, truthOf } from './parts.mjs';
import { printTable } from './print.mjs';
import { datasheet, tableHtml } from './html.mjs';
import { chromium, ghostscript, groff, latex, libreoffice, weasyprint } from './producers.mjs';
import { document, drawTable, heading, prose } from '../../../tools/draw-pdf.mjs';

const BASIC = { columns: ['number', 'name', 'type', 'description'], heads: ['Pin', 'Name', 'Type', 'Description'] };
const FULL = { columns: ['number', 'name', 'type', 'description'], heads: ['Pin No.', 'Symbol', 'I/O', 'Function'] };
const NAME_FIRST = { columns: ['name', 'number', 'type', 'description'], heads: ['Name', 'Pin', 'Type', 'Description'] };
const PLAIN = { columns: ['number', 'name', 'description'], heads: ['Terminal', 'Name', 'Description'] };
const WORDS = 'It keeps measuring while the tether sways and the link is down, and reports what it missed once the link is up again. ';
const all = [];
const add = (id, part, make, o = {}) => all.push({ id, part, make, ...o });
const noGroups = (t) => t.map(({ group: _g, ...rest }) => rest);

const html = (part, spec, tableOptions = {}, sheet = {}) =>
  datasheet(parts[part].title, tableHtml(printTable(parts[part], spec), tableOptions), sheet);
const borderless = 'th, td { border: none } th { border-bottom: 1pt solid #000 }';
const rowLines = 'th, td { border: none; border-bottom: 0.5pt solid #888 }';

// Printed from a browser.
add('chromium-ruled', 'TF8101', (out) => chromium(html('TF8101', BASIC, { nameAt: 1, bar: true }), out));
add('chromium-borderless', 'TF9320', (out) => chromium(html('TF9320', FULL, {}, { css: borderless }), out));
add('chromium-lists', 'TF4032', (out) => chromium(html('TF4032', NAME_FIRST, {}, { css: rowLines, valign: 'middle' }), out));
add('chromium-packages', 'TF5048', (out) =>
  chromium(
    html(
      'TF5048',
      { columns: ['numbers', 'name', 'type', 'description'], heads: ['LQFP-48', 'QFN-32', 'BGA-49', 'Pin name', 'Type', 'Description'] },
      {
        headHtml:
          '<tr><th colspan="3">Pin number</th><th rowspan="2">Pin name</th><th rowspan="2">Type</th><th rowspan="2">Description</th></tr><tr><th>LQFP-48</th><th>QFN-32</th><th>BGA-49</th></tr>',
      },
    ),
    out,
  ),
);
add('chromium-turned-heads', 'TF5048', (out) =>
  chromium(
    html(
      'TF5048',
      { columns: ['numbers', 'name', 'type', 'description'], heads: ['', '', '', 'Pin name', 'Type', 'Description'] },
      {
        headHtml: `<tr>${['LQFP-48', 'QFN-32', 'BGA-49'].map((p) => `<th><div style="writing-mode:vertical-rl;transform:rotate(180deg)">${p}</div></th>`).join('')}<th>Pin name</th><th>Type</th><th>Description</th></tr>`,
      },
    ),
    out,
  ),
);
add('chromium-notes', 'TF1733', (out) => {
  const table = printTable(parts.TF1733, BASIC);
  table.rows.forEach((r, i) => (r.note = i % 7 === 2 ? 1 : i % 11 === 3 ? 2 : undefined));
  chromium(
    datasheet(parts.TF1733.title, tableHtml(table, { nameAt: 1 }), {
      foot: '<p>(1) Has an internal pull-down resistor of 100 kΩ.<br>(2) See the description of the winch loop.</p>',
    }),
    out,
  );
});
add('chromium-array', 'TF7196', (out) =>
  chromium(
    html(
      'TF7196',
      { ...BASIC, heads: ['Ball', 'Ball name', 'Type', 'Description'] },
      { caption: 'Table 7. Ball list of the BGA-196 package' },
      { size: 8 },
    ),
    out,
  ),
);
add(
  'chromium-zebra',
  'TF6116',
  (out) =>
    chromium(
      html(
        'TF6116',
        { ...BASIC, print: { bus: 'brackets' } },
        {},
        { css: 'th,td { border: none } tbody tr:nth-child(odd) td { background: #e8eee8 } th { background: #234; color: #fff }' },
      ),
      out,
    ),
  { held: true },
);
add('chromium-two-columns', 'TF2108', (out) =>
  chromium(
    `<!doctype html><meta charset="utf-8"><style>@page{size:A4;margin:16mm} body{font:9pt "Liberation Serif";columns:2;column-gap:9mm} table{border-collapse:collapse;width:100%;font-size:8.5pt} td,th{padding:2pt 4pt;text-align:left;border-bottom:.4pt solid #999}</style><h1 style="font-size:14pt">TF2108 dual low-noise amplifier, SO-8</h1><p>${WORDS.repeat(7)}</p><h2>Terminal functions</h2>${tableHtml(printTable(parts.TF2108, PLAIN), { caption: 'Terminals' })}<p>${WORDS.repeat(30)}</p>`,
    out,
  ),
);
// Printed by WeasyPrint.
add('weasyprint-ruled', 'TF4032', (out) => weasyprint(html('TF4032', BASIC, {}, { font: 'DejaVu Sans', size: 8 }), out));
add('weasyprint-bars', 'TF8101', (out) => weasyprint(html('TF8101', { ...NAME_FIRST }, { nameAt: 0, bar: true }, { css: rowLines }), out));
add('weasyprint-borderless', 'TF6116', (out) => weasyprint(html('TF6116', FULL, {}, { css: borderless, font: 'Liberation Serif' }), out));
add(
  'weasyprint-centred',
  'TF9320',
  (out) => weasyprint(html('TF9320', BASIC, {}, { css: `${borderless} td, th { text-align: center }`, valign: 'middle' }), out),
  { held: true },
);
add('weasyprint-landscape', 'TF1733', (out) => weasyprint(html('TF1733', FULL, {}, { page: 'A4 landscape' }), out));
// Exported by LibreOffice.
add('libreoffice-ruled', 'TF9320', (out) => libreoffice(html('TF9320', BASIC), out));
add('libreoffice-plain', 'TF4032', (out) => libreoffice(html('TF4032', FULL, {}, { css: borderless }), out));
add(
  'libreoffice-array',
  'TF7196',
  (out) =>
    libreoffice(
      html('TF7196', { ...NAME_FIRST, heads: ['Signal', 'Ball', 'Type', 'Description'] }, { caption: 'Ball list, BGA-196' }, { size: 7 }),
      out,
    ),
  { held: true },
);
// Typeset by groff, and again by way of PostScript.
const tbl = (part, spec, o = {}) => {
  const table = printTable(parts[part], spec);
  const esc = (t) => t.replace(/\\/g, '\\e').replace(/−/g, '\\-').replace(/^\./, '\\&.');
  const format = `${o.box ? 'allbox ' : ''}${o.options ?? ''}`.trim();
  const block = (c, i) => (i === table.heads.length - 1 && c.length > 30 ? `T{\n${esc(c)}\nT}` : esc(c));
  return `.TL\n${parts[part].title}\n.PP\n${WORDS.repeat(4)}\n.SH\nAbsolute maximum ratings\n.PP\n.TS\nl l n n l.\nSymbol\tParameter\tMin\tMax\tUnit\n_\nVDD\tSupply\t-0.3\t4.0\tV\nVI\tAny input\t-0.3\t4.3\tV\n.TE\n.SH\n${o.heading ?? 'Pin description'}\n.PP\n${o.lead ?? ''}\n.TS H\n${format ? `${format};\n` : ''}${o.cols ?? 'l l l lw(3i)'}.\n${table.heads.join('\t')}\n${o.box ? '' : '_\n'}.TH\n${table.rows
    .map((r) => (r.group !== undefined ? `${esc(r.group)}` : r.cells.map(block).join('\t')))
    .join('\n')}\n.TE\n.PP\n${WORDS.repeat(3)}\n`;
};
add('groff-plain', 'TF1733', (out) => groff(tbl('TF1733', BASIC), out));
add('groff-boxed', 'TF4032', (out) => groff(tbl('TF4032', FULL, { box: true, cols: 'c l c lw(3i)' }), out));
add('groff-centred', 'TF2108', (out) => groff(tbl('TF2108', PLAIN, { cols: 'c c lw(3i)' }), out), { held: true });
add('ghostscript-plain', 'TF9320', (out) => ghostscript(tbl('TF9320', BASIC, { cols: 'l l l lw(2.6i)' }), out));
add('ghostscript-boxed', 'TF6116', (out) => ghostscript(tbl('TF6116', NAME_FIRST, { box: true }), out));
add('ghostscript-lists', 'TF4032', (out) => ghostscript(tbl('TF4032', { ...BASIC, print: { ranges: false } }), out), { held: true });
// Typeset by TeX, where an overbar is a drawn line.
const tex = (part, spec, o = {}) => {
  const table = printTable(parts[part], spec);
  const esc = (t) =>
    t
      .replace(/([#_&%$])/g, '\\$1')
      .replace(/−/g, '$-$')
      .replace(/–/g, '--')
      .replace(/—/g, '---')
      .replace(/Ω/g, '$\\Omega$')
      .replace(/µ/g, '$\\mu$');
  const bar = (c, r, i) => (r.low && o.barAt === i ? `$\\overline{\\mbox{${esc(c)}}}$` : esc(c));
  const line = o.rules ? '\\\\\\hline\n' : '\\\\\n';
  return `\\documentclass[a4paper,10pt${o.two ? ',twocolumn' : ''}]{article}\\usepackage[margin=18mm]{geometry}\\begin{document}\\section*{${esc(parts[part].title)}}${WORDS.repeat(o.two ? 14 : 5)}\\section*{Pin functions}\n\\noindent{\\small\\begin{tabular}{${o.cols}}${o.rules ? '\\hline\n' : ''}${table.heads.map((h) => `\\textbf{${h}}`).join('&')}${o.rules ? line : '\\\\\\hline\n'}${table.rows.map((r) => (r.group !== undefined ? `\\multicolumn{${table.heads.length}}{${o.rules ? '|l|' : 'l'}}{\\textbf{${esc(r.group)}}}` : r.cells.map((c, i) => bar(c, r, i)).join('&'))).join(line)}${line}\\end{tabular}}\n\n${WORDS.repeat(o.two ? 30 : 6)}\\end{document}`;
};
add('latex-plain', 'TF8101', (out) => latex(tex('TF8101', BASIC, { cols: 'rllp{8cm}', barAt: 1 }), out));
add('latex-ruled', 'TF9320', (out) => latex(tex('TF9320', BASIC, { cols: '|l|l|l|p{7cm}|', rules: true }), out));
add('latex-columns', 'TF2108', (out) =>
  latex(tex('TF2108', { ...PLAIN, heads: ['Pin', 'Name', 'Function'] }, { cols: 'llp{4cm}', two: true }), out),
);
add('latex-lists', 'TF6116', (out) => latex(tex('TF6116', NAME_FIRST, { cols: 'lllp{7cm}' }), out), { held: true });
// Drawn by hand.
const drawn =
  (part, spec, o, draw = {}) =>
  (out) =>
    document(
      out,
      (doc) => {
        let y = heading(doc, parts[part].title, 50, 16);
        y = prose(doc, WORDS.repeat(4), y);
        y = heading(doc, o.heading ?? 'Pin functions', y);
        y = drawTable(doc, printTable(parts[part], spec), { y, ...o });
        if (y < 640) prose(doc, WORDS.repeat(3), y + 20);
      },
      draw,
    );
add('drawn-glyphs', 'TF8101', drawn('TF8101', BASIC, { columns: [50, 90, 160, 210], rules: 'rows', glyphs: true, barAt: 1 }));
add('drawn-none', 'TF1733', drawn('TF1733', FULL, { columns: [50, 95, 165, 205], rules: 'none', pad: 1 }));
add('drawn-middle', 'TF9320', drawn('TF9320', BASIC, { columns: [50, 100, 180, 270], rules: 'none', valign: 'middle', pad: 5 }));
add(
  'drawn-middle-rows',
  'TF4032',
  drawn('TF4032', BASIC, { columns: [50, 110, 180, 230], rules: 'rows', valign: 'middle', align: ['center', 'center', 'center', 'left'] }),
);
add(
  'drawn-right',
  'TF6116',
  drawn('TF6116', { ...BASIC, print: { bus: 'to', dash: ' to ' } }, { columns: [50, 105, 190, 240], rules: 'head', align: ['right'] }),
  { held: true },
);
add('drawn-turned', 'TF4032', (out) =>
  document(
    out,
    (doc) => {
      doc.rotate(90, { origin: [0, 0] }).translate(0, -595);
      drawTable(doc, printTable(parts.TF4032, BASIC), {
        y: heading(doc, 'TF4032 pin functions, QFN-32', 40),
        columns: [50, 120, 200, 260],
        right: 760,
        rules: 'all',
        bottom: 580,
        size: 7,
        pad: 1,
      });
    },
    {},
  ),
);
add('drawn-two-halves', 'TF6116', (out) =>
  document(out, (doc) => {
    const flat = parts.TF6116.rows
      .flatMap((r) => r.n.map((n, i) => ({ n, name: Array.isArray(r.name) ? r.name[i] : r.name, code: r.code })))
      .sort((a, b) => a.n - b.n);
    const rows = Array.from({ length: 22 }, (_, i) => ({ cells: [flat[i], flat[i + 22]].flatMap((p) => [p.n, p.name, p.code]) }));
    drawTable(
      doc,
      { heads: ['Pin', 'Name', 'I/O', 'Pin', 'Name', 'I/O'], rows },
      { y: heading(doc, 'TF6116 pin assignment, TSOP-44', 60), columns: [60, 100, 180, 240, 280, 360], right: 420, rules: 'all' },
    );
  }),
);
add(
  'drawn-map',
  'TF7196',
  (out) =>
    document(
      out,
      (doc) => {
        const truth = truthOf(parts.TF7196);
        const rows = [...'ABCDEFGHJKLMNP'].map((l) => ({
          cells: [
            l,
            ...Array.from({ length: 14 }, (_, c) => truth.find((t) => t.number === `${l}${c + 1}`).name.replace(/_(\d+)$/, '_\n$1')),
          ],
        }));
        const heads = ['', ...Array.from({ length: 14 }, (_, i) => String(i + 1))];
        drawTable(
          doc,
          { heads, rows },
          {
            y: heading(doc, 'Ball map of the TF7196, BGA-196, top view', 30),
            columns: [40, ...Array.from({ length: 14 }, (_, i) => 65 + i * 52)],
            right: 793,
            rules: 'all',
            size: 6,
            pad: 2,
            bottom: 580,
            align: heads.map(() => 'center'),
          },
        );
      },
      { layout: 'landscape' },
    ),
  { without: ['type', 'activeLow'] },
);
add(
  'drawn-map-plain',
  'TF5048',
  (out) =>
    document(out, (doc) => {
      const truth = truthOf(parts.TF5048, 'BGA-49');
      let y = heading(doc, 'BGA-49 ball map', 60);
      [...' ABCDEFG'].forEach((l, r) => {
        for (let c = 0; c < 8; c++) {
          const text =
            r === 0 ? (c === 0 ? '' : String(c)) : c === 0 ? l : (truth.find((t) => t.number === `${l}${c}`)?.name.split('/')[0] ?? '–');
          doc
            .font('Helvetica')
            .fontSize(8)
            .text(text, 60 + c * 60 - (c === 0 ? 0 : doc.widthOfString(text) / 2 - 20), y + r * 30, { lineBreak: false });
        }
      });
    }),
  {
    package: 'BGA-49',
    truth: () => truthOf(parts.TF5048, 'BGA-49').map((t) => ({ ...t, name: t.name.split('/')[0] })),
    without: ['type', 'activeLow'],
  },
);
add('drawn-legend', 'TF4032', (out) => {
  const codes = { G: 'S', I: 'L', OD: 'K', NC: 'U', X: 'E', P: 'S', OT: 'H', PO: 'S', R: 'F' };
  return document(out, (doc) => {
    let y = heading(doc, 'TF4032 pin functions', 50);
    y = prose(
      doc,
      'Type codes: L = logic input, K = open-drain output, H = three-state output, S = power supply, E = external component (passive), U = not connected, F = reserved for factory use.',
      y,
    );
    drawTable(doc, printTable(parts.TF4032, { ...BASIC, codes: (c) => codes[c] }), { y, columns: [50, 110, 180, 230], rules: 'columns' });
  });
});
add(
  'drawn-continued',
  'TF7196',
  drawn(
    'TF7196',
    { ...BASIC, heads: ['Ball', 'Name', 'I/O', 'Description'] },
    { heading: 'Ball functions, BGA-196', columns: [50, 100, 200, 260], rules: 'all', repeat: false },
  ),
);
add(
  'drawn-continued-plain',
  'TF7196',
  drawn(
    'TF7196',
    { ...BASIC, heads: ['Ball', 'Name', 'I/O', 'Description'] },
    { heading: 'Ball functions, BGA-196', columns: [50, 100, 200, 260], rules: 'none', repeat: false },
  ),
  { held: true },
);
add(
  'drawn-packages-plain',
  'TF5048',
  drawn(
    'TF5048',
    { columns: ['numbers', 'name', 'type', 'description'], heads: ['LQFP-48', 'QFN-32', 'BGA-49', 'Name', 'Type', 'Description'] },
    { columns: [50, 105, 150, 200, 320, 370], rules: 'head', repeat: true },
  ),
  { package: 'QFN-32' },
);
add(
  'drawn-packages',
  'TF5048',
  drawn(
    'TF5048',
    { columns: ['name', 'numbers', 'type'], heads: ['Name', 'LQFP-48', 'QFN-32', 'BGA-49', 'Type'] },
    { columns: [50, 200, 260, 320, 380], rules: 'all', repeat: true },
  ),
  { without: ['type', 'activeLow'], held: true, package: 'BGA-49' },
);
add('drawn-sparse', 'TF2108', drawn('TF2108', BASIC, { columns: [50, 130, 250, 330], rules: 'none', pad: 9, size: 11 }), { held: true });
add('drawn-long', 'TF1733', (out) =>
  document(out, (doc) => {
    for (let p = 1; p <= 40; p++) {
      doc
        .font('Helvetica')
        .fontSize(8)
        .text('Tarnfield Devices · TF1733 datasheet', 50, 25, { lineBreak: false })
        .text(`page ${p} of 42`, 480, 25, { lineBreak: false });
      if (p === 23)
        drawTable(doc, printTable(parts.TF1733, BASIC), {
          y: heading(doc, '6.2 Pin functions', 60),
          columns: [50, 90, 150, 200],
          rules: 'all',
          size: 8,
          pad: 2,
        });
      else if (p % 4 === 0)
        drawTable(
          doc,
          {
            heads: ['Parameter', 'Conditions', 'Min', 'Typ', 'Max', 'Unit'],
            rows: Array.from({ length: 20 }, (_, i) => ({
              cells: [`Figure ${i}`, `at ${i} V`, String(i), String(i + 1), String(i + 2), 'mV'],
            })),
          },
          { y: heading(doc, `${p} Characteristics`, 60), columns: [50, 160, 260, 310, 360, 410], right: 460, rules: 'all' },
        );
      else if (p % 4 === 1)
        drawTable(
          doc,
          {
            heads: ['Address', 'Name', 'Type', 'Description'],
            rows: Array.from({ length: 25 }, (_, i) => ({ cells: [String(i + 16), `REG${i}`, 'R/W', 'Holds a count'] })),
          },
          { y: heading(doc, `${p} Registers`, 60), columns: [50, 110, 190, 240], rules: 'rows' },
        );
      else prose(doc, WORDS.repeat(24), 70);
      if (p < 40) doc.addPage();
    }
  }),
);

export const documents = all.map((d) => {
  const packageName = d.package ?? parts[d.part].packages[0];
  const truth = d.truth?.() ?? truthOf(parts[d.part], packageName);
  const hasGroups = parts[d.part].rows.some((r) => r.n === undefined) && !['drawn-two-halves'].includes(d.id);
  return { ...d, file: `${d.id}.pdf`, package: d.package, truth: hasGroups ? truth : noGroups(truth) };
});
