import { firstOf, repeated } from './names';

it.each<[string[], string]>([
  [[], ''],
  [['A'], 'A'],
  [['A', 'B', 'C', 'D'], 'A, B, C, D'],
  [['A', 'B', 'C', 'D', 'E'], 'A, B, C, D, E'],
  [['A', 'B', 'C', 'D', 'E', 'F'], 'A, B, C, D and 2 more'],
])('of %j a message says %s', (names, said) => expect(firstOf(names)).toBe(said));

it.each<[string[], string[]]>([
  [[], []],
  [['A', 'B'], []],
  [
    ['A', 'B', 'A', 'A', 'C', 'B'],
    ['A', 'B'],
  ],
])('in %j what stands more than once is %j', (names, twice) => expect([...repeated(names)]).toEqual(twice));
