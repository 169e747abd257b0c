import fc from 'fast-check';
import { good, refused } from '../../test/samples';
import { isHtmlTable, readSourceText, sheetsOfHtml, terminalsIn, textKind } from '..';
import { readHtml } from '.';

const table = (rows: string) => `<html><body><!--StartFragment--><table>${rows}</table><!--EndFragment--></body></html>`;
const row = (...cells: string[]) => `<tr>${cells.map((c) => (c.startsWith('<') ? c : `<td>${c}</td>`)).join('')}</tr>`;
const HEAD = row('Pin', 'Name', 'Type', 'Description');
const read = (html: string) => terminalsIn(good(readHtml(html)));

it('reads a table of cells', () =>
  expect(
    read(table(HEAD + row('1', 'VDD', 'P', 'Supply &amp; more') + row('2', 'CLK', 'I', 'Clock'))).map((t) => [
      t.numbers[''],
      t.name,
      t.type,
      t.description,
    ]),
  ).toEqual([
    ['1', 'VDD', 'supply-in', 'Supply & more'],
    ['2', 'CLK', 'input', 'Clock'],
  ]));
it('holds a bar in a heading and two headings apart', () => {
  const one = table('<tr><th>Pin|Ball</th><th>Name</th></tr>' + row('1', 'VDD') + row('2', 'GND') + row('3', 'CLK'));
  const two = table('<tr><th>Pin</th><th>Ball</th><th>Name</th></tr>' + row('7', 'A1', 'TXD'));
  expect(readHtml(one + two).ok).toBe(true);
});
it('honours row spans: one name over two numbers, one number over two lines', () => {
  const html = table(
    HEAD +
      row('1', '<td rowspan=2>VSS</td>', 'G', 'Ground') +
      row('2', 'G', 'Ground') +
      row('<td rowspan=2>3</td>', 'CLK', 'I', 'Clock') +
      row('', '', 'of the core'),
  );
  expect(read(html).map((t) => [t.numbers[''], t.name])).toEqual([
    ['1', 'VSS'],
    ['2', 'VSS'],
    ['3', 'CLK'],
  ]);
});
it('honours column spans in headings', () => {
  const html = table(
    '<tr><th colspan=2>Pin number<th rowspan=2>Name<th rowspan=2>Type</tr><tr><th>LQFP-48<th>QFN-32</tr>' +
      row('1', '2', 'A', 'I') +
      row('2', '-', 'B', 'O'),
  );
  const p = good(readHtml(html));
  expect(p.packages).toEqual([
    { name: 'LQFP-48', pinCount: 2 },
    { name: 'QFN-32', pinCount: 1 },
  ]);
});
it('reads group rows', () =>
  expect(read(table(HEAD + row('<td colspan=4>Power</td>') + row('1', 'VDD', 'P', 'Supply'))).map((t) => t.group)).toEqual(['Power']));
it.each<[string, string, boolean]>([
  ['a raised note', 'VDD<sup>1</sup>', false],
  ['a raised note in brackets', 'VDD<sup>(2)</sup>', false],
  ['an overline', '<td><span style="text-decoration: overline">VDD</span></td>', true],
])('%s is no part of the name', (_what, cell, low) =>
  expect(read(table(HEAD + row('1', cell, 'I', 'Select input')))[0]).toMatchObject({ name: 'VDD', ...(low ? { activeLow: true } : {}) }),
);
it('takes line breaks in cells as blanks', () =>
  expect(read(table(HEAD + row('1,<br>2', 'VSS', 'G', 'Ground'))).map((t) => t.numbers[''])).toEqual(['1', '2']));
it('never runs or shows scripts and styles', () => {
  const html = `<style>td { x: y }</style>${table(HEAD + row('1', 'A<script>alert(1)</script>', 'I', '<td><img src=x onerror=alert(1)>In</td>'))}`;
  expect(read(html)[0]).toMatchObject({ name: 'A', description: 'In' });
});
it('chooses the pin table of several', () => {
  const other = table(row('Parameter', 'Min', 'Max', 'Unit') + row('VDD', '1', '2', 'V'));
  expect(read(other + table(HEAD + row('1', 'A', 'I', 'x') + row('2', 'B', 'O', 'y')))).toHaveLength(2);
});
it('gives each cell its address', () =>
  expect(read(table(HEAD + row('1', 'A', 'I', 'x')))[0]!.origin).toEqual({
    sheet: 'table 1',
    cell: 'B2',
    cells: { number: 'A2', name: 'B2', type: 'C2', description: 'D2' },
  }));
it('shows its tables as sheets', () =>
  expect(sheetsOfHtml(table(HEAD + row('1', 'A', 'I', 'x')))).toMatchObject([
    { name: 'table 1', cells: expect.arrayContaining([{ row: 1, col: 1, text: 'A' }]) },
  ]));
it('refuses a page without a pin table', () =>
  expect(refused(readHtml('<p>nothing</p>', { file: 'a.html' }))[0]).toMatch(/^a\.html: The page holds no pin table/));
it('is told from text by what it says', () => {
  expect(isHtmlTable('<p>x</p>')).toBe(false);
  expect(textKind(table(HEAD))).toBe('html');
  expect(good(readSourceText(table(HEAD + row('1', 'A', 'I', 'x')))).terminals).toHaveLength(1);
});
it('property: any markup is read or refused', () => {
  const part = fc.constantFrom(
    '<table>',
    '</table>',
    '<tr>',
    '<td>',
    '<td rowspan=99999999>',
    '<td colspan=-1>',
    '</td>',
    '<sup>',
    '</sup>',
    'Pin',
    'Name',
    '1',
    'VDD',
    '<br>',
    '<script>',
    '&#x0;',
    '<!--',
  );
  fc.assert(
    fc.property(fc.array(part, { maxLength: 40 }), (parts) => {
      const result = readHtml(parts.join(''));
      expect(result.ok || result.problems.length > 0).toBe(true);
    }),
  );
});

describe('a page of many tables', () => {
  const one = (from: number) =>
    table(HEAD + row(String(from), `P${from}`, 'I', 'Port') + row(String(from + 1), `P${from + 1}`, 'I', 'Port'));
  it('has the same table again only once', () => {
    const list = read(one(1).repeat(3000));
    expect(list.map((t) => t.name)).toEqual(['P1', 'P2']);
    expect(sheetsOfHtml(one(1).repeat(5))).toHaveLength(1);
  });
  it('is refused where they are a site’s', () => {
    const html = Array.from({ length: 1001 }, (_, i) => one(2 * i + 1)).join('');
    expect(refused(readHtml(html, { file: 'a.htm' }))[0]).toMatch(/^a\.htm: It holds 1001 tables, too many for one page/);
  });
});

describe('several tables of a page', () => {
  const of = (rows: string, caption = '') => `<table>${caption}${HEAD}${rows}</table>`;
  const pins = of(row('1', 'VDD', 'P', 'Supply') + row('2', 'CLK', 'I', 'Clock') + row('3', 'OUT', 'O', 'Output'), '<caption>Pin functions</caption>'); // prettier-ignore
  const tests = `<h3>Test connector</h3><p>Only on the board.</p><table>${row('Pin', 'Name', 'Signal')}${row('1', 'TCK', 'Clock')}${row('2', 'TMS', 'Mode')}</table>`; // prettier-ignore
  const page = `<h1>TF1</h1>${pins}${tests}`;

  it('are on offer, each by its caption or the heading it stands under', () =>
    expect(good(readHtml(page)).tables).toMatchObject([
      { title: 'Pin functions', sheet: 'table 1', rows: 3, taken: true },
      { title: 'Test connector', sheet: 'table 2', rows: 2, taken: false },
    ]));

  it('stand under a heading that names the part', () => expect(good(readHtml(page)).title).toBe('TF1'));

  it('are read as a person takes them', () => {
    const other = good(readHtml(page, { tables: [1] }));
    expect(terminalsIn(other).map((t) => t.name)).toEqual(['TCK', 'TMS']);
    expect(other.tables?.map((t) => t.taken)).toEqual([false, true]);
  });

  it('are refused where none is taken', () => expect(refused(readHtml(page, { tables: [] }))[0]).toMatch(/pin table/));

  it('have a role of their own where a person sets one', () =>
    expect(
      terminalsIn(good(readHtml(page, { tables: [0], tableRoles: { 0: ['number', 'description', 'type', 'name'] } })))[0],
    ).toMatchObject({
      name: 'Supply',
      description: 'VDD',
    }));

  it('of two packages are told apart by their headings', () => {
    const [a, b] = ['QFN-4', 'SOIC-4'].map((name) => `<h2>${name}</h2>${of(row('1', name === 'QFN-4' ? 'A' : 'B', 'I', '') + row('2', name === 'QFN-4' ? 'B' : 'A', 'I', ''))}`); // prettier-ignore
    expect(good(readHtml(`${a}${b}`)).packages.map((p) => p.name)).toEqual(['QFN-4', 'SOIC-4']);
  });
});

it.each([
  ['Error codes', false],
  ['Pins and their error codes', true],
])('a list under the heading “%s” is one of terminals: %s', (title, isTaken) => {
  const list =
    '<tr><th>No.</th><th>Name</th><th>Meaning</th></tr>' +
    ['OC', 'OT', 'UV'].map((n, i) => `<tr><td>${i + 1}</td><td>${n}</td><td>fault</td></tr>`).join('');
  expect(readSourceText(`<h2>${title}</h2><table>${list}</table>`).ok).toBe(isTaken);
});

it.each([
  ['a list', '<h2>Pins</h2><ul><li>1 - VIN - supply input</li>\n<li>2 - GND - ground</li><li>3 - EN - <b>enable</b></li></ul>'],
  ['a numbered list', '<ol><li>VIN: supply input</li><li>GND: ground</li><li value="3">EN: enable</li></ol>'],
  [
    'a numbered list with the numbers in its words',
    '<ol><li>Pin 1: VIN, supply input</li><li>Pin 2: GND, ground</li><li>Pin 3: EN, enable</li></ol>',
  ],
  ['terms and their words', '<dl><dt>1 VIN</dt><dd>supply input</dd><dt>2 GND:</dt><dd>ground</dd><dt>3 EN</dt><dd>enable</dd></dl>'],
  ['typed text', '<body><pre>Pin  Name  Description\n1    VIN   supply input\n2    GND   ground\n3    EN    enable\n</pre>'],
  ['lines', '<p>1: VIN, supply input<br>2: GND, ground<br>3: EN, enable</p><script>4: EVIL, x</script>'],
])('a page without a table is read as the lines it shows: %s', (_what, html) =>
  expect(terminalsIn(good(readSourceText(html))).map((t) => [t.numbers[''], t.name, t.description])).toEqual([
    ['1', 'VIN', 'supply input'],
    ['2', 'GND', 'ground'],
    ['3', 'EN', 'enable'],
  ]),
);
