import fc from 'fast-check';
import { sayProblem, type ElectricalType } from '../../part';
import { good, refused } from '../../test/samples';
import { terminalsIn, type ReadOptions } from '..';
import { readIbis } from '.';

const file = (pins: string[], rest = '', head = '[Component] TF1\n') =>
  `[IBIS Ver] 5.0\n${head}[Pin] signal_name model_name R_pin L_pin C_pin\n${pins.join('\n')}\n${rest}[End]\n`;
const model = (name: string, type: string) => `[Model] ${name}\nModel_type ${type}\n`;
const read = (text: string, options: ReadOptions = {}) => good(readIbis(text, options));

describe('types', () => {
  it.each<[string, ElectricalType]>([
    ['Input', 'input'],
    ['Output', 'output'],
    ['I/O', 'bidirectional'],
    ['3-state', 'three-state'],
    ['Open_drain', 'open-drain'],
    ['Open_sink', 'open-drain'],
    ['Open_source', 'open-source'],
    ['I/O_open_drain', 'bidirectional'],
    ['I/O_open_source', 'bidirectional'],
    ['Input_ECL', 'input'],
    ['Output_diff', 'output'],
    ['3-state_ECL', 'three-state'],
    ['Terminator', 'passive'],
    ['Series_switch', 'passive'],
  ])('Model_type %s is %s', (type, electrical) => {
    const [t] = read(file(['1 SIG m'], model('m', type))).terminals;
    expect([t!.type, t!.doubts]).toEqual([electrical, []]);
  });
  it.each<[string, string, ElectricalType]>([
    ['VDD', 'POWER', 'supply-in'],
    ['VSS', 'GND', 'ground'],
    ['NC', 'NC', 'no-connect'],
    ['VDD', 'power', 'supply-in'],
  ])('%s with model %s is %s', (signal, name, type) =>
    expect(read(file([`1 ${signal} ${name}`])).terminals[0]).toMatchObject({ type, doubts: [] }),
  );
  it.each<[string, string]>([
    ['VSS', 'POWER'],
    ['VDD', 'GND'],
    ['DNC', 'NC'],
    ['LDO_OUT', 'POWER'],
  ])('asks where signal %s and model %s do not agree', (signal, name) =>
    expect(read(file([`1 ${signal} ${name}`])).terminals[0]!.doubts.map((d) => d.field)).toEqual(['type']),
  );
  it('asks about a model that is not in the file, and says so', () => {
    const p = read(file(['1 SIG lost'], model('m', 'Input')), { file: 'a.ibs' });
    expect(p.terminals[0]!.doubts).toHaveLength(1);
    expect(p.problems.map(sayProblem)).toEqual(['a.ibs, line 4: Model "lost" of pin 1 is not in the file.']);
  });
  it('asks where a selector’s models are of several types, and not where they agree', () => {
    const models = model('fast', 'I/O') + model('slow', 'I/O') + model('in', 'Input');
    const selector = '[Model Selector] pick\nfast strong\nslow weak\n[Model Selector] mixed\nfast a\nin b\n';
    const p = read(file(['1 A pick', '2 B mixed'], selector + models));
    expect(p.terminals.map((t) => [t.type, t.doubts.map((d) => d.candidates)])).toEqual([
      ['bidirectional', []],
      ['bidirectional', [['bidirectional', 'input']]],
    ]);
  });
});

describe('pins', () => {
  it('reads the short form and the form with parasitics', () =>
    expect(read(file(['A1 D0 NC', 'A2 D1 NC 0.05 1.2nH 0.4pF'])).terminals.map((t) => [t.numbers['TF1'], t.name])).toEqual([
      ['A1', 'D0'],
      ['A2', 'D1'],
    ]));
  it('drops comments, also with another comment character', () =>
    expect(
      read(`[IBIS Ver] 5.0\n[Comment Char] #_char\n[Component] X\n[Pin] s m\n# 9 OLD NC\n1 A|B NC # kept\n[End]`).terminals.map(
        (t) => t.name,
      ),
    ).toEqual(['A|B']));
  it('takes every component as a package', () => {
    const text = `[IBIS Ver] 5.0\n[Component] ONE\n[Pin] s m\n1 A NC\n[Component] TWO\n[Pin] s m\n1 B NC\n2 C NC\n[End]`;
    expect(read(text).packages).toEqual([
      { name: 'ONE', pinCount: 1 },
      { name: 'TWO', pinCount: 2 },
    ]);
    expect(terminalsIn(read(text, { package: 'TWO' })).map((t) => t.name)).toEqual(['B', 'C']);
  });
  it.each(['[Diff Pin] inv_pin vdiff', '[Diff_Pin] inv_pin', '[DIFF PIN]'])('reads pairs under %s', (keyword) =>
    expect(read(file(['1 TXP NC', '2 TXN NC'], `${keyword}\n1 2 150mV NA NA NA\n`)).pairs).toEqual([['1', '2']]),
  );
  it('takes rails from the pin mapping', () =>
    expect(
      read(file(['1 A NC', '2 B NC'], '[Pin Mapping] pulldown_ref pullup_ref\n1 GNDBUS VDDIO\n2 GNDBUS NC\n')).terminals.map((t) => t.rail),
    ).toEqual(['VDDIO', undefined]));
  it('keeps the line of each pin', () => expect(read(file(['1 A NC', '2 B NC'])).terminals.map((t) => t.origin!.line)).toEqual([4, 5]));
  it('says a number that stands twice', () =>
    expect(read(file(['1 A NC', '1 B NC'])).problems.map((p) => p.code)).toContain('number-twice'));
});

it('goes on behind a row that says too little, and tells it: a pin without a model is typed by its name and asked', () => {
  const p = good(readIbis(file(['4', '1 VDD', '2 NC NC']), { file: 'a.ibs' }));
  expect(p.problems.map(sayProblem)).toEqual([
    'a.ibs, line 4: A pin needs a number, a signal and a model; found "4".',
    'a.ibs, line 5: A pin needs a number, a signal and a model; found "1 VDD".',
  ]);
  expect(p.terminals.map((t) => [t.name, t.type, t.doubts.map((d) => d.field)])).toEqual([
    ['VDD', 'supply-in', ['type']],
    ['NC', 'no-connect', []],
  ]);
});

describe('what cannot be read', () => {
  it.each<[string, string, RegExp]>([
    ['no component', '[IBIS Ver] 5.0\n[End]', /No \[Component\] with a \[Pin\] list/],
    ['pins before a component', '[IBIS Ver] 5.0\n[Pin] s m\n1 A NC\n', /a\.ibs, line 2: \[Pin\] stands before any \[Component\]/],
  ])('%s', (_what, text, says) => expect(refused(readIbis(text, { file: 'a.ibs' }))[0]).toMatch(says));
  it('property: a garbled file is read or refused', () => {
    const whole = file(['1 A m', '2 VDD POWER'], model('m', 'Input'));
    fc.assert(
      fc.property(fc.nat(whole.length), fc.string(), (at, junk) => {
        const result = readIbis(whole.slice(0, at) + junk + whole.slice(at));
        expect(result.ok || result.problems.length > 0).toBe(true);
      }),
    );
  });
});
