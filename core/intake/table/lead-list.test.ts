import { read, refused } from '../../test/samples';
import { readText } from '../text';
import { listedLeads } from './lead-list';

const said = (text: string) => listedLeads(text.split('\n'))?.map((l) => `${l.number} ${l.name}`);

describe('leads that a legend counts', () => {
  it.each<[string, string, string[]]>([
    ['line by line', '1: Anode\n2: Cathode\n3: Emitter\n4: Collector', ['1 Anode', '2 Cathode', '3 Emitter', '4 Collector']],
    ['with what stands between', '1. Base\nSOT-23\n2. Emitter\n\n3. Collector', ['1 Base', '2 Emitter', '3 Collector']],
    ['in a sentence', 'Pin connections: 1 gate, 2 drain, 3 source', ['1 gate', '2 drain', '3 source']],
    ['in two columns', '1. Anode   2. Cathode\n3. Emitter   4. Collector', ['1 Anode', '2 Cathode', '3 Emitter', '4 Collector']],
    ['with their own words', 'Pin 1 = LED anode\nPin 2 = LED cathode', ['1 LED anode', '2 LED cathode']],
    ['with others among them', '1 Anode\n2 Cathode\n3 NC\n4 Main terminal 1\n5 Substrate\n6 Main terminal 2', ['1 Anode', '2 Cathode', '3 NC', '4 Main terminal 1', '5 Substrate', '6 Main terminal 2']], // prettier-ignore
    ['with one that is not joined', '1 Anode\n2 Cathode\n3 No internal connection\n4 Emitter', ['1 Anode', '2 Cathode', '3 No internal connection', '4 Emitter']], // prettier-ignore
  ])('are read %s', (_how, text, expected) => expect(said(text)).toEqual(expected));

  it.each([
    ['chapters', '1. Collector characteristics\n2. Emitter characteristics'],
    ['a sentence that counts', 'Connect 1 anode and 2 cathode wires to the board.'],
    ['ratings', '1 collector-emitter voltage 60 V\n2 emitter-base voltage 5 V'],
    ['supplies alone', '1 VCC\n2 GND\n3 input\n4 output'],
    ['a list that goes on with other words', '1 Anode\n2 Cathode\n3 Sense tap'],
    ['a list that does not begin at 1', '2: Anode\n3: Cathode'],
    ['two that differ', '1: Anode\n2: Cathode\n\n\n\n\n\n1: Cathode\n2: Anode'],
    ['one that is far from the other', '1: Anode\n\n\n\n\n\n\n2: Cathode'],
  ])('are not taken from %s', (_what, text) => expect(said(text)).toBeUndefined());

  it('have their types', () =>
    expect(read('TF0009 transistor\n\n1. Base\n2. Emitter\n3. Collector\n').terminals.map((t) => [t.numbers[''], t.name, t.type, t.doubts.length])).toEqual([
      ['1', 'Base', 'input', 0],
      ['2', 'Emitter', 'passive', 0],
      ['3', 'Collector', 'passive', 0],
    ])); // prettier-ignore
  it('are looked for in long texts in one go', () => {
    expect(listedLeads(Array.from({ length: 20_000 }, () => '1: Anode'))).toBeUndefined();
    expect(listedLeads(['1 '.repeat(150), `${'pin '.repeat(70)}1`])).toBeUndefined();
  });
  it('are no table where there are none', () => expect(refused(readText('1. Scope\n2. Anode currents\n'))[0]).toMatch(/No pin table/));
});

it.each<[string, string, string]>([
  ['its mounting base', 'Pin,Symbol,Description\n1,G,gate\n2,S,source\nmb,D,mounting base; connected to drain\n', 'mb D passive'],
  ['its case', 'Lead,Name,Description\n1,B,Base\n2,E,Emitter\nCASE,C,Collector\n', 'CASE C passive'],
  ['signs under a heading of markings', 'Terminal,Marking,Description\n1,+,DC\n2,~,AC\n3,~,AC\n4,-,DC\n', '4 - passive'],
])('takes a lead by %s', (_what, text, last) => {
  const t = read(text).terminals.at(-1)!;
  expect(`${t.numbers['']} ${t.name} ${t.type}`).toBe(last);
});
