import { largeIn, purposeOf, sayOthers, sorted } from './brought';

const files = (names: string) => names.split(' ').map((name) => new File(['x'], name));

it.each<[string, boolean, string | undefined]>([
  ['a.pdf', false, 'source'],
  ['a.csv', false, 'source'],
  ['a.csv', true, 'pads'],
  ['a.lib', false, 'model'],
  ['a.txt', true, 'model'],
  ['a.xml', false, 'pads'],
  ['a.png', false, undefined],
])('%s, at Join: %s, is for %s', (name, isAtJoin, purpose) => expect(purposeOf(name, isAtJoin)).toBe(purpose));

it.each<[string, boolean, string | undefined, string | undefined, string | undefined]>([
  ['a.pdf', false, 'a.pdf', undefined, undefined],
  ['a.pdf a.lib', false, 'a.pdf', 'a.lib', 'a.lib waits at Join.'],
  ['a.lib a.pdf', false, 'a.pdf', 'a.lib', 'a.lib waits at Join.'],
  ['a.pdf b.pdf', false, 'a.pdf', undefined, 'Not taken: b.pdf. Drop it by itself.'],
  ['a.pdf a.lib a.xml a.png', false, 'a.pdf', 'a.lib', 'a.lib waits at Join. Not taken: a.xml, a.png. Drop them one by one.'],
  ['a.lib b.lib', true, undefined, 'a.lib', 'Not taken: b.lib. Drop it by itself.'],
  ['a.png', false, undefined, undefined, 'Not taken: a.png. Drop it by itself.'],
])('of %s, at Join: %s, %s is read and %s joined; it is said: %s', (names, isAtJoin, source, toJoin, said) => {
  const came = sorted(files(names), isAtJoin);
  expect([came.source?.name, came.toJoin?.file.name, sayOthers(came, isAtJoin)]).toEqual([source, toJoin, said]);
});

it('opens no file that is too large, whichever of them it is', () => {
  const file = (name: string, size: number) => ({ name, size }) as File;
  const [small, large] = [file('a.pdf', 5), file('a.lib', 300e6)];
  expect(largeIn({ source: small, left: [large] })).toBeUndefined();
  expect(largeIn({ source: small, toJoin: { kind: 'model', file: large }, left: [] })).toMatchObject({ code: 'input-large' });
  expect(largeIn({ source: file('b.pdf', 300e6), left: [] })).toMatchObject({ code: 'input-large' });
});
