import fc from 'fast-check';
import { applyEdit, sayProblem, type Model, type NodeTie, type Part } from '../part';
import { AMP_MODEL, good, pinNamed, provenPart, refused } from '../test/samples';
import { assign } from './assign';
import { rolesOf } from './roles';
import { withoutIndex } from './likeness';
import {
  bindingUnits,
  chosenModel,
  findModels,
  matchPins,
  matchPinsOf,
  modelSettings,
  proposeTies,
  readModels,
  recordEdit,
  tieEdit,
  writeSpiceLibrary,
  type MatchPin,
  type ModelNode,
} from '.';

const models = (text: string) => good(readModels(text)).models;
const problems = (text: string) => good(readModels(text, 'm.lib')).problems.map(sayProblem);
const docs = (text: string) => models(text)[0]!.nodes.map((n) => n.doc);

describe('cards', () => {
  it.each<[string, string, string[]]>([
    ['one line', '.subckt X a b c\n.ends', ['a', 'b', 'c']],
    ['continued', '.subckt X a\n+ b\n+c\n.ends', ['a', 'b', 'c']],
    ['continued with comments between', '.subckt X a\n* one\n+ b\n* two\n+ c\n.ends', ['a', 'b', 'c']],
    ['continued past an empty line', '.subckt X a b\n\n+ c\n.ends', ['a', 'b', 'c']],
    ['with an inline comment', '.subckt X a b c ; the end\n.ends', ['a', 'b', 'c']],
    ['with a dollar comment', '.subckt X a b c $ the end\n.ends', ['a', 'b', 'c']],
    ['a dollar inside a name', '.subckt X a$1 b c\n.ends', ['a$1', 'b', 'c']],
    ['with PARAMS:', '.subckt X a b c PARAMS: R=1 C=2\n.ends', ['a', 'b', 'c']],
    ['with bare parameters', '.subckt X a b c R=1 C = 2\n.ends', ['a', 'b', 'c']],
    ['with braces', '.subckt X a b c R={1 + 2}\n.ends', ['a', 'b', 'c']],
    ['in capitals', '.SUBCKT X A B C\n.ENDS X', ['A', 'B', 'C']],
    ['with CR only', '.subckt X a b c\r.ends\r', ['a', 'b', 'c']],
    ['with CR LF and a byte order mark', '\uFEFF.subckt X a b c\r\n.ends\r\n', ['a', 'b', 'c']],
    ['without nodes', '.subckt X\n.ends', []],
  ])('%s', (_how, text, nodes) => expect(models(text)[0]!.nodes.map((n) => n.name)).toEqual(nodes));
  it('gives parameters with their defaults', () =>
    expect(models('.subckt X a b PARAMS: R=1k C={2*R}\n.ends')[0]!.params).toEqual([
      { name: 'R', value: '1k' },
      { name: 'C', value: '{2*R}' },
    ]));
  it('gives the line of each card', () => expect(models('* a\n\n.subckt X a b\n.ends\n.model D1 D\n').map((m) => m.line)).toEqual([3, 5]));
  it('lists what is nested, with its place', () => {
    const list = models('.subckt OUTER a b\n.subckt INNER c d\n.ends\n.model DX D(IS=1f)\n.ends OUTER\n.subckt NEXT e f\n.ends');
    expect(list.map((m) => [m.name, m.inside])).toEqual([
      ['OUTER', []],
      ['INNER', ['OUTER']],
      ['DX', ['OUTER']],
      ['NEXT', []],
    ]);
  });
});

describe('.model cards in the order of SPICE 3', () => {
  it.each<[string, string, string[], string]>([
    ['.model D1 D(IS=1f N=1.1)', 'diode', ['anode', 'cathode'], 'D'],
    ['.model Z1 D(IS=1f BV=5.1 IBV=1m)', 'zener', ['anode', 'cathode'], 'D'],
    ['.model Q1 NPN (BF=100)', 'npn', ['collector', 'base', 'emitter'], 'Q'],
    ['.MODEL Q2 PNP', 'pnp', ['collector', 'base', 'emitter'], 'Q'],
    ['.model M1 NMOS (LEVEL=1 VTO=1)', 'nmos', ['drain', 'gate', 'source', 'bulk'], 'M'],
    ['.model M2 pmos level=3', 'pmos', ['drain', 'gate', 'source', 'bulk'], 'M'],
    ['.model J1 NJF(BETA=1m)', 'njf', ['drain', 'gate', 'source'], 'J'],
    ['.model S1 SW(VT=1)', 'switch', ['+', '-', 'control+', 'control-'], 'S'],
    ['.model P1 VDMOS(pchan=1)', 'pmos', ['drain', 'gate', 'source'], 'M'],
    ['.model X1 FOO(A=1)', 'other', [], 'X'],
  ])('%s', (card, device, nodes, letter) =>
    expect(models(card)[0]).toMatchObject({ kind: 'model', device, letter, nodes: nodes.map((name) => ({ name })) }),
  );
});

describe('what a subcircuit is', () => {
  it.each<[string, string]>([
    ['* fast comparator\n.subckt X 1 2 3\n.ends', 'comparator'],
    ['* operational amplifier\n.subckt X 1 2 3\n.ends', 'opamp'],
    ['* low-noise regulator\n.subckt X 1 2 3\n.ends', 'regulator'],
    ['.subckt MY_SWITCH a b\n.ends', 'switch'],
    ['.subckt X in+ in- vcc vee out\n.ends', 'opamp'],
    ['.subckt X a k\n.ends', 'diode'],
    ['* logic-level transistor, with its body diode\n.subckt X d g s\n.ends', 'nmos'],
    ['* logic-level part with a body diode\n.subckt X 1 2 3\n.ends', 'other'],
    ['* three-input AND\n.subckt X 1 2 3\n.ends', 'logic'],
    ['.subckt X 1 2\n.ends', 'other'],
  ])('%j is %s', (text, device) => expect(models(text)[0]!.device).toBe(device));
});

describe('what comments say of nodes', () => {
  it.each<[string, string, string[]]>([
    ['a ladder', AMP_MODEL, ['non-inverting input', 'inverting input', 'positive supply', 'negative supply', 'output']],
    ['a ladder without a first bar', '* in\n* |  out\n* |  |  common\n.subckt X 1 2 3\n.ends', ['in', 'out', 'common']],
    ['a ladder from the last to the first', '* |  |  common\n* |  out\n* in\n.subckt X 1 2 3\n.ends', ['in', 'out', 'common']],
    ['a list with equals signs', '* 1 = input\n* 2 = output\n* 3 = ground\n.subckt X 1 2 3\n.ends', ['input', 'output', 'ground']],
    ['a list with colons', '* IN: the input.\n* OUT : the output\n.subckt X in out\n.ends', ['the input', 'the output']],
    ['a list with dashes', '* in - signal input\n* out - signal output\n.subckt X in out\n.ends', ['signal input', 'signal output']],
    ['a list with blanks', '* node 1   input\n* node 2   output\n.subckt X 1 2\n.ends', ['input', 'output']],
    ['a numbered list', '* 1 input\n* 2 output\n.subckt X 1 2\n.ends', ['input', 'output']],
    ['all in one line', '* 1=IN+ 2=IN- 3=OUT\n.subckt X 1 2 3\n.ends', ['IN+', 'IN-', 'OUT']],
    ['the other way round', '* input = 1\n* output = 2\n.subckt X 1 2\n.ends', ['input', 'output']],
    ['a list inside the body', '.subckt X 1 2\n* 1 = input\n* 2 = output\nR1 1 2 1k\n.ends', ['input', 'output']],
    ['an order line', '* Node order: IN, OUT, GND\n.subckt X 1 2 3\n.ends', ['IN', 'OUT', 'GND']],
    [
      'an order line of phrases',
      '* pins: signal input, signal output, circuit common\n.subckt X 1 2 3\n.ends',
      ['signal input', 'signal output', 'circuit common'],
    ],
    ['names straight above', '*         IN OUT GND\n.subckt X 1  2   3\n.ends', ['IN', 'OUT', 'GND']],
    ['an inline comment', '.subckt X 1 2 3 ; IN OUT GND\n.ends', ['IN', 'OUT', 'GND']],
    ['a comment on each continuation', '.subckt X\n+ 1 ; input\n+ 2 ; output\n.ends', ['input', 'output']],
    ['nothing', '* A fine part.\n.subckt X 1 2 3\n.ends', ['', '', '']],
    ['prose of as many words', '* very fine part\n* \n.subckt X 1 2 3\n.ends', ['', '', '']],
  ])('%s', (_how, text, expected) => expect(docs(text)).toEqual(expected));
  it('belongs to its own model only', () => {
    const list = models('* 1 = input\n* 2 = output\n.subckt A 1 2\n.ends\n.subckt B 1 2\n.ends');
    expect(list[1]!.nodes.map((n) => n.doc)).toEqual(['', '']);
  });
  it('is found again by its line', () =>
    expect(models('* x\n* 1 = input\n* 2 = output\n.subckt A 1 2\n.ends')[0]!.nodes.map((n) => n.docLine)).toEqual([2, 3]));
});

describe('what is wrong with a model file', () => {
  it.each<[string, string, RegExp]>([
    ['a subcircuit without an end', '.subckt A 1 2\n.ends\n.subckt B 1 2\nR1 1 2 1\n', /m\.lib, line 3: \.subckt B has no \.ends/],
    ['an end without a beginning', '.subckt A 1\n.ends\n.ends\n', /line 3: \.ends without/],
    ['a node twice', '.subckt A 1 2 1\n.ends\n', /node 1 stands twice/],
    ['a model card without a type', '.subckt A 1\n.ends\n.model X\n', /line 3: The card/],
    ['commands', '.subckt A 1\n.ends\n.control\n', /\.control is never followed or run/],
    ['a way out of the folder', '.include ../../secret.lib\n.subckt A 1\n.ends\n', /never followed/],
  ])('%s', (_what, text, says) => expect(problems(text).join('\n')).toMatch(says));
  it.each<[string, string, RegExp]>([
    ['nothing', '', /nothing in it/],
    ['no model', 'R1 1 2 1k\n', /No \.subckt or \.model/],
    ['a web page', '<!DOCTYPE html><html>', /web page/],
    ['binary', 'a\u0000b', /not text/],
    ['only a subcircuit without an end', '.subckt A 1 2\n', /has no \.ends/],
  ])('refuses %s', (_what, text, says) => expect(refused(readModels(text, 'm.lib')).join(' ')).toMatch(says));
  it('property: never throws, and says each problem in one line', () => {
    const line = fc.oneof(
      fc.constantFrom('.subckt X 1 2', '.ends', '+ 3', '* | a', '* 1 = b', '.model D1 D(', '.model', '.subckt', '+', ';'),
      fc.string({ maxLength: 20 }),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 20 }), (lines) => {
        const read = readModels(lines.join('\n'));
        for (const p of read.ok ? read.value.problems : read.problems) expect(sayProblem(p)).not.toMatch(/\n/);
      }),
    );
  });
  it('reads 4,000 models in time that grows with their number', () =>
    expect(models(Array.from({ length: 4000 }, (_, i) => `* 1 = in\n.subckt M${i} 1 2 3\nR1 1 2 1k\n.ends`).join('\n'))).toHaveLength(
      4000,
    ));
});

describe('roles', () => {
  it.each<[string, string]>([
    ['IN+', 'in+'],
    ['INP', 'in+'],
    ['non-inverting input', 'in+'],
    ['IN−', 'in-'],
    ['inverting input', 'in-'],
    ['VCC', 'supply+'],
    ['V+', 'supply+'],
    ['positive power supply', 'supply+'],
    ['VEE', 'supply-'],
    ['negative supply', 'supply-'],
    ['GND', 'ground'],
    ['VSS', 'ground'],
    ['K', 'cathode'],
    ['ANODE', 'anode'],
    ['gate', 'gate'],
    ['OUT', 'output'],
    ['line input', 'input'],
    ['enable', 'enable'],
    ['regulated output', 'output'],
  ])('%s is %s', (text, role) => expect([...rolesOf(text)]).toContain(role));
  it('does not take the inverting for the non-inverting input', () => {
    expect([...rolesOf('non-inverting input')]).toEqual(['in+']);
    expect([...rolesOf('inverting input')]).toEqual(['in-']);
  });
  it.each([
    ['2A', 'A'],
    ['IN1+', 'IN+'],
    ['OUTB', 'OUT'],
    ['K2', 'K'],
    ['1~CLR', '~CLR'],
    ['S3A', 'S3'],
    ['VDD', 'VDD'],
  ])('the channel name of %s is %s', (name, plain) => expect(withoutIndex(name)).toBe(plain));
});

describe('the assignment', () => {
  it.each<[number[][], number[]]>([
    [
      [
        [1, 0],
        [0, 1],
      ],
      [0, 1],
    ],
    [
      [
        [0.9, 0.8],
        [0.9, 0],
      ],
      [1, 0],
    ],
    [[[0, 0]], [-1]],
    [
      [[1], [0.5]],
      [0, -1],
    ],
    [[], []],
    [[[]], [-1]],
  ])('of %j is %j', (scores, expected) => expect(assign(scores)).toEqual(expected));
  it('property: is as good as trying all orders', () => {
    const permutations = (n: number): number[][] =>
      n === 0 ? [[]] : permutations(n - 1).flatMap((p) => Array.from({ length: n }, (_, i) => [...p.slice(0, i), n - 1, ...p.slice(i)]));
    const matrix = fc
      .integer({ min: 1, max: 5 })
      .chain((n) =>
        fc.array(fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: n, maxLength: n }), { minLength: n, maxLength: n }),
      );
    fc.assert(
      fc.property(matrix, (m) => {
        const sum = (cols: number[]) => cols.reduce((s, c, r) => s + m[r]![c]!, 0);
        expect(sum(assign(m))).toBeCloseTo(Math.max(...permutations(m.length).map(sum)), 9);
      }),
    );
  });
});

const pin = (number: string, name: string, type: MatchPin['type'] = 'passive', unit: string | null = null): MatchPin => ({
  number,
  name,
  type,
  unit,
});
const node = (name: string, doc = ''): ModelNode => ({ name, doc });
const pairs = (pins: MatchPin[], nodes: ModelNode[]) => matchPins(pins, nodes).pairs.map((p) => `${p.unit ?? ''}${p.pin}=${p.node}`);

describe('matching', () => {
  const amp = [
    pin('1', 'OUT', 'output'),
    pin('2', 'IN-', 'input'),
    pin('3', 'IN+', 'input'),
    pin('4', 'V-', 'supply-in'),
    pin('5', 'V+', 'supply-in'),
  ];
  it.each<[string, ModelNode[]]>([
    ['by name', [node('in+'), node('in-'), node('v+'), node('v-'), node('out')]],
    ['by synonym', [node('INP'), node('INN'), node('VCC'), node('VEE'), node('VOUT')]],
    [
      'by comment',
      [
        node('1', 'non-inverting input'),
        node('2', 'inverting input'),
        node('3', 'positive supply'),
        node('4', 'negative supply'),
        node('5', 'output'),
      ],
    ],
  ])('an amplifier %s', (_how, nodes) => {
    const names = nodes.map((n) => n.name);
    expect(pairs(amp, nodes).sort()).toEqual([`1=${names[4]}`, `2=${names[1]}`, `3=${names[0]}`, `4=${names[3]}`, `5=${names[2]}`].sort());
  });
  it.each<[string, [string, string][], string[], string[]]>([
    [
      'a diode',
      [
        ['1', 'A'],
        ['2', 'K'],
      ],
      ['anode', 'cathode'],
      ['1=anode', '2=cathode'],
    ],
    [
      'a MOSFET',
      [
        ['1', 'G'],
        ['2', 'S'],
        ['3', 'D'],
      ],
      ['drain', 'gate', 'source'],
      ['1=gate', '2=source', '3=drain'],
    ],
    [
      'a transistor',
      [
        ['1', 'B'],
        ['2', 'E'],
        ['3', 'C'],
      ],
      ['collector', 'base', 'emitter'],
      ['1=base', '2=emitter', '3=collector'],
    ],
  ])('%s', (_what, pins, nodes, expected) =>
    expect(
      pairs(
        pins.map(([n, name]) => pin(n, name)),
        nodes.map((n) => node(n)),
      ).sort(),
    ).toEqual(expected),
  );
  it('an order that is not the leads’', () => {
    const regulator = [pin('1', 'IN', 'supply-in'), pin('2', 'GND', 'ground'), pin('3', 'EN', 'input'), pin('5', 'OUT', 'supply-out')];
    expect(pairs(regulator, [node('1', 'enable'), node('2', 'regulated output'), node('3', 'ground'), node('4', 'input supply')])).toEqual([
      '1=4',
      '2=3',
      '3=1',
      '5=2',
    ]);
  });
  it('a one-channel model once in each unit, with the shared supplies', () => {
    const pins = [
      pin('1', '1A', 'input', 'A'),
      pin('2', '1Y', 'output', 'A'),
      pin('3', '2A', 'input', 'B'),
      pin('4', '2Y', 'output', 'B'),
      pin('7', 'GND', 'ground'),
      pin('14', 'VCC', 'supply-in'),
    ];
    expect(pairs(pins, [node('A'), node('Y'), node('VP', 'positive supply'), node('VN', 'ground')])).toEqual([
      'A1=A',
      'A2=Y',
      'A7=VN',
      'A14=VP',
      'B3=A',
      'B4=Y',
      'B7=VN',
      'B14=VP',
    ]);
  });
  it('several pins of one signal on one node', () =>
    expect(pairs([pin('1', 'VSS', 'ground'), pin('9', 'VSS', 'ground'), pin('2', 'A')], [node('A'), node('VSS')])).toEqual([
      '1=VSS',
      '9=VSS',
      '2=A',
    ]));
  it('leaves out what has no node by its nature, with the reason', () => {
    const { left, asks } = matchPins(
      [pin('1', 'A'), pin('2', 'NC', 'no-connect'), pin('3', 'TEST', 'reserved'), pin('9', 'EP', 'ground')],
      [node('A')],
    );
    expect(left.map((l) => l.pin)).toEqual(['2', '3', '9']);
    expect(asks).toEqual([]);
  });
  it.each<[string, MatchPin[], ModelNode[]]>([
    ['bare numbers', [pin('1', 'A'), pin('2', 'K')], [node('1'), node('2')]],
    ['a single bare pin and node: never by elimination', [pin('1', 'FOO')], [node('bar')]],
    [
      'two inputs that look alike',
      [pin('1', 'INPUT', 'input'), pin('2', 'IN', 'input')],
      [node('x', 'signal input'), node('y', 'signal input')],
    ],
    ['a signal where only a supply is left', [pin('1', 'DATA', 'input')], [node('vcc')]],
  ])('asks about %s', (_what, pins, nodes) => {
    const { pairs: made, asks } = matchPins(pins, nodes);
    expect(made).toEqual([]);
    expect(asks.map((a) => a.pin)).toEqual(pins.map((p) => p.number));
    expect(asks[0]!.reason).toMatch(/Free: /);
  });
});

describe('a list of models', () => {
  const library = Array.from({ length: 30 }, (_, i) => `.subckt ${i % 2 ? 'AMP' : 'REG'}_${i} a b\n.model DX${i} D(IS=1f)\n.ends\n`).join(
    '',
  );
  it.each<[string, number, number, string | undefined]>([
    ['', 5, 30, 'REG_0'],
    ['amp', 200, 15, 'AMP_1'],
    ['AMP 2', 200, 5, 'AMP_21'],
    ['nothing', 200, 0, undefined],
  ])('asked for “%s”, %i at most, has %i', (query, most, total, first) => {
    const found = findModels(library, query, most);
    expect([found.models.length, found.total, found.models[0]?.name]).toEqual([Math.min(most, total), total, first]);
  });
  it.each<[string, string[], number, string]>([
    ['AMP_7', [], 1, 'AMP_7'],
    ['amp-7', [], 1, 'AMP_7'],
    ['TF1', ['REG_22-TR'], 2, 'REG_2'],
    ['REG_12', ['AMP_1'], 7, 'AMP_1'],
    ['REG', [], 0, 'REG_0'],
    ['TF9', [], 0, 'REG_0'],
  ])('for a part %s of orders %j has %i of its name, first %s', (name, orderCodes, own, first) => {
    const found = findModels(library, '', 200, { name, orderCodes });
    expect([found.own, found.models[0]?.name, found.models.length]).toEqual([own, first, 30]);
  });
  it('says what is wrong with a text that has none', () => expect(findModels('R1 1 2 1k', '', 9)).toMatchObject({ total: 0, problems: [{ code: 'spice-none' }] })); // prettier-ignore
});

describe('the kind of transistor that a subcircuit of its leads is', () => {
  it.each<[string, string, string[]]>([
    ['a channel of its own', '.subckt X D G S\nM1 D G S S PX\n.model PX PMOS(VTO=-1)\n.ends', ['pmos', 'pmos']],
    ['a model behind it', '.subckt X D G S\nM1 D G S S PX\n.ends\n.model PX PMOS(VTO=-1)', ['pmos', 'pmos']],
    [
      'by its comments, where its nodes are numbers',
      '* 1 = drain, 2 = gate, 3 = source\n.subckt X 1 2 3\nM1 1 2 3 3 PX\n.ends\n.model PX PMOS',
      ['pmos', 'pmos'],
    ],
    ['a junction', '.subckt X C B E\nQ1 C B E QX\n.model QX PNP\n.ends', ['pnp', 'pnp']],
    ['a junction gate', '.subckt X D G S\nJ1 D G S JX\n.model JX PJF\n.ends', ['pjf', 'pjf']],
    [
      'of one name in two bodies',
      '.subckt X D G S\nM1 D G S S MM\n.model MM PMOS\n.ends\n.subckt Y D G S\nM1 D G S S MM\n.model MM NMOS\n.ends',
      ['pmos', 'pmos', 'nmos', 'nmos'],
    ],
    [
      'with transistors of two kinds',
      '.subckt X D G S\nM1 D G S S MM\nQ1 D G S QX\n.ends\n.model MM PMOS\n.model QX NPN',
      ['nmos', 'pmos', 'npn'],
    ],
    ['without a body that tells', '.subckt X D G S\nR1 D S 1\n.ends', ['nmos']],
  ])('is told by %s', (_by, text, devices) => expect(models(text).map((m) => m.device)).toEqual(devices));
});

describe('the settings of a model', () => {
  const source = '.subckt X a b PARAMS: R=1k\nR1 a b {R}\n.ends';
  const model: Model = { id: 'm', fileName: 'x.lib', source, chosen: 'X', ties: {} };
  it('are its parameters and what is no Berkeley SPICE', () => {
    const { chosen, dialect, rewrites } = modelSettings(model);
    expect([chosen!.params, dialect.map((d) => d.construct), rewrites]).toEqual([
      [{ name: 'R', value: '1k' }],
      ['PARAMS:', 'an expression in braces'],
      0,
    ]);
  });
  it('count the changes of the export', () => expect(modelSettings({ ...model, berkeley: true }).rewrites).toBe(2));
});

describe('a part with a model', () => {
  const part = provenPart();
  const model: Model = { id: 'm1', fileName: 'amp.lib', source: AMP_MODEL, chosen: 'AMP1', ties: {} };
  const joined: Part = (() => {
    const set = applyEdit(part, { kind: 'setModel', model });
    return applyEdit(set, tieEdit(model, proposeTies(set, model, chosenModel(model)!).ties));
  })();
  const name = (tie: unknown) => part.pins.find((p) => p.id === (tie as { pin: string }).pin)?.name;

  it('is bound once in each unit that has signals', () => expect(bindingUnits(part, 5)).toEqual(['u1', 'u2']));
  it('as a whole where the model has a node for each signal', () => expect(bindingUnits(part, 8)).toEqual(['*']));
  it('has supplies that belong to all units', () =>
    expect(
      matchPinsOf(part)
        .filter((p) => p.unit === null)
        .map((p) => p.name),
    ).toEqual(['VSS', 'VDD']));
  it('is tied by the matcher as a person would', () => {
    expect(Object.entries(joined.models[0]!.ties['u2']!).map(([n, tie]) => [n, name(tie)])).toEqual([
      ['1', 'IN2+'],
      ['2', 'IN2-'],
      ['3', 'VDD'],
      ['5', 'OUT2'],
    ]);
  });
  it('is not offered a node again that has its pin', () =>
    expect(proposeTies(joined, joined.models[0]!, chosenModel(model)!).ties).toEqual([]));
  it('is undefined where its source has lost the model', () => expect(chosenModel({ ...model, chosen: 'GONE' })).toBeUndefined());

  it('is written with calls that follow the join', () => {
    const tied = applyEdit(joined, {
      kind: 'tieNodes',
      model: 'm1',
      ties: ['u1', 'u2'].map((unit) => ({ unit, node: '4', tie: { pin: pinNamed(part, 'VSS').id } })),
    });
    const lines = writeSpiceLibrary(tied).split('\n');
    expect(lines).toContain('.subckt TF0002 OUT1 IN1N IN1P VSS IN2P IN2N OUT2 VDD');
    expect(lines).toContain('XA IN1P IN1N VDD VSS OUT1 AMP1');
    expect(lines).toContain('XB IN2P IN2N VDD VSS OUT2 AMP1');
    expect(lines).toContain('.subckt AMP1   1  2  3  4  5');
    expect(readModels(lines.join('\n')).ok).toBe(true);
  });
  it.each<[string, Part['models'][number]['ties'][string][string] | null, RegExp]>([
    ['ground', { to: 'ground' }, /^XA IN1P IN1N VDD 0 OUT1 AMP1$/m],
    ['a rail', { to: 'rail', rail: 'V NEG' }, /^XA IN1P IN1N VDD V_NEG OUT1 AMP1$/m],
    ['open', { to: 'open' }, /^XA IN1P IN1N VDD open_A_4 OUT1 AMP1\nRopen_A_4 open_A_4 0 1G$/m],
    ['nothing said', null, /^Ropen_A_4 open_A_4 0 1G$/m],
  ])('is written with a node tied to %s', (_to, tie, says) =>
    expect(writeSpiceLibrary(applyEdit(joined, { kind: 'tieNodes', model: 'm1', ties: [{ unit: 'u1', node: '4', tie }] }))).toMatch(says),
  );
  it('is written with those of its parameters that the model has', () => {
    const source = AMP_MODEL.replace('4  5\n', '4  5 PARAMS: GAIN=1e5\n').replace('1 2 1e5', '1 2 {GAIN}');
    const written = writeSpiceLibrary({ ...joined, models: [{ ...joined.models[0]!, source, params: { GAIN: '10', FOO: '1' } }] });
    expect(written).toMatch(/AMP1 GAIN=10\n/);
  });
  it('is written in the Berkeley form with each rewrite listed', () => {
    const source = AMP_MODEL.replace('4  5\n', '4  5 PARAMS: GAIN=1e5\n').replace('1 2 1e5', '1 2 {GAIN}');
    const written = writeSpiceLibrary({ ...joined, models: [{ ...joined.models[0]!, source, berkeley: true, params: { GAIN: '10' } }] });
    expect(written).toMatch(/^E1 5 4 1 2 10$/m);
    expect(written).toMatch(/^\.subckt AMP1 1 2 3 4 5$/m);
    expect(written).toMatch(/^\* Rewritten for Berkeley SPICE 3, line 8 of it: an expression is the number/m);
    expect(written).toMatch(/^XA .* AMP1$/m);
  });
  it('never calls itself: it has another name where the source has its own', () =>
    expect(writeSpiceLibrary({ ...joined, name: 'AMP1' })).toMatch(/^\.subckt AMP1_PART [^]*^XA .* AMP1$[^]*^\.ends AMP1_PART$/m));
  it('has the bulk of a card on its source', () => {
    const card: Model = { id: 'm1', fileName: 'm.lib', source: '.model MN NMOS(VTO=1)', chosen: 'MN', ties: {} };
    const ids = ['OUT1', 'IN1-', 'IN1+'].map((n) => pinNamed(part, n).id);
    const ties = Object.fromEntries(['drain', 'gate', 'source'].map((n, i) => [n, { pin: ids[i]! }]));
    expect(writeSpiceLibrary({ ...part, models: [{ ...card, ties: { '*': ties } }] })).toMatch(/^M1 OUT1 IN1N IN1P IN1P MN$/m);
  });
  describe('with another model for its second unit', () => {
    const halves: Part = (() => {
      const onlyA = { ...joined.models[0]!, ties: { u1: joined.models[0]!.ties['u1']! } };
      const other: Model = { id: 'm2', fileName: 'cmp.lib', source: AMP_MODEL.replaceAll('AMP1', 'CMP9'), chosen: 'CMP9', ties: {} };
      const set = { ...joined, models: [onlyA, other] };
      return applyEdit(set, tieEdit(other, proposeTies(set, other, chosenModel(other)!).ties));
    })();
    const [first, second] = halves.models;
    it('is offered the unit that is free', () => expect(Object.keys(second!.ties)).toEqual(['u2']));
    it('is bound where it is tied', () => expect([first, second].map((m) => bindingUnits(halves, 5, m))).toEqual([['u1'], ['u2']]));
    it('is written as one subcircuit that calls both', () => {
      const written = writeSpiceLibrary(halves);
      expect(written.match(/^\.subckt TF0002 /gm)).toHaveLength(1);
      expect(written).toMatch(/^XA IN1P IN1N VDD .* AMP1$/m);
      expect(written).toMatch(/^XB_2 IN2P IN2N VDD .* CMP9$/m);
      expect(written.match(/^\* Source: /gm)).toHaveLength(2);
    });
    it('brings a file of both models once', () => {
      const source = `${first!.source}${second!.source}`;
      const one = { ...halves, models: halves.models.map((m) => ({ ...m, source })) };
      expect(writeSpiceLibrary(one).match(/^\* Source: /gm)).toHaveLength(1);
    });
    it('keeps each trial with its model', () => {
      const trial = { name: 'bench', unit: 'B', modelId: 'm2', verdict: 'pass' as const, reason: '', measured: {} };
      expect([first, second].map((m) => (recordEdit(halves, m!, [trial]) as { trials: unknown[] }).trials.length)).toEqual([0, 1]);
    });
  });
  describe('with nodes that an instance may leave out', () => {
    const source = AMP_MODEL.replace('4  5\n', '4  5 OPTIONAL: BIAS=$G_BIAS OFS=0\n');
    const tieOf = (node: string, tie: NodeTie) => ({ unit: 'u1', node, tie });
    it.each<[string, ReturnType<typeof tieOf>[], RegExp]>([
      ['leaves out what nothing is tied to', [], /^XA IN1P IN1N VDD open_A_4 OUT1 AMP1$/m],
      ['names the first alone', [tieOf('BIAS', { to: 'ground' })], /^XA IN1P IN1N VDD open_A_4 OUT1 0 AMP1$/m],
      ['names those before the last as they would be', [tieOf('OFS', { to: 'rail', rail: 'VB' })], /^XA .* OUT1 \$G_BIAS VB AMP1$/m],
    ])('%s', (_what, ties, says) => {
      const other = { ...joined, models: [{ ...joined.models[0]!, source }] };
      expect(writeSpiceLibrary(applyEdit(other, { kind: 'tieNodes', model: 'm1', ties }))).toMatch(says);
    });
    it('offers them to the pins that they are', () => {
      const offered = readModels('.subckt G A Y OPTIONAL: DPWR=$G_DPWR DGND=$G_DGND\nR1 A Y 1\n.ends');
      const pins = [['1', 'A', 'input'], ['2', 'Y', 'output'], ['3', 'GND', 'ground'], ['4', 'VCC', 'supply-in']] as const; // prettier-ignore
      const { pairs } = matchPins(pins.map(([number, name, type]) => ({ number, name, type, unit: null })), offered.ok ? offered.value.models[0]!.nodes : []); // prettier-ignore
      expect(pairs.map((p) => `${p.pin}=${p.node}`).sort()).toEqual(['1=A', '2=Y', '3=DGND', '4=DPWR']);
    });
  });
  it('is nothing without a model', () => expect(writeSpiceLibrary(part)).toBe(''));
});
