import { repeated } from './names';

it.each<[string[], string[]]>([
  [[], []],
  [['A', 'B'], []],
  [
    ['A', 'B', 'A', 'A', 'C', 'B'],
    ['A', 'B'],
  ],
])('in %j what stands more than once is %j', (names, twice) => expect([...repeated(names)]).toEqual(twice));
