import { read } from '../../test/samples';

const clock = (title: string, words: string, name = 'SENCLK') =>
  read(`${title}\nPin,Name,Description\n1,${name},"${words}"\n2,GND,Ground\n3,VDD,Supply\n`).terminals[0]!;
const askedFor = (title: string, words: string, name?: string) =>
  clock(title, words, name).doubts.flatMap((d) => (d.field === 'type' ? (d.candidates ?? []) : []));

it.each([
  'Clock for the sensor',
  'Chip select of the external flash',
  'Reset of the subscriber card',
  'Clock for further sequencers',
  'Resets the sensor',
  'Selects the microphone',
  'Enables the external regulator',
  'EEPROM clock',
])('“%s” may be what this part drives', (words) => expect(askedFor('TF1 interface', words)).toContain('output'));

it('a supply of a card may be what this part gives', () =>
  expect(askedFor('TF1 interface', 'Supply of the memory card', 'VCARD')).toContain('supply-out'));

it.each([
  ['TF1 flow sensor', 'Clock for the sensor'],
  ['TF1 interface', 'Clock input for the sensor'],
  ['TF1 interface', 'Reset, active low'],
  ['TF1 interface', 'Enable of the output stage'],
  ['TF1 interface', 'Chip select, active low'],
])('of a %s “%s” is its own', (title, words) =>
  expect(clock(title, words).doubts.filter((d) => /another part/.test(d.reason))).toEqual([]),
);

it('a type column is not asked', () =>
  expect(read('Pin,Name,Type,Description\n1,CK,I,Clock for the sensor\n2,GND,G,Ground\n').terminals[0]!.doubts).toEqual([]));
