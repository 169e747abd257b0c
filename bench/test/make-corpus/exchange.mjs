// The corpus's workbooks, clipboard tables, BSDL and IBIS files.
import { writeFileSync } from 'node:fs';
import xlsx from '@e965/xlsx';
import { parts, truthOf } from './parts.mjs';
import { printTable } from './print.mjs';
import { tableHtml } from './html.mjs';

const all = [];
const add = (id, ext, part, write, o = {}) => all.push({ id, ext, part, write, ...o });
const spec = (heads, columns = ['number', 'name', 'type', 'description'], more = {}) => ({ heads, columns, ...more });
const noGroups = (t) => t.map(({ group: _g, ...rest }) => rest);

/** Sheets of rows with merged cells, as `[first row, first column, rows, columns]`. */
const book = (sheets) => (out) => {
  const made = xlsx.utils.book_new();
  for (const { name, rows, merges = [] } of sheets) {
    const sheet = xlsx.utils.aoa_to_sheet(rows);
    sheet['!merges'] = merges.map(([r, c, h, w]) => ({ s: { r, c }, e: { r: r + h - 1, c: c + w - 1 } }));
    xlsx.utils.book_append_sheet(made, sheet, name);
  }
  writeFileSync(out, xlsx.write(made, { type: 'buffer', compression: true }));
};
const rowsOf = (part, s) =>
  printTable(parts[part], s).rows.map((r) => (r.group !== undefined ? [r.group] : r.cells.map((c) => (/^\d+$/.test(c) ? Number(c) : c))));
const cover = { name: 'Cover', rows: [['Highline parts list'], [], ['Kept by', 'M. Oake'], ['Revision', 3], ['Pins', 33]] };
const limits = {
  name: 'Limits',
  rows: [
    ['Symbol', 'Parameter', 'Min', 'Max', 'Unit'],
    ['VDD', 'Supply', -0.3, 4, 'V'],
    ['VI', 'Input', -0.3, 4.3, 'V'],
  ],
};

add(
  'book-plain',
  'xlsx',
  'TF4032',
  book([{ name: 'Pins', rows: [['Pin', 'Name', 'Type', 'Description'], ...rowsOf('TF4032', spec([]))] }]),
);
add(
  'book-covered',
  'xlsx',
  'TF8101',
  book([
    cover,
    limits,
    {
      name: 'Pinout',
      rows: [['TF8101, TSSOP-16'], [], [], ['', 'No.', 'Symbol', 'I/O', 'Function'], ...rowsOf('TF8101', spec([])).map((r) => ['', ...r])],
    },
  ]),
);
add(
  'book-merged',
  'xlsx',
  'TF5048',
  book([
    {
      name: 'Pins',
      rows: [
        ['Pin name', 'Pin number', '', '', 'Type', 'Description'],
        ['', 'LQFP-48', 'QFN-32', 'BGA-49', '', ''],
        ...rowsOf('TF5048', spec([], ['name', 'numbers', 'type', 'description'])),
      ],
      merges: [
        [0, 0, 2, 1],
        [0, 1, 1, 3],
        [0, 4, 2, 1],
        [0, 5, 2, 1],
      ],
    },
  ]),
);
add(
  'book-grouped',
  'xlsx',
  'TF9320',
  book([
    (() => {
      const rows = [['Group', 'Pin', 'Name', 'Type', 'Description']];
      const merges = [];
      let start = 1;
      let group;
      for (const r of printTable(parts.TF9320, spec([])).rows) {
        if (r.group !== undefined) {
          if (rows.length - start > 1) merges.push([start, 0, rows.length - start, 1]);
          start = rows.length;
          group = r.group;
        } else rows.push([rows.length === start ? group : '', ...r.cells]);
      }
      merges.push([start, 0, rows.length - start, 1]);
      return { name: 'TF9320 QFN-24', rows, merges };
    })(),
  ]),
  { held: true },
);
add(
  'book-packages',
  'xlsx',
  'TF5048',
  book(
    ['LQFP-48', 'QFN-32'].map((p) => ({
      name: p,
      rows: [
        ['Pin', 'Name', 'Type', 'Description'],
        ...printTable(parts.TF5048, { columns: ['number', 'name', 'type', 'description'], heads: [], packages: [p] })
          .rows.map((r) => r.cells)
          .filter((c) => c[0] !== '–')
          .map(([n, ...rest]) => [Number(n), ...rest]),
      ],
    })),
  ),
  { package: 'QFN-32' },
);
add(
  'book-map',
  'xlsx',
  'TF7196',
  book([
    {
      name: 'Ball map BGA-196',
      rows: [
        ['', ...Array.from({ length: 14 }, (_, i) => i + 1)],
        ...[...'ABCDEFGHJKLMNP'].map((l) => [
          l,
          ...Array.from({ length: 14 }, (_, c) => truthOf(parts.TF7196).find((t) => t.number === `${l}${c + 1}`).name),
        ]),
      ],
    },
  ]),
  { held: true, without: ['type', 'activeLow'] },
);

const page = (table) => `<html><body><!--StartFragment-->${table}<!--EndFragment--></body></html>`;
add('clip-plain', 'htm', 'TF1733', (out) =>
  writeFileSync(out, page(tableHtml(printTable(parts.TF1733, spec(['Pin', 'Name', 'Type', 'Description']))))),
);
add('clip-spans', 'htm', 'TF5048', (out) =>
  writeFileSync(
    out,
    page(
      tableHtml(printTable(parts.TF5048, spec(['a', 'b', 'c', 'd', 'e', 'f'], ['numbers', 'name', 'type', 'description'])), {
        headHtml:
          '<tr><th colspan=3>Pin<th rowspan=2>Name<th rowspan=2>Type<th rowspan=2>Description</tr><tr><th>LQFP-48<th>QFN-32<th>BGA-49</tr>',
      }),
    ),
  ),
);
add(
  'clip-bars',
  'htm',
  'TF8101',
  (out) =>
    writeFileSync(
      out,
      page(
        tableHtml(printTable(parts.TF8101, spec(['Terminal', 'Mnemonic', 'Type', 'Description'])), { nameAt: 1, bar: true }).replace(
          /class="low"/g,
          'style="text-decoration: overline"',
        ),
      ),
    ),
  { held: true },
);
add('list-commas', 'csv', 'TF6116', (out) =>
  writeFileSync(
    out,
    xlsx.utils.sheet_to_csv(xlsx.utils.aoa_to_sheet([['Pin', 'Signal', 'I/O', 'Description'], ...rowsOf('TF6116', spec([]))])),
  ),
);
add(
  'list-tabs',
  'tsv',
  'TF9320',
  (out) =>
    writeFileSync(
      out,
      [['Name', 'Pin', 'Type', 'Description'], ...rowsOf('TF9320', spec([], ['name', 'number', 'type', 'description']))]
        .map((r) => r.join('\t'))
        .join('\n'),
    ),
  { held: true },
);

// A port has a direction; supplies and the like are linkage.
const direction = { input: 'in', output: 'out', 'three-state': 'out', 'open-drain': 'out', bidirectional: 'inout' };
const legal = (name) => name.replace(/[^A-Za-z0-9_]/g, '_').replace(/^_/, 'N_');
function bsdl(part, { packages = parts[part].packages, vectors = false } = {}) {
  const flat = parts[part].rows.filter((r) => r.n !== undefined);
  const ports = flat.flatMap((r) => {
    const names = Array.isArray(r.name) ? r.name : [r.name];
    const list = (p) => (Array.isArray(r.n) ? r.n : (r.n[p] ?? []));
    if (vectors && (names.length > 2 || (names.length === 1 && list(packages[0]).length > 1)))
      return [{ name: legal(names[0].replace(/\d+$/, '')), bits: list(packages[0]).length, type: r.type, pins: list, low: r.low }];
    return list(packages[0]).map((_, i) => ({
      name: legal(names.length > 1 ? names[i] : list(packages[0]).length > 1 ? `${names[0]}_${i + 1}` : names[0]),
      type: r.type,
      pins: (p) => [list(p)[i]],
      low: r.low,
    }));
  });
  const seen = new Map();
  for (const p of ports) {
    const n = seen.get(p.name) ?? 0;
    seen.set(p.name, n + 1);
    if (n > 0) p.name = `${p.name}_${String.fromCharCode(65 + n)}`;
  }
  const of = (p) => ports.map((x) => `${x.name} : ${x.bits ? `(${x.pins(p).join(', ')})` : x.pins(p)[0]}`);
  let cell = 0;
  const cells = ports.flatMap((x) =>
    (x.bits ? Array.from({ length: x.bits }, (_, i) => `${x.name}(${i})`) : [x.name]).flatMap((name) =>
      x.type === 'three-state'
        ? [`${cell++} (BC_1, ${name}, output3, X, ${cell}, 1, Z)`, `${cell++} (BC_1, *, control, 1)`]
        : x.type === 'open-drain'
          ? [`${cell} (BC_1, ${name}, output2, 1, ${cell++}, 1, WEAK1)`]
          : x.type === 'output'
            ? [`${cell++} (BC_1, ${name}, output2, X)`]
            : x.type === 'input'
              ? [`${cell++} (BC_4, ${name}, input, X)`]
              : [],
    ),
  );
  return {
    text: `-- ${parts[part].title}\nentity ${part} is\n  generic (PHYSICAL_PIN_MAP : string := "${legal(packages[0])}");\n  port (\n${ports.map((x) => `    ${x.name} : ${direction[x.type] ?? 'linkage'} bit${x.bits ? `_vector(0 to ${x.bits - 1})` : ''}`).join(';\n')}\n  );\n  use STD_1149_1_2001.all;\n  attribute COMPONENT_CONFORMANCE of ${part} : entity is "STD_1149_1_2001";\n  attribute PIN_MAP of ${part} : entity is PHYSICAL_PIN_MAP;\n${packages
      .map(
        (p) =>
          `  constant ${legal(p)} : PIN_MAP_STRING :=\n${of(p)
            .map((l) => `    "${l}`)
            .join(',\" &\n')}";\n`,
      )
      .join(
        '',
      )}  attribute BOUNDARY_LENGTH of ${part} : entity is ${cell};\n  attribute BOUNDARY_REGISTER of ${part} : entity is\n${cells.map((c) => `    "${c}`).join(',\" &\n')}";\nend ${part};\n`,
    truth: (p) =>
      ports.flatMap((x) =>
        x.pins(p).map((number, i) => ({
          number,
          name: x.bits ? `${x.name}[${i}]` : x.name,
          ...(direction[x.type] ? { type: x.type } : { type: x.type }),
        })),
      ),
  };
}
const scan = (id, part, o = {}) => {
  const made = bsdl(part, o);
  add(id, 'bsd', part, (out) => writeFileSync(out, made.text), {
    truth: made.truth((o.packages ?? parts[part].packages)[0]),
    without: ['activeLow'],
    ...o.more,
  });
};
scan('scan-single', 'TF6116');
scan('scan-vectors', 'TF6116', { vectors: true });
scan('scan-driver', 'TF4032', { more: { held: true } });
scan('scan-array', 'TF7196');

const models = {
  input: 'Input',
  output: 'Output',
  'three-state': '3-state',
  'open-drain': 'Open_drain',
  bidirectional: 'I/O',
  passive: 'Terminator',
};
const reserved = { 'supply-in': 'POWER', 'supply-out': 'POWER', ground: 'GND', 'no-connect': 'NC', reserved: 'NC' };
const ibis = (part, wide) => {
  const pins = truthOf(parts[part]).map((t) => ({ ...t, name: t.name.replace(/\s+/g, '_') }));
  const line = (t) =>
    `${t.number.padEnd(5)} ${t.name.padEnd(16)} ${(reserved[t.type] ?? `m_${legal(t.type)}`).padEnd(14)}${wide ? ' 0.05  1.2nH  0.4pF' : ''}`;
  const text = `|  ${parts[part].title}\n[IBIS Ver]      4.2\n[File Name]     ${part.toLowerCase()}.ibs\n[File Rev]      1.0\n[Component]     ${part}\n[Manufacturer]  Tarnfield Devices\n[Package]\nR_pkg  50m NA NA\nL_pkg  2nH NA NA\nC_pkg  1pF NA NA\n[Pin]  signal_name  model_name${wide ? '  R_pin L_pin C_pin' : ''}\n${pins.map(line).join('\n')}\n${[
    ...new Set(pins.map((p) => p.type)),
  ]
    .filter((t) => models[t])
    .map((t) => `[Model] m_${legal(t)}\nModel_type ${models[t]}\nC_comp 5pF 4pF 6pF\n`)
    .join('')}[End]\n`;
  const truth = pins.map((t) => ({
    ...t,
    type: t.type === 'reserved' ? 'no-connect' : t.type === 'supply-out' && !/OUT$/.test(t.name) ? 'supply-in' : t.type,
  })); // POWER says no more
  return { text, truth };
};
for (const [id, part, wide, held] of [
  ['buffer-driver', 'TF1733', false, false],
  ['buffer-memory', 'TF6116', true, false],
  ['buffer-radio', 'TF9320', true, true],
]) {
  const made = ibis(part, wide);
  add(id, 'ibs', part, (out) => writeFileSync(out, made.text), { truth: noGroups(made.truth), ...(held ? { held } : {}) });
}

export const exchange = all.map((d) => {
  const packageName = d.package ?? parts[d.part].packages[0];
  const truth = d.truth ?? truthOf(parts[d.part], packageName);
  const hasGroups = parts[d.part].rows.some((r) => r.n === undefined) && d.ext !== 'bsd' && d.ext !== 'ibs';
  return { ...d, file: `${d.id}.${d.ext}`, make: async (out) => d.write(out), truth: hasGroups ? truth : noGroups(truth) };
});
