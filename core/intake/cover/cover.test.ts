import fc from 'fast-check';
import type { CoverText } from './cover';
import { findMaker } from './makers';
import { partNumbersIn } from './part-numbers';
import { readCover } from './read-cover';
import { tidied } from './title-block';

/** A page's texts: each its font size, where it begins, and what it says; 20 points under the one before, or `down` points. */
type Given = [size: number, text: string, down?: number, x?: number];
const page = (number: number, ...given: Given[]): CoverText[] => {
  let base = 40;
  return given.map(([size, text, down = 20, x = 50]) => {
    base += down;
    return {
      text,
      size,
      x0: x,
      x1: x + text.length * size * 0.5,
      base,
      page: number,
      box: [x, base - size, text.length * size * 0.5, size],
    };
  });
};
const BODY: Given[] = [
  [10, 'Features'],
  [10, 'It works from one supply and sleeps at 2 µA between two results.', 12],
];
const told = (first: Given[], later: Given[] = [], file = '') => {
  const { number, description, maker, revision, orderCodes } = readCover(page(1, ...first, ...BODY), page(2, ...later), file);
  return [number?.value, description?.value, maker?.value, revision?.value, orderCodes.map((c) => c.value).join(' ')];
};

describe('a cover', () => {
  it.each<[string, Given[], Given[], (string | undefined)[]]>([
    [
      'of one line',
      [[16, 'TF6402 24-bit bridge converter, TSSOP-20']],
      [],
      ['TF6402', '24-bit bridge converter', undefined, undefined, ''],
    ],
    [
      'with what it is over its number, in two lines',
      [
        [10, 'Tarnfield Devices'],
        [20, 'Low-Power, 24-Bit Bridge Converter'],
        [20, 'with SPI Interface', 24],
        [14, 'TF6402'],
      ],
      [[9, 'Rev. C | page 2 of 2']],
      ['TF6402', 'Low-Power, 24-Bit Bridge Converter with SPI Interface', 'Tarnfield Devices', 'C', ''],
    ],
    [
      'with what it is in two large lines',
      [
        [18, 'TF6405, TF6406, TF6407'],
        [16, 'Quad Voltage-Output'],
        [16, 'Digital-to-Analog Converters', 19],
      ],
      [],
      ['TF6405', 'Quad Voltage-Output Digital-to-Analog Converters', undefined, undefined, ''],
    ],
    [
      'with its number at the right',
      [
        [9, 'OSTRELL'],
        [24, 'TF6404', 0, 400],
        [15, 'Dual 80 MHz amplifier', 20, 380],
        [9, 'Document OS-6404-DS Version 2.1'],
      ],
      [[9, 'Ostrell Components Ltd, Kite Road 4']],
      ['TF6404', 'Dual 80 MHz amplifier', 'Ostrell Components Ltd', '2.1', ''],
    ],
    [
      'whose small line says what it is',
      [
        [10, 'Silicon N-Channel Power MOSFET'],
        [24, 'TFQ60N10', 30],
      ],
      [],
      ['TFQ60N10', 'Silicon N-Channel Power MOSFET', undefined, undefined, ''],
    ],
    [
      'with dates and addresses about',
      [
        [9, 'www.tarnfield.example'],
        [20, 'TF6410'],
        [9, 'March 2026'],
        [9, 'Datasheet - production data'],
        [14, 'High-side switch'],
      ],
      [[9, '© 2026 Ostrell Components. All rights reserved.']],
      ['TF6410', 'High-side switch', 'Ostrell Components', undefined, ''],
    ],
    [
      'of an ordering list',
      [[20, 'TF6402']],
      [
        [12, 'Ordering information'],
        [9, 'TF6402PW', 12],
        [9, 'TF6402PWR', 12],
        [9, 'TF6402EVM', 12],
        [9, 'TF6500PW', 12],
      ],
      ['TF6402', undefined, undefined, undefined, 'TF6402PW TF6402PWR'],
    ],
    [
      'revised in a month',
      [
        [20, 'TF6408 transceiver'],
        [9, 'OSDS123A – JUNE 2025 – REVISED MAY 2026'],
      ],
      [],
      ['TF6408', 'Transceiver', undefined, 'MAY 2026', ''],
    ],
    [
      'with two revisions',
      [
        [20, 'TF6408 transceiver'],
        [9, 'Rev. A'],
        [9, 'Rev. B'],
      ],
      [],
      ['TF6408', 'Transceiver', undefined, undefined, ''],
    ],
    ['of a chapter only', [[12, 'TF6116 pin assignment']], [], ['TF6116', undefined, undefined, undefined, '']],
    [
      'of a table only',
      [
        [10, 'Pin Symbol I/O Description'],
        [10, 'Ball number Signal name'],
      ],
      [],
      [undefined, undefined, undefined, undefined, ''],
    ],
    [
      'of a sentence only',
      [
        [20, 'TF9303'],
        [10, 'The part is made for what its name says and keeps its counts'],
      ],
      [],
      ['TF9303', undefined, undefined, undefined, ''],
    ],
    ['of nothing', [], [], [undefined, undefined, undefined, undefined, '']],
  ])('%s', (_what, first, later, expected) => expect(told(first, later)).toEqual(expected));

  it('is of the part that its file names', () =>
    expect(told([[20, 'TF6405, TF6406'], [16, 'Quad converters']], [], '/some/where/tf6406.pdf')[0]).toBe('TF6406')); // prettier-ignore
  it('names its family', () => expect(readCover(page(1, [18, 'TF6405, TF6406, TF6407']), page(2)).others).toEqual(['TF6406', 'TF6407']));
  it('says where each stands', () => {
    const { number, maker } = readCover(page(1, [20, 'TF6402 converter']), page(4, [9, 'Copyright 2026 Tarnfield Devices']));
    expect([number, maker?.page]).toEqual([{ value: 'TF6402', page: 1, box: [50, 40, 160, 20] }, 4]);
  });
  it('marks the whole of a title in two lines', () => {
    const { description } = readCover(page(1, [16, 'TF6402 converter'], [16, 'with its own reference', 20]), page(2));
    expect(description?.box).toEqual([50, 44, 176, 36]);
  });
  it('is read of any text without a hitch', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 40 }), fc.string({ maxLength: 60 })), { maxLength: 12 }), (lines) => {
        const cover = readCover(page(1, ...lines), page(2, ...lines));
        const shown = lines.map(([, text]) => text).join('\n');
        expect(cover.number === undefined || shown.includes(cover.number.value)).toBe(true);
        expect(cover.orderCodes.every((c) => shown.includes(c.value))).toBe(true);
      }),
    ));
});

describe('numbers of parts', () => {
  it.each([
    ['TF6402A/TF6402B converter', ['TF6402A', 'TF6402B']],
    ['TF-6416X', ['TF-6416X']],
    ['TF6415-QFN48', ['TF6415']],
    ['IEEE802.3, RS485, AEC-Q100 and LQFP64', []],
    ['USB20 hub, 3V3 and 24-bit', []],
  ])('in “%s”', (text, numbers) => expect(partNumbersIn(text)).toEqual(numbers));
});

describe('makers', () => {
  it.each<[string, string | undefined]>([
    ['Tarnfield Devices', 'Tarnfield Devices'],
    ['TARNFIELD DEVICES · TF1733 datasheet', 'TARNFIELD DEVICES'],
    ['Tarnfield Devices GmbH reserves the right to change this.', 'Tarnfield Devices GmbH'],
    ['© 2024-2026 Ostrell Components, all rights reserved', 'Ostrell Components'],
    ['Copyright (c) 2026 by Ostrell Components', 'Ostrell Components'],
    ['Typical Circuits', undefined],
    ['Copyright', undefined],
    ['Dual amplifier', undefined],
  ])('in “%s”', (text, maker) => expect(findMaker(page(1, [9, text]))?.value).toBe(maker));
  it('are not told apart', () => expect(findMaker(page(1, [9, 'Tarnfield Devices'], [9, 'Ostrell Components']))).toBeUndefined());
  it('are one with and without their form', () =>
    expect(findMaker(page(1, [9, 'Tarnfield Devices'], [9, '© Tarnfield Devices Ltd.']))?.value).toBe('Tarnfield Devices'));
});

it.each([
  ['quad line receiver, SO-14', 'Quad line receiver'],
  ['dual digital isolator, SO-16W', 'Dual digital isolator'],
  ['Low-power, 24-bit converter, 20-lead', 'Low-power, 24-bit converter'],
  ['Amplifier. For small signals', 'Amplifier'],
])('“%s” is tidied to “%s”', (text, tidy) => expect(tidied(text)).toBe(tidy));
