import { readPages, terminalsIn, type ReadOptions } from '..';
import { hasDescribed } from './described';
import { page, read, text } from './page.samples';
import type { DocumentPage, Run } from './page';

/** Lines of a page, 12 points apart; an empty one leaves a gap. */
const lines = (list: string[], x = 50, y = 100): Run[] => list.flatMap((l, i) => (l === '' ? [] : [text(x, y + i * 12, l)]));
const said = (pages: DocumentPage[], options: ReadOptions = {}) => {
  const p = read(pages, options);
  return terminalsIn(p).map((t) => `${t.numbers[p.package]} ${t.name} ${t.type}: ${t.description}`);
};
const of = (...list: string[]) => page(lines(list));

const BODY = [
  'PIN FUNCTIONS',
  'VIN (Pin 1): Input supply. Bypass it to',
  'ground with 1 µF.',
  'GND (Pins 2, 5): Ground.',
  'EN (Pin 3): Enable input.',
  'OUT (Pin 4): Regulator output.',
];
const ALL = [
  '1 VIN supply-in: Input supply. Bypass it to ground with 1 µF.',
  '2 GND ground: Ground.',
  '5 GND ground: Ground.',
  '3 EN input: Enable input.',
  '4 OUT supply-out: Regulator output.',
];

it('reads terminals that are described in paragraphs', () => expect(said([of(...BODY)])).toEqual(ALL));
it('reads them with their numbers before their names', () =>
  expect(
    said([
      of(
        'PIN FUNCTIONS',
        'Pin 1 (VIN): Input supply. Bypass it to',
        'ground with 1 µF.',
        'Pins 2, 5 (GND): Ground.',
        'Pin 3 (EN) – Enable input.',
        'Pin 4 (OUT): Regulator output.',
      ),
    ]),
  ).toEqual(ALL));
it('takes sentences about pins for no descriptions', () =>
  expect(hasDescribed('Pin 1 (VIN) is fed. Pin 2 (GND) must be tied to ground. Pin 3 (EN) turns it on. Pin 4 (OUT) is the output.')).toBe(
    false,
  ));
it('ends a paragraph at a gap', () => expect(said([of(...BODY, '', '', '', 'OPERATION of the regulator is simple.')])).toEqual(ALL));
it.each([
  ['an exposed pad with its number', 'PAD (Exposed Pad Pin 6): Ground.', '6 PAD ground: Ground.'],
  ['one without', 'PAD (Exposed Pad): Ground.', 'EP PAD ground: Ground.'],
  ['a list with its last number after “and”', 'NC (Pins 6, 7 and 8): Not connected.', '8 NC no-connect: Not connected.'],
  ['names and numbers in their order', 'A, B (Pins 6, 7): Logic input.', '7 B input: Logic input.'],
  ['brackets over the line’s end', 'NC (Pins 6,', '7 NC no-connect: Not connected.'],
])('reads %s', (_what, line, last) => {
  const rest = line.endsWith(',') ? ['7): Not connected.'] : [];
  expect(said([of(...BODY, line, ...rest)]).at(-1)).toBe(last);
});
it('keeps the paragraphs of two short text columns apart', () => {
  const right = ['OUT (Pin 4): Regulator output.', 'OPERATION', 'The regulator is simple, and its', 'output is held over temperature.'];
  expect(said([page([...lines(BODY.slice(0, 5)), ...lines(right, 310)])])).toEqual(
    ALL.with(4, '4 OUT supply-out: Regulator output. OPERATION The regulator is simple, and its output is held over temperature.'),
  );
});
it('reads two packages, named in the heading', () => {
  const two = of(
    'PIN FUNCTIONS (DFN/MSOP)',
    'IN (Pin 1/Pin 2): Input supply.',
    'OUT (Pin 2/Pin 1): Output.',
    'GND (Pin 3): Ground.',
    'EN (NA/Pin 4): Enable input.',
  );
  const numbers = (name?: string) => said([two], name ? { package: name } : {}).map((t) => t.split(' ').slice(0, 2).join(' '));
  expect(read([two]).packages.map((p) => p.name)).toEqual(['DFN', 'MSOP']);
  expect(numbers()).toEqual(['1 IN', '2 OUT', '3 GND']);
  expect(numbers('MSOP')).toEqual(['2 IN', '1 OUT', '3 GND', '4 EN']);
});
it('gives the page and the boxes of what it read, and one table that is taken', () => {
  const { terminals, tables } = read([of(...BODY)]);
  const [number, name] = ['number', 'name'].map((f) => terminals[0]!.origin!.cells![f] as number[]);
  expect(terminals[0]!.origin!.page).toBe(1);
  expect(name![0]).toBeLessThan(number![0]!);
  expect(tables!.map((t) => [t.taken, t.rows, t.areas!.length])).toEqual([[true, 4, 1]]);
});
it('takes no remark on a few pins for a pinout', () => {
  expect(hasDescribed('VIN (Pin 1) and GND (Pin 2) are wired')).toBe(false);
  expect(readPages([of('The input VIN (Pin 1) is', 'wired to GND (Pin 2).', 'It is small and light.')]).ok).toBe(false);
});

it('reads the leads that a legend counts beside a drawing, with the place of each', () => {
  const legend = page([...lines(['TF0009 transistor', '', '1. Base', '2. Emitter', '3. Collector']), text(300, 124, 'SOT-23')]);
  expect(said([legend]).map((t) => t.replace(/: .*/, ''))).toEqual(['1 Base input', '2 Emitter passive', '3 Collector passive']);
  const boxes = read([legend]).terminals.map((t) => t.origin?.box);
  expect(new Set(boxes.map((b) => b?.[1])).size).toBe(3);
  expect(boxes.every((b) => b !== undefined && b[0]! + b[2]! < 200)).toBe(true);
});

describe('a list with a line for each terminal', () => {
  const LIST = [
    'Connector',
    '• Pin 1: not connected',
    '• Pin 2: RX, receive data of the',
    'unit beside it',
    '• Pin 3: TX',
    '• Pin 5: signal ground',
  ];
  it('is read where there is nothing else', () => {
    const { terminals } = read([of(...LIST)]);
    expect(terminals.map((t) => [t.numbers[''], t.name, t.description])).toEqual([
      ['1', 'NC', 'not connected'],
      ['2', 'RX', 'receive data of the unit beside it'],
      ['3', 'TX', undefined],
      ['5', 'signal ground', undefined],
    ]);
    expect(terminals[1]!.origin?.page).toBe(1);
  });
  it('goes on on the next page, and a terminal that stands twice is asked', () => {
    const { terminals } = read([of(...LIST), page(lines(['Pin 6: CTS', 'Pin 7: RTS', 'Pin 3: TX2']), [], 2)]);
    expect(terminals.map((t) => `${t.numbers['']} ${t.origin?.page}`)).toEqual(['1 1', '2 1', '3 1', '5 1', '6 2', '7 2', '3 2']);
    expect(terminals.filter((t) => t.doubts.some((d) => d.field === 'number')).map((t) => t.name)).toEqual(['TX', 'TX2']);
  });
  it('is none of two lines, or of steps', () => {
    expect(readPages([of(...LIST.slice(0, 3))]).ok).toBe(false);
    expect(readPages([of('Step 1: open the lid', 'Step 2: set the jumper', 'Step 3: close the lid', 'Step 4: switch it on')]).ok).toBe(
      false,
    );
  });
});
