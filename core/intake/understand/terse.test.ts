import { read } from '../../test/samples';
import { suggestByFewWords } from './terse';

const first = (words: string) => read(`Pin,Name,Description\n1,QZ,"${words}"\n2,GND,Ground\n3,VDD,Supply\n`).terminals[0]!;

it.each<[string, string]>([
  ['Number lamp', 'output'],
  ['Buzzer', 'output'],
  ['Adapter present', 'input'],
  ['Fault of the amplifier', 'input'],
  ['Core regulator good', 'input'],
  ['Voltage monitor of supply 1', 'input'],
  ['Fan pulses', 'input'],
  ['Fan speed control', 'output'],
  ['Backlight on', 'output'],
  ['Data to the code flash', 'output'],
])('“%s” is most likely an %s, and asked', (words, type) => {
  const t = first(words);
  expect([t.type, t.doubts.some((d) => d.field === 'type')]).toEqual([type, true]);
});

it('what a type column told is asked as it was', () => {
  const told = { ...first('Number lamp'), type: 'input' as const, because: { type: 'type column “I”' } };
  const { doubts } = told;
  suggestByFewWords([told]);
  expect([told.type, told.doubts]).toEqual(['input', doubts]);
});

it('what is sure is not asked', () => expect(first('Clock input from the host').doubts).toEqual([]));
