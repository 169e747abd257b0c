import { alikeTo, stemOf } from './alike';
import type { Doubt, Pin } from './pin';

it.each([
  ['DDR_DQ31', 'DDR_DQ'],
  ['DDR_DQS3_P', 'DDR_DQS'],
  ['RX0+', 'RX'],
  ['A[12]', 'A'],
  ['CLK', 'CLK'],
])('%s is of %s', (name, stem) => expect(stemOf(name)).toBe(stem));

describe('doubts are answered together', () => {
  const open = (name: string, more: Partial<Doubt> = {}, set: Partial<Pin> = {}) => ({
    pin: { id: name, name, type: 'input' as const, pads: {}, doubts: [], ...set } as Pin,
    doubt: { field: 'type' as const, reason: `Most terminals with “name ${name}” are outputs.`, candidates: ['output'], ...more },
  });
  const first = open('DQ0');
  it.each<[string, ReturnType<typeof open>, boolean]>([
    ['of one bus', open('DQ7'), true],
    ['of a pair’s halves', open('DQ1_N'), true],
    ['of another bus', open('DM7'), false],
    ['with other candidates', open('DQ7', { candidates: ['passive'] }), false],
    ['of another reason', open('DQ7', { reason: 'The type cell is empty.' }), false],
    ['of another type', open('DQ7', {}, { type: 'output' }), false],
    ['of another field', open('DQ7', { field: 'activeLow' }), false],
  ])('%s: %#', (_what, other, isAlike) => expect(alikeTo(first, [other, first])).toEqual(isAlike ? [first, other] : [first]));
  it('but not where each has a value of its own', () => {
    const name = open('DQ0', { field: 'name' });
    expect(alikeTo(name, [name, open('DQ1', { field: 'name' })])).toEqual([name]);
  });
});
