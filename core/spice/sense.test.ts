import { indexed, senseOf } from './sense';

it.each([
  ['SHDNB', 'shutdown'],
  ['PDN', 'down power'],
  ['KS', 'kelvin source'],
  ['KS', 'source sense'],
  ['VTUNE', 'VT'],
  ['RFOUT', 'RF OUT'],
  ['~SHDN', 'shutdown'],
  ['FLT_N', 'FAULT'],
  ['VGND', 'ground'],
  ['nSLEEP', 'sleep'],
  ['PRI_CT', 'primary centre tap'],
  ['PRI_CT', 'Primary Center Tap'],
  ['OUT1', 'output 1'],
  ['2OUT', 'Output 2'],
  ['OUTA', 'output of amplifier A'],
  ['IN_P', 'positive input'],
  ['INN', 'negative input'],
  ['RST', 'RESET'],
  ['TRIG', 'Trigger'],
  ['CV', 'control voltage'],
  ['COIL+', 'coil plus'],
  ['XTAL1', 'X1'],
  ['RG1', 'gain set resistor 1'],
  ['VGAIN', 'gain control voltage'],
  ['NULL1', 'offset trim 1'],
  ['IO1', 'protected line 1'],
  ['OUTB', 'output of channel B'],
  ['RG2', 'RG-2'],
  ['RG1', 'Gain resistor terminal 1'],
])('%s means the same as “%s”', (a, b) => {
  expect(senseOf(a)).toBeDefined();
  expect(senseOf(a)).toEqual(senseOf(b));
});

it.each([
  ['OUT1', 'OUT2'],
  ['IN+', 'IN-'],
  ['SET', 'RESET'],
  ['ISENSE', 'VSENSE'],
  ['EN', 'EN2'],
  ['UVLO', 'OVLO'],
  ['RG1', 'gain set 2'],
  ['RG', 'gain control'],
])('%s does not mean the same as %s', (a, b) => expect(senseOf(a)).not.toEqual(senseOf(b)));

it.each(['1', 'A', '', '+', 'the pin', 'a whole sentence that goes on over far too many words to be a name'])(
  '“%s” alone says nothing that could be matched',
  (text) => {
    const sense = senseOf(text);
    if (text === '+') expect(sense).toEqual({ words: '+', index: '' });
    else expect(sense).toBeUndefined();
  },
);

it.each<[string, { stem: string; index: string } | undefined]>([
  ['A1', { stem: 'A', index: '1' }],
  ['anode 1', { stem: 'anode', index: '1' }],
  ['second anode', { stem: 'anode', index: '2' }],
  ['drain 2', { stem: 'drain', index: '2' }],
  ['Gate of Q2', { stem: 'Gate', index: '2' }],
  ['1IN+', { stem: 'IN+', index: '1' }],
  ['IN2-', { stem: 'IN-', index: '2' }],
  ['OUT', undefined],
  ['12', undefined],
])('%s has the index %j', (text, is) => expect(indexed(text)).toEqual(is));
