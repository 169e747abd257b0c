// The demo's sources that are documents: datasheets as PDF, a workbook, a BSDL and an IBIS file.
import { fileURLToPath } from 'node:url';
import { writeFileSync } from 'node:fs';
import xlsx from '@e965/xlsx';
import { document, drawTable, heading, prose } from '../tools/draw-pdf.mjs';

const at = (name) => fileURLToPath(new URL(`./sources/${name}`, import.meta.url));
const furniture = (doc, part, page, of) => {
  doc.font('Helvetica').fontSize(8).fillColor('#555');
  doc.text(`Tarnfield Devices    ${part}`, 50, 26, { lineBreak: false }).text(`page ${page} of ${of}`, 500, 26, { lineBreak: false });
  doc.fillColor('black');
};
const ROWS = (list) => list.map((r) => (typeof r === 'string' ? { group: r } : { cells: r.cells ?? r, low: r.low, note: r.note }));
const low = (...cells) => ({ cells, low: true });

const ratings = (doc, y) =>
  drawTable(
    doc,
    {
      heads: ['Symbol', 'Parameter', 'Min', 'Max', 'Unit'],
      rows: ROWS([
        ['VDD', 'Supply voltage', '-0.3', '6.5', 'V'],
        ['VIN', 'Voltage at any input', '-0.3', 'VDD + 0.3', 'V'],
        ['TSTG', 'Storage temperature', '-65', '150', '°C'],
      ]),
    },
    { y, columns: [50, 120, 330, 390, 460], rules: 'rows' },
  );
const characteristics = (doc, y, rows) =>
  drawTable(
    doc,
    { heads: ['Parameter', 'Conditions', 'Min', 'Typ', 'Max', 'Unit'], rows: ROWS(rows) },
    { y, columns: [50, 200, 340, 390, 440, 490], rules: 'rows' },
  );

/** Quad line receiver: one table on one page. */
const receiver = (doc) => {
  furniture(doc, 'TF2204', 1, 1);
  let y = heading(doc, 'TF2204 quad Schmitt line receiver, SO-14', 60, 15);
  y = prose(
    doc,
    'Four line receivers with Schmitt trigger inputs for long, noisy lines along the tether. Each receiver switches at thresholds that stay 0.9 V apart over the whole range of supply and temperature.',
    y,
  );
  y = heading(doc, '1 Absolute maximum ratings', y);
  y = heading(doc, '2 Pin functions', ratings(doc, y) + 24);
  y = drawTable(
    doc,
    {
      heads: ['Pin no.', 'Name', 'Type', 'Description'],
      rows: ROWS([
        ['1', '1A', 'I', 'Line input of receiver 1, Schmitt trigger'],
        ['2', '1Y', 'O', 'Output of receiver 1'],
        ['3', '2A', 'I', 'Line input of receiver 2, Schmitt trigger'],
        ['4', '2Y', 'O', 'Output of receiver 2'],
        ['5', '3A', 'I', 'Line input of receiver 3, Schmitt trigger'],
        ['6', '3Y', 'O', 'Output of receiver 3'],
        ['7', 'GND', 'G', 'Ground'],
        ['8', '4Y', 'O', 'Output of receiver 4'],
        ['9', '4A', 'I', 'Line input of receiver 4, Schmitt trigger'],
        ['10', 'NC', '-', 'No internal connection'],
        ['11', 'NC', '-', 'No internal connection'],
        ['12', 'NC', '-', 'No internal connection'],
        ['13', 'NC', '-', 'No internal connection'],
        ['14', 'VCC', 'P', 'Supply voltage, 3 V to 5.5 V'],
      ]),
    },
    { y, columns: [50, 110, 180, 240], rules: 'all' },
  );
  prose(doc, 'I = input, O = output, G = ground, P = power', y + 10);
};

const CONVERTER = [
  'Bridge input',
  ['1', 'AIN1+', 'AI', 'Positive bridge input, channel 1'],
  ['2', 'AIN1-', 'AI', 'Negative bridge input, channel 1'],
  ['3', 'AIN2+', 'AI', 'Positive bridge input, channel 2'],
  ['4', 'AIN2-', 'AI', 'Negative bridge input, channel 2'],
  'Reference',
  ['5', 'REFIN+', 'AI', 'Positive reference input'],
  ['6', 'REFIN-', 'AI', 'Negative reference input'],
  ['7', 'REFOUT', 'AO', '2.5 V reference output; bypass to AGND with 1 µF and keep the trace short'],
  'Supplies',
  ['8', 'AVDD', 'P', 'Analog supply, 2.7 V to 5.25 V'],
  'Clock and control',
  ['9', 'GAIN', '', 'Gain strap; see Table 9'],
  ['10', 'XIN', 'AI', 'Crystal terminal'],
  ['11', 'XOUT', 'AO', 'Crystal terminal'],
  'Serial port',
  low('12', 'DRDY', 'OD', 'Data ready, open drain; goes low when a conversion is complete and high again when the result has been read'),
  low('13', 'CS', 'DI', 'Chip select input'),
  ['14', 'SCLK', 'DI', 'Serial clock input'],
  ['15', 'DIN', 'DI', 'Serial data input'],
  ['16', 'DOUT', 'DOZ', 'Serial data output; high impedance while the device is not selected'],
  'Clock and control',
  low('17', 'PWDN', 'DI', 'Power-down input'),
  'Supplies',
  ['18', 'DVDD', 'P', 'Digital supply, 1.8 V to 3.6 V'],
  ['19', 'DGND', 'G', 'Digital ground'],
  ['20', 'AGND', 'G', 'Analog ground'],
];

/** Bridge converter: the pin table on page 4 among tables of other kinds. Revision B names two pins anew and moves one. */
const converter = (revision) => (doc) => {
  const swap = (rows) => {
    if (revision === 'A') return rows;
    const named = { GAIN: 'GAIN0', PWDN: 'SLEEP' };
    const all = rows.map((r) => {
      const cells = [...(r.cells ?? r)];
      return typeof r === 'string' ? r : { cells: cells.map((c, i) => (i === 1 ? (named[c] ?? c) : c)), low: r.low };
    });
    // The power-down input goes to 19 and the digital ground to 17: the ground stands beside the serial port.
    const find = (number) => all.find((r) => typeof r !== 'string' && r.cells[0] === number);
    const [sleep, ground] = [find('17'), find('19')];
    const kept = [...sleep.cells];
    sleep.cells = ['17', ...ground.cells.slice(1)];
    ground.cells = ['19', ...kept.slice(1)];
    [sleep.low, ground.low] = [false, true];
    return all;
  };
  const begin = (page) => {
    if (page > 1) doc.addPage();
    furniture(doc, 'TF7311', page, 6);
  };
  begin(1);
  let y = heading(doc, 'TF7311 24-bit bridge converter, TSSOP-20', 60, 15);
  y = prose(
    doc,
    `Datasheet, revision ${revision}. The converter reads the line-tension bridge of the sonde with 24 bits at up to 400 results a second, gives the bridge its reference and sleeps at 2 µA.`,
    y,
  );
  y = heading(doc, '1 Ordering information', y + 10);
  drawTable(
    doc,
    {
      heads: ['Part number', 'Package', 'Pins', 'Packing'],
      rows: ROWS([
        ['TF7311-T', 'TSSOP', '20', 'Tube of 75'],
        ['TF7311-TR', 'TSSOP', '20', 'Reel of 2500'],
      ]),
    },
    { y, columns: [50, 180, 280, 340], rules: 'rows' },
  );
  begin(2);
  ratings(doc, heading(doc, '2 Absolute maximum ratings', 60));
  begin(3);
  characteristics(doc, heading(doc, '3 Electrical characteristics', 60), [
    ['Resolution', 'no missing codes', '24', '', '', 'bit'],
    ['Offset', 'gain 128', '', '0.4', '2', 'µV'],
    ['Noise', '10 results a second', '', '18', '30', 'nV'],
    ['Supply current', 'converting', '', '1.1', '1.6', 'mA'],
  ]);
  begin(4);
  y = heading(doc, '6 Terminal functions', 60);
  y = prose(
    doc,
    'Table 3 lists the terminals of the 20-lead package. AI = analog input, AO = analog output, DI = digital input, DOZ = three-state output, OD = open-drain output, P = power, G = ground.',
    y,
  );
  doc
    .font('Helvetica-Bold')
    .fontSize(9)
    .text('Table 3. Terminal functions', 50, y + 4, { lineBreak: false });
  drawTable(
    doc,
    { heads: ['Pin', 'Name', 'Type', 'Description'], rows: ROWS(swap(CONVERTER)) },
    { y: y + 20, columns: [50, 105, 185, 245], rules: 'rows', barAt: 1, pad: 4 },
  );
  begin(5);
  y = heading(doc, '9 Gain', 60);
  drawTable(
    doc,
    {
      heads: ['Level at GAIN', 'Gain', 'Input range'],
      rows: ROWS([
        ['low', '1', '±2.5 V'],
        ['open', '16', '±156 mV'],
        ['high', '128', '±19.5 mV'],
      ]),
    },
    { y, columns: [50, 180, 260], right: 380, rules: 'all' },
  );
  begin(6);
  drawTable(
    doc,
    {
      heads: ['Bit', 'Name', 'Type', 'Reset', 'Description'],
      rows: ROWS([
        ['7', 'GO', 'R/W', '0', 'Starts a conversion'],
        ['6:4', 'RATE', 'R/W', '000', 'Results a second'],
        ['3', 'CHOP', 'R/W', '1', 'Chopper enable'],
        ['2', 'PD', 'R/W', '0', 'Power-down'],
        ['1', 'RSVD', 'R', '0', 'Reserved'],
        ['0', 'RST', 'W', '0', 'Soft reset'],
      ]),
    },
    { y: heading(doc, '12 Register map', 60), columns: [50, 100, 170, 230, 290], rules: 'all' },
  );
};

/** Half-bridge driver: a range of numbers, footnotes, an exposed pad. */
const driver = (doc) => {
  furniture(doc, 'TF1502', 1, 2);
  let y = heading(doc, 'TF1502 half-bridge heater driver, SO-8-EP', 60, 15);
  y = prose(
    doc,
    'Drives the upper and the lower switch of a half bridge for the de-icing heater of the line. The upper driver is fed by a bootstrap capacitor.',
    y,
  );
  y = heading(doc, '4 Lead functions', y);
  y = drawTable(
    doc,
    {
      heads: ['Lead', 'Name', 'Type', 'Description'],
      rows: ROWS([
        ['1', 'VDD', 'P', 'Logic supply, 4.5 V to 14 V'],
        { cells: ['2', 'IN', 'I', 'Control input; high turns the upper switch on'], note: '1' },
        ['3', 'DIS', 'I', 'Disable input; both switches off when high'],
        ['4', 'GND', 'G', 'Ground'],
        ['5', 'LO', 'O', 'Gate drive output of the lower switch'],
        ['6', 'SW', 'P', 'Half-bridge node; connect the source of the upper switch'],
        ['7', 'HO', 'O', 'Gate drive output of the upper switch'],
        { cells: ['8', 'BOOT', 'P', 'Bootstrap capacitor connection'], note: '2' },
        ['EP', 'GND', 'G', 'Exposed pad, connected to ground inside'],
      ]),
    },
    { y, columns: [50, 110, 190, 250], rules: 'all', noteAt: 1 },
  );
  doc.font('Helvetica').fontSize(8);
  doc
    .text('(1) Has a pull-down of 100 kohm.', 50, y + 8, { lineBreak: false })
    .text('(2) Connect 100 nF from BOOT to SW.', 50, y + 20, { lineBreak: false });
  doc.addPage();
  furniture(doc, 'TF1502', 2, 2);
  y = heading(doc, '7 Package outline, SO-8-EP', 60);
  y = prose(doc, 'All dimensions are in mm. D and E1 do not include mold flash. The exposed pad is D2 along the rows and E2 across.', y);
  drawTable(
    doc,
    {
      heads: ['Symbol', 'Min', 'Nom', 'Max', 'What'],
      rows: ROWS([
        ['A', '-', '-', '1.70', 'Height over the seating plane'],
        ['A1', '0.00', '-', '0.15', 'Standoff'],
        ['b', '0.31', '-', '0.51', 'Lead width'],
        ['D', '4.80', '4.90', '5.00', 'Body length'],
        ['E', '5.80', '6.00', '6.20', 'Over the leads'],
        ['E1', '3.80', '3.90', '4.00', 'Body width'],
        ['e', '', '1.27 BSC', '', 'Lead pitch'],
        ['L', '0.40', '-', '1.27', 'Foot length'],
        ['D2', '2.99', '3.10', '3.20', 'Exposed pad, length'],
        ['E2', '2.29', '2.40', '2.50', 'Exposed pad, width'],
      ]),
    },
    { y, columns: [50, 110, 170, 250, 310], rules: 'rows' },
  );
};

/** Mesh radio: three pages, the table over two of them with its heads again. */
const radio = (rows) => (doc) => {
  furniture(doc, 'TF9048', 1, 3);
  let y = heading(doc, 'TF9048 mesh radio, QFN-48', 60, 15);
  y = prose(
    doc,
    'A radio for sondes that pass each other’s messages on. Sends 12 dBm into 50 ohm, listens at 4 mA and keeps time over days with a watch crystal.',
    y,
  );
  ratings(doc, heading(doc, '2 Absolute maximum ratings', y));
  doc.addPage();
  furniture(doc, 'TF9048', 2, 3);
  y = heading(doc, '5 Pin functions', 60);
  let page = 2;
  drawTable(
    doc,
    { heads: ['No.', 'Name', 'Type', 'Description'], rows: ROWS(rows) },
    {
      y,
      columns: [50, 95, 225, 285],
      rules: 'rows',
      repeat: true,
      pad: 5,
      next: (d) => {
        d.addPage();
        furniture(d, 'TF9048', ++page, 3);
        return 60;
      },
    },
  );
};

export async function makeDocuments({ radio: radioRows, logger, array, isolator }) {
  await document(at('TF2204.pdf'), receiver);
  await document(at('TF7311.pdf'), converter('A'));
  await document(at('TF7311-B.pdf'), converter('B'));
  await document(at('TF1502.pdf'), driver);
  await document(at('TF9048.pdf'), radio(radioRows));

  const sheet = xlsx.utils.aoa_to_sheet([
    ['TF3064 flight logger microcontroller'],
    [],
    ['Pin number', '', '', 'Name', 'I/O', 'Function'],
    ['LQFP-64', 'QFN-48', 'BGA-64', '', '', ''],
    ...logger.map((r) => r.map((c) => (/^\d+$/.test(c) ? Number(c) : c))),
  ]);
  const merge = (r, c, rows, cols) => ({ s: { r, c }, e: { r: r + rows - 1, c: c + cols - 1 } });
  sheet['!merges'] = [merge(0, 0, 1, 6), merge(2, 0, 1, 3), merge(2, 3, 2, 1), merge(2, 4, 2, 1), merge(2, 5, 2, 1)];
  const cover = xlsx.utils.aoa_to_sheet([['TF3064 pin list'], ['Revision', 'D'], ['Kept by', 'Highline electronics']]);
  const book = xlsx.utils.book_new();
  xlsx.utils.book_append_sheet(book, cover, 'Cover');
  xlsx.utils.book_append_sheet(book, sheet, 'Pins');
  writeFileSync(at('TF3064.xlsx'), xlsx.write(book, { type: 'buffer', compression: true }));
  writeFileSync(at('TF8484.bsd'), bsdl(array));
  writeFileSync(at('TF6120.ibs'), ibis(isolator));
}

/** The array's boundary-scan description: supplies are vectors, camera lanes are pairs. */
function bsdl(rows) {
  const rails = new Map();
  const ports = [];
  for (const [ball, name, code] of rows) {
    if (code === 'G' || code === 'P') {
      if (!rails.has(name)) rails.set(name, []);
      rails.get(name).push(ball);
    } else ports.push({ name, ball, code });
  }
  const direction = { I: 'in', OZ: 'out', OD: 'out', 'I/O': 'inout' };
  const tap = new Set(['TCK', 'TDI', 'TDO', 'TMS']);
  const declared = [
    ...ports.map((p) => `    ${p.name} : ${direction[p.code]} bit`),
    ...[...rails].map(([name, balls]) => `    ${name} : linkage bit_vector(1 to ${balls.length})`),
  ];
  const map = [...ports.map((p) => `${p.name} : ${p.ball}`), ...[...rails].map(([name, balls]) => `${name} : (${balls.join(', ')})`)];
  let n = 0;
  const cells = ports
    .filter((p) => !tap.has(p.name))
    .flatMap((p) => {
      if (p.code === 'I') return [`${n++} (BC_4, ${p.name}, input, X)`];
      if (p.code === 'OD') return [`${n} (BC_1, ${p.name}, output2, 1, ${n++}, 1, WEAK1)`];
      const control = n++;
      return [
        `${control} (BC_1, *, control, 1)`,
        `${n++} (BC_1, ${p.name}, output3, X, ${control}, 1, Z)`,
        ...(p.code === 'I/O' ? [`${n++} (BC_1, ${p.name}, input, X)`] : []),
      ];
    });
  const lanes = ports.filter((p) => /^CAM.*_P$/.test(p.name)).map((p) => `(${p.name}, ${p.name.replace(/P$/, 'N')})`);
  const join = (list, indent = '    ') => list.map((l) => `${indent}"${l}`).join(',\" &\n') + '"';
  const wrap = (text) => text.replace(/(.{90,110}?, )/g, '$1" &\n      "');
  return `-- TF8484 cloud-camera vision array, BGA-484
entity TF8484 is
  generic (PHYSICAL_PIN_MAP : string := "BGA484");
  port (
${declared.join(';\n')}
  );
  use STD_1149_1_2001.all;
  attribute COMPONENT_CONFORMANCE of TF8484 : entity is "STD_1149_1_2001";
  attribute PIN_MAP of TF8484 : entity is PHYSICAL_PIN_MAP;
  constant BGA484 : PIN_MAP_STRING :=
${join(map.map(wrap))};
  attribute PORT_GROUPING of TF8484 : entity is
    "Differential_Voltage (" &
${join(lanes, '      ').replace(/"$/, ')"')};
  attribute TAP_SCAN_IN of TDI : signal is true;
  attribute TAP_SCAN_OUT of TDO : signal is true;
  attribute TAP_SCAN_MODE of TMS : signal is true;
  attribute TAP_SCAN_CLOCK of TCK : signal is (20.0e6, BOTH);
  attribute INSTRUCTION_LENGTH of TF8484 : entity is 6;
  attribute BOUNDARY_LENGTH of TF8484 : entity is ${n};
  attribute BOUNDARY_REGISTER of TF8484 : entity is
${join(cells)};
end TF8484;
`;
}

/** The isolator's buffer models. */
function ibis(rows) {
  const model = { P: 'POWER', G: 'GND', '-': 'NC', I: 'iso_in', O: 'iso_out' };
  return `|  TF6120 dual digital isolator, SO-16W
[IBIS Ver]      5.0
[File Name]     tf6120.ibs
[File Rev]      1.1
[Source]        Tarnfield Devices
|
[Component]     TF6120
[Manufacturer]  Tarnfield Devices
[Package]
|               typ     min     max
R_pkg           45m     NA      NA
L_pkg           2.6nH   NA      NA
C_pkg           0.9pF   NA      NA
|
[Pin]  signal_name  model_name  R_pin  L_pin  C_pin
${rows.map(([number, name, code]) => `${number.padEnd(6)} ${name.padEnd(12)} ${model[code].padEnd(10)}${'IO'.includes(code) ? '  45m    2.6nH  0.9pF' : ''}`.trimEnd()).join('\n')}
|
[Model]         iso_in
Model_type      Input
C_comp          2.1pF   1.8pF   2.4pF
Vinl = 0.8V
Vinh = 2.0V
|
[Model]         iso_out
Model_type      Output
C_comp          3.0pF   2.6pF   3.4pF
|
[End]
`;
}
