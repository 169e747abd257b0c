import type { Pad } from '../part';
import { good } from '../test/samples';
import { familyFromName, generateLand } from '.';
import { isGrid, walkPads } from './walk';

const pads = (name: string): Pad[] => good(generateLand(good(familyFromName(name)).family)).pads;

describe('the walk', () => {
  it.each<[string, string]>([
    ['SO-8', '1 2 3 4 5 6 7 8'],
    ['SO-8-EP', '1 2 3 4 5 6 7 8 9'],
    ['SOT-23-5', '1 2 3 4 5'],
    ['BGA-9', 'A1 A2 A3 B1 B2 B3 C1 C2 C3'],
  ])('of %s is %s', (name, order) => expect(walkPads(pads(name)).join(' ')).toBe(order));
  it('goes row by row on a grid, and around everything else', () => {
    expect(isGrid(pads('BGA-64'))).toBe(true);
    expect(isGrid(pads('LQFP-64'))).toBe(false);
    expect(isGrid(pads('HDR-2x5'))).toBe(false);
  });
  it('has a number once, and mechanical pads at its end', () => {
    const [first, ...rest] = pads('SO-8');
    expect(walkPads([{ ...first!, number: 'MP1', mechanical: true }, ...rest, { ...rest[0]!, y: 9 }])).toEqual([
      ...rest.map((p) => p.number),
      'MP1',
    ]);
  });
});
