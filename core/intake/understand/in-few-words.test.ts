import { inFewWords } from './in-few-words';
import { inferType } from './infer-type';

/** The reasons are those that are given, so that one in other words is noticed here. */
it.each<[name: string, description: string, words: RegExp]>([
  ['SLEEP', 'Low for the lowest current.', /^name SLEEP: mostly input$/],
  ['CS5', 'Column 5, sink.', /^“.*”: mostly output$/],
  ['PGNDA', 'Sense resistor of bridge A, or ground', /^name PGNDA: often ground$/],
  ['MODE0', 'Microsteps, see table 3.', /^.*: often passive$/],
  ['AOUT1', 'Winding A.', /^“Winding”: often output$/],
  ['ZZ', 'Nothing that anybody has said before', /^such words: mostly output$/],
  ['HOME', 'Low at the electrical home position.', /^nothing tells$/],
])('the doubt of %s, “%s”', (name, description, words) =>
  expect(inFewWords(inferType(name, undefined, description, new Map()).doubt!.reason)).toMatch(words),
);

it('leaves another reason as it is', () =>
  expect(inFewWords('Its lines break between “A” and “B”.')).toBe('Its lines break between “A” and “B”.'));
