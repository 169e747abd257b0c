import { good, read } from '../../test/samples';
import { terminalsIn } from '..';
import { list, page, read as readPages, table, text } from '../page/page.samples';
import { readHtml } from '../html';
import { groupOfTitle } from './group-titles';

it.each<[string, string | undefined]>([
  ['Table 5. Serial port pins', 'Serial port pins'],
  ['Table 2-1: Clocks', 'Clocks'],
  ['4.2 Power and ground', 'Power and ground'],
  ['## Serial bus', 'Serial bus'],
  ['2. Serial bus', 'Serial bus'],
  ['Table 6. 2-wire bus', '2-wire bus'],
  ['4.2 3.3 V supplies', '4.2 3.3 V supplies'],
  ['3.3 V supplies', '3.3 V supplies'],
  ['5 V supplies', '5 V supplies'],
  ['Serial bus (continued)', 'Serial bus'],
  ['Serial bus:', 'Serial bus'],
  ['Pin functions', undefined],
  ['Table 3. Pin names and descriptions', undefined],
  ['Signal descriptions (continued)', undefined],
  ['LQFP48 pin assignment', undefined],
  ['KX1042 pin functions', undefined],
  ['KX1042 data sheet', undefined],
  ['page 2', undefined],
  ['All pins are listed below.', undefined],
  ['Pins 1 to 24 of the part, in the order of their numbers, with their functions', undefined],
  ['', undefined],
])('over a table “%s” names the group %s', (title, group) => expect(groupOfTitle(title)).toBe(group));

const POWER = [['1', 'VDD', 'P', 'Supply'], ['2', 'GND', 'G', 'Ground']]; // prettier-ignore
const SERIAL = [['3', 'SDA', 'I/O', 'Data'], ['4', 'SCL', 'I', 'Clock']]; // prettier-ignore
const HEAD = ['Pin', 'Name', 'Type', 'Description'];
const WANT = ['VDD Power', 'GND Power', 'SDA Serial bus', 'SCL Serial bus'];
const told = (p: ReturnType<typeof read>): string[] => terminalsIn(p).map((t) => `${t.name} ${t.group ?? '-'}`);

describe('titles over several tables are the groups of their terminals', () => {
  const lines = (sign: string, rows: string[][]) => rows.map((r) => r.join(sign)).join('\n');
  it('in a text', () => {
    const text = `Power\n${lines('\t', [HEAD, ...POWER])}\n\nSerial bus\n${lines('\t', [HEAD, ...SERIAL])}\n`;
    expect(told(read(text))).toEqual(WANT);
  });
  it('in Markdown', () => {
    const of = (rows: string[][]) => [HEAD, HEAD.map(() => '---'), ...rows].map((r) => `| ${r.join(' | ')} |`).join('\n');
    expect(told(read(`# KX1042\n\n## Power\n\n${of(POWER)}\n\n## Serial bus\n\n${of(SERIAL)}\n`))).toEqual(WANT);
  });
  it('in Markdown, with the numbers of their sections', () => {
    const of = (rows: string[][]) => [HEAD, HEAD.map(() => '---'), ...rows].map((r) => `| ${r.join(' | ')} |`).join('\n');
    expect(told(read(`## 4.1 Power\n\n${of(POWER)}\n\n## 4.2 Serial bus\n\n${of(SERIAL)}\n`))).toEqual(WANT);
  });
  const row = (cells: string[], tag: string) => `<tr>${cells.map((c) => `<${tag}>${c}</${tag}>`).join('')}</tr>`;
  const html = (title: string, rows: string[][]) => `${title}<table>${row(HEAD, 'th')}${rows.map((r) => row(r, 'td')).join('')}</table>`; // prettier-ignore
  it.each<[string, (title: string) => string]>([
    ['headings', (title) => `<h2>${title}</h2>`],
    ['lines', (title) => `<p class="c"><b>Table 5. ${title}</b></p>`],
    ['lines below headings', (title) => `<h2>Pins</h2><p>${title}</p>\n`],
    ['headings over a sentence', (title) => `<h2>${title}</h2><p>They are listed by their names.</p>`],
  ])('in HTML, as %s', (_form, over) => {
    const text = html(over('Power'), POWER) + html(over('Serial bus'), SERIAL);
    expect(told(good(readHtml(text)))).toEqual(WANT);
  });
  it('in HTML, of a table of one row whose cells alone could be anything', () => {
    const text = html('<p>Power</p>', POWER) + html('<p>Address bus</p>', [['3, 4, 5', 'A2 to A0', 'I', 'Address']]);
    expect(told(good(readHtml(text))).slice(2)).toEqual(['A2 Address bus', 'A1 Address bus', 'A0 Address bus']);
  });
  it.each(['none', 'all'] as const)('on a page, with rules: %s', (rules) => {
    const first = table([HEAD, ...POWER], { y: 100, rules });
    const second = table([HEAD, ...SERIAL], { y: 230, rules });
    const titles = [text(50, 92, 'Table 3. Power'), text(50, 222, 'Table 4. Serial bus')];
    expect(told(readPages([page([...first.runs, ...second.runs, ...titles], [...first.rules, ...second.rules])]))).toEqual(WANT);
  });
  it('where the title is the last line of the page before', () => {
    const first = table([HEAD, ...POWER], { y: 100, rules: 'all' });
    const second = table([HEAD, ...SERIAL], { y: 60, rules: 'all' });
    const pages = [page([...first.runs, text(50, 92, '4.1 Power'), text(50, 190, '4.2 Serial bus')], first.rules), page(second.runs, second.rules, 2)]; // prettier-ignore
    expect(told(readPages(pages))).toEqual(WANT);
  });
  const LEFT = { x: [40, 75, 130, 165], right: 280, rules: 'all' as const };
  const RIGHT = { x: [310, 345, 400, 435], right: 550, rules: 'all' as const };
  it.each([
    ['a line', [] as string[]],
    ['a line above what stands at the edge of each page', ['KX1042 data sheet', 'page 1']],
  ])('where the title is the last of a text column, %s', (_what, edges) => {
    const first = table([HEAD, ...POWER], { ...LEFT, y: 300 });
    const second = table([HEAD, ...SERIAL], { ...RIGHT, y: 60 });
    const around = edges.map((line, i) => text(i === 0 ? 40 : 500, i === 0 ? 30 : 800, line));
    const titles = [text(40, 292, 'Table 3. Power'), text(40, 400, 'Table 4. Serial bus')];
    expect(told(readPages([page([...first.runs, ...second.runs, ...titles, ...around], [...first.rules, ...second.rules])]))).toEqual(WANT);
  });
  it('where the title is the last of a page of two columns, whose first is longer', () => {
    const first = table([HEAD, ...POWER], { ...LEFT, y: 700 });
    const other = table([HEAD, ['5', 'EN', 'I', 'Enable'], ['6', 'PG', 'O', 'Good']], { ...RIGHT, y: 100 });
    const second = table([HEAD, ...SERIAL], { ...LEFT, y: 60 });
    const titles = [text(40, 692, 'Table 3. Power'), text(310, 92, 'Table 4. Control'), text(310, 200, 'Table 5. Serial bus')];
    const pages = [page([...first.runs, ...other.runs, ...titles], [...first.rules, ...other.rules]), page(second.runs, second.rules, 2)];
    expect(told(readPages(pages)).filter((t) => /^S/.test(t))).toEqual(['SDA Serial bus', 'SCL Serial bus']);
  });
  it('goes on with a group in the next text column, under the heading again', () => {
    const first = table([HEAD, ['Power', '', '', ''], ...POWER, ['Serial bus', '', '', ''], SERIAL[0]!], { ...LEFT, y: 300 });
    const second = table([HEAD, SERIAL[1]!, ['5', 'A0', 'I', 'Address']], { ...RIGHT, y: 60 });
    const p = readPages([page([...first.runs, ...second.runs], [...first.rules, ...second.rules])]);
    expect(told(p)).toEqual([...WANT, 'A0 Serial bus']);
  });
  it('but not where a number stands in both', () => {
    const rows = [['1', 'SDA', 'I/O', 'Data'], ['2', 'SCL', 'I', 'Clock']]; // prettier-ignore
    const first = table([HEAD, ...POWER], { y: 100 });
    const second = table([HEAD, ...rows], { y: 230 });
    const p = readPages([page([...first.runs, ...second.runs, text(50, 92, 'Power'), text(50, 222, 'Serial bus')])]);
    expect(told(p).map((t) => t.split(' ')[1])).not.toContain('Power');
  });
});

it('reads two headings of one line that are set as near as words, and names before numbers as near', () => {
  const heads = [text(50, 100, 'Terminal'), text(88, 100, 'Signal'), text(150, 100, 'I/O'), text(200, 100, 'Description')];
  const cells = ['VDD', 'GND', 'SDA', 'SCL', 'EN'].flatMap((name, i) => [
    text(60, 118 + 18 * i, String(i + 1)),
    text(92, 118 + 18 * i, name),
    text(152, 118 + 18 * i, 'I'),
    text(200, 118 + 18 * i, 'Of the part'),
  ]);
  expect(list([page([...heads, ...cells])])).toEqual(['1 VDD', '2 GND', '3 SDA', '4 SCL', '5 EN']);
});
