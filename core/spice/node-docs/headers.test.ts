import fc from 'fast-check';
import type { ElectricalType } from '../../part';
import { good } from '../../test/samples';
import { matchPins } from '../match';
import { readModels } from '../read-models';

/**
 * Headers as makers write them, put together at random: a device, an order of its nodes, names or numbers for them, and one
 * of many ways to say in comments what they are. Whatever is understood of it, no pin may be put on a wrong node.
 */
interface Terminal {
  pins: string[];
  type: ElectricalType;
  said: string[];
  nodes: string[];
}

const terminal = (line: string): Terminal => {
  const [pins = '', type = '', said = '', nodes = ''] = line.split(' | ');
  return { pins: pins.split(' '), type: type as ElectricalType, said: said.split('; '), nodes: nodes.split(' ') };
};

const DEVICES: Record<string, Terminal[]> = {
  'operational amplifier': [
    'IN+ +IN INP + | input | non-inverting input; positive input; + input; in+; plus input | INP IN+ NI',
    'IN- -IN INN - | input | inverting input; negative input; - input; in-; minus input | INN IN- INV',
    'V+ VCC VDD +VS | supply-in | positive supply; positive power supply; vcc; V+; positive rail | VCC VP V+',
    'V- VEE VSS -VS | supply-in | negative supply; negative power supply; vee; V-; negative rail | VEE VN V-',
    'OUT VOUT OUTPUT | output | output; out; signal output | OUT VOUT O',
  ].map(terminal),
  regulator: [
    'IN VIN | supply-in | input; supply input; unregulated input; input voltage | IN VIN',
    'GND | ground | ground; common; gnd | GND COM',
    'OUT VOUT | supply-out | output; regulated output; output voltage | OUT VOUT',
    'EN ENABLE | input | enable; enable input; on/off control | EN ENABLE',
    'BYP NR | passive | bypass; noise bypass; noise reduction | BYP NR',
  ].map(terminal),
  'power transistor': ['D DRAIN | passive | drain | D', 'G GATE | passive | gate | G', 'S SOURCE | passive | source | S'].map(terminal),
  timer: [
    'GND | ground | ground | GND',
    'TRIG TRIGGER | input | trigger; trigger input | TRIG TR',
    'OUT OUTPUT | output | output | OUT',
    'RESET RST | input | reset | RST RESET',
    'CONT CTRL CV | input | control voltage; control | CTRL CV',
    'THRES THR | input | threshold | THR THRES',
    'DISCH DIS | open-drain | discharge | DIS DISCH',
    'VCC | supply-in | positive supply; supply | VCC',
  ].map(terminal),
  'differential amplifier': [
    '+IN IN+ | input | noninverting input | INP',
    '-IN IN- | input | inverting input | INN',
    '+OUT OUT+ | output | positive output; noninverting output | OUTP',
    '-OUT OUT- | output | negative output; inverting output | OUTN',
    'VOCM | input | output common mode; common-mode input | VOCM',
    'VS+ V+ | supply-in | positive supply | VCC',
    'VS- V- | supply-in | negative supply | VEE',
  ].map(terminal),
};

type Style = (nodes: string[], said: string[], pins: string[]) => string[];
const each = (line: (node: string, said: string, i: number) => string): Style => (nodes, said) => nodes.map((n, i) => line(n, said[i]!, i)); // prettier-ignore
const half = (list: string[]): number => Math.ceil(list.length / 2);

const STYLES: Record<string, Style> = {
  'a ladder': (_, said) => said.map((w, i) => `    ${'|  '.repeat(i)}${w}`),
  'a ladder from below': (_, said) => said.map((_w, j) => `    ${'|  '.repeat(said.length - 1 - j)}${said[said.length - 1 - j]}`),
  'equals signs': each((n, w) => `${n} = ${w}`),
  'words first': each((n, w) => ` ${w} = ${n}`),
  colons: each((n, w) => ` ${n}: ${w}`),
  columns: each((n, w) => `  ${n.padEnd(8)}${w}`),
  'columns, words first': each((n, w) => `  ${w.padEnd(26)}${n}`),
  dashes: each((n, w) => `${n} - ${w}`),
  'pins beside nodes': each((n, w, i) => `pin ${i + 1} (${n}) ${w}`),
  'one line': (nodes, said) => [nodes.map((n, i) => `${n} = ${said[i]}`).join(', ')],
  'an order': (_, said) => [`Node order: ${said.join(', ')}`],
  'an order over two lines': (_, said) => [
    `Connections: ${said.slice(0, half(said)).join(', ')},`,
    `   ${said.slice(half(said)).join(', ')}`,
  ],
  'an order with strokes': (_, said) => [`PINS: ${said.map((w) => w.toUpperCase()).join(' / ')}`],
  places: (_, said) => ['Order of the nodes:', ...said.map((w, i) => `  ${['1st', '2nd', '3rd'][i] ?? `${i + 1}th`}  ${w}`)],
  'counted in order': (_, said) => ['Terminals in order', ...said.map((w, i) => `  ${i + 1}. ${w}`)],
  'bullets in order': (_, said) => ['Pin order of this model', ...said.map((w) => `  - ${w}`), ''],
  'plain lines in order': (_, said) => ['Connections, in order:', ...said.map((w) => `    ${w}`), ''],
  'plain lines': (_, said) => said.map((w) => `  ${w}`),
  'a table with pins first': (nodes, said) => [' Pin  Node  Function', ...nodes.map((n, i) => ` ${9 - i}    ${n.padEnd(6)}${said[i]}`)],
  'a table with pins second': (nodes, said) => [' Node  Pin  Function', ...nodes.map((n, i) => ` ${n.padEnd(6)}${9 - i}    ${said[i]}`)],
  sentences: each((n, w) => `Node ${n} is the ${w}.`),
  arrows: each((n, w) => `${n} -> ${w}`),
  bars: (_, said) => [said.join(' | ')],
  'a drawn package': (nodes, _said, pins) => {
    const last = nodes.length - 1;
    const left = (i: number) => `${pins[i]!.padStart(10)} ${nodes[i]}|`;
    const right = (k: number) => `|${nodes[k]} ${pins[k]}`;
    return nodes.slice(0, half(nodes)).map((_, i) => (i === last - i ? `${left(i)}      |` : `${left(i)}      ${right(last - i)}`));
  },
  'classes beside': (nodes, said) => nodes.map((n, i) => `  ${n.padEnd(6)}${'IOP'[i % 3]}   ${said[i]}`),
  'sentences in a line': (nodes, said) => [nodes.map((n, i) => `${n} is the ${said[i]}`).join(', ')],
  'pins in order': (_, said) => [said.map((w, i) => `pin ${101 + i} ${w}`).join(', ')],
  'names in a line': (_, _said, pins) => [pins.join(' ')],
  'names behind a lead': (_, _said, pins) => [`Pins: ${pins.join(' ')}`],
  'two columns': (nodes, said) =>
    nodes.slice(0, half(nodes)).map((n, i) => {
      const k = i + half(nodes);
      return `  ${`${n} ${said[i]}`.padEnd(32)}${nodes[k] === undefined ? '' : `${nodes[k]} ${said[k]}`}`;
    }),
};

const NOISE = [
  [],
  ['Copyright Tern Field, free to use', 'Rev 1.0  2026-03-02  first issue'],
  ['Model valid for supplies from 3 V to 12 V', 'and 25 degrees'],
  ['', '------------------------------'],
  ['The output stage, input bias and supply current are modelled.'],
  ['Package SO-8: 1 OUT 2 IN- 3 IN+ 4 V- 5 NC 6 NC 7 V+ 8 NC'],
];

/** Names of the nodes: numbers out of order or in it, tens, letters with numbers, or names that say what they are. */
const NAMING = ['shuffled', 'counted', 'tens', 'letters', 'names'] as const;

const header = fc
  .record({
    device: fc.constantFrom(...Object.keys(DEVICES)),
    style: fc.constantFrom(...Object.keys(STYLES)),
    naming: fc.constantFrom(...NAMING),
    before: fc.constantFrom(...NOISE),
    behind: fc.constantFrom(...NOISE.slice(0, 5)),
    isInside: fc.boolean(),
    turn: fc.array(fc.nat(999), { minLength: 24, maxLength: 24 }),
  })
  .map(({ device, style, naming, before, behind, isInside, turn }) => {
    const shuffled = <T>(list: readonly T[], by: number): T[] => list.map((v, i) => ({ v, at: turn[(i + by) % turn.length]! })).sort((a, b) => a.at - b.at).map(({ v }) => v); // prettier-ignore
    const one = <T>(list: readonly T[], i: number): T => list[turn[i % turn.length]! % list.length]!;
    const terminals = shuffled(DEVICES[device]!, 0);
    const counted = terminals.map((_, i) => String(i + 1));
    const nodes = {
      shuffled: shuffled(counted, 8),
      counted,
      tens: shuffled(counted, 3).map((n) => `${n}0`),
      letters: counted.map((n) => `N${n}`),
      names: terminals.map((t, i) => one(t.nodes, i)),
    }[naming];
    const said = terminals.map((t, i) => one(t.said, i + 5));
    const comments = STYLES[style]!(nodes, said, terminals.map((t, i) => one(t.pins, i + 9))).map((l) => `* ${l}`); // prettier-ignore
    const noise = (lines: string[]) => lines.map((l) => `* ${l}`);
    const card = `.SUBCKT TF100 ${nodes.join(' ')}`;
    const lines = [`* ${device} TF100`, ...noise(before), ...(isInside ? [card, ...comments] : [...comments, ...noise(behind), card]), 'R1 1 2 1G', '.ENDS', '']; // prettier-ignore
    const pins = shuffled(terminals, 5).map((t, i) => ({ number: `${i + 1}`, name: one(t.pins, i + 13), type: t.type, unit: null }));
    const nodeOf = new Map(shuffled(terminals, 5).map((t, i) => [`${i + 1}`, nodes[terminals.indexOf(t)]!]));
    return { text: lines.join('\n'), pins, nodeOf };
  });

it('property: however a header tells its nodes, no pin is put on a wrong one, and most find theirs', () => {
  let [found, all] = [0, 0];
  fc.assert(
    fc.property(header, ({ text, pins, nodeOf }) => {
      const { pairs } = matchPins(pins, good(readModels(text)).models[0]!.nodes);
      expect(pairs.filter((p) => nodeOf.get(p.pin) !== p.node).map((p) => `${p.pin}=${p.node}`)).toEqual([]);
      found += pairs.length;
      all += pins.length;
    }),
    { numRuns: 1500 },
  );
  expect(found / all).toBeGreaterThan(0.8);
});

/** Parts of several channels, told by letters or by figures, with a model of all of them. */
const CHANNELS = {
  amplifier: {
    of: (k: number, a: string): Terminal[] => [
      { pins: [`${k}IN+`, `IN${k}+`, `+IN${a}`, `IN${a}+`], type: 'input', said: [`noninverting input ${a}`, `non-inverting input ${k}`, `positive input of amplifier ${k}`], nodes: [`INP${k}`] }, // prettier-ignore
      { pins: [`${k}IN-`, `IN${k}-`, `-IN${a}`, `IN${a}-`], type: 'input', said: [`inverting input ${a}`, `inverting input ${k}`, `negative input of amplifier ${k}`], nodes: [`INN${k}`] }, // prettier-ignore
      { pins: [`${k}OUT`, `OUT${k}`, `OUT ${a}`, `OUT${a}`], type: 'output', said: [`output ${a}`, `output ${k}`, `output of amplifier ${k}`], nodes: [`OUT${k}`] }, // prettier-ignore
    ],
    shared: ['V+ VCC | supply-in | positive supply; V+ | VCC', 'V- VEE | supply-in | negative supply; V- | VEE'].map(terminal),
  },
  gate: {
    of: (k: number): Terminal[] => [
      { pins: [`${k}A`, `A${k}`], type: 'input', said: [`input A of gate ${k}`, `input ${k}A`], nodes: [`A${k}`] },
      { pins: [`${k}B`, `B${k}`], type: 'input', said: [`input B of gate ${k}`, `input ${k}B`], nodes: [`B${k}`] },
      { pins: [`${k}Y`, `Y${k}`], type: 'output', said: [`output of gate ${k}`, `output ${k}Y`], nodes: [`Y${k}`] },
    ],
    shared: ['VCC | supply-in | positive supply; VCC | VCC', 'GND | ground | ground; GND | GND'].map(terminal),
  },
};

it('property: nor is a pin put on the node of another channel', () => {
  const part = fc.record({
    kind: fc.constantFrom('amplifier' as const, 'gate' as const),
    channels: fc.constantFrom(2, 4),
    style: fc.constantFrom('a ladder', 'equals signs', 'colons', 'columns', 'columns, words first', 'an order', 'counted in order', 'sentences'), // prettier-ignore
    hasNumbers: fc.boolean(),
    hasUnits: fc.boolean(),
    named: fc.nat(11),
    told: fc.nat(11),
    turn: fc.array(fc.nat(9999), { minLength: 28, maxLength: 28 }),
  });
  let [found, all] = [0, 0];
  fc.assert(
    fc.property(part, ({ kind, channels, style, hasNumbers, hasUnits, named, told, turn }) => {
      const { of, shared } = CHANNELS[kind];
      const own = Array.from({ length: channels }, (_, c) => of(c + 1, 'ABCD'[c]!).map((t) => ({ ...t, unit: 'ABCD'[c]! })));
      const terminals = [...own.flat(), ...shared.map((t) => ({ ...t, unit: null }))];
      const order = terminals.map((_, i) => i).sort((a, b) => turn[a]! - turn[b]! || a - b);
      const nodes = order.map((at, i) => (hasNumbers ? String(((i * 5) % order.length) + 1) : `N${at + 1}`));
      const isOne = new Set(nodes).size === nodes.length;
      const said = order.map((at) => terminals[at]!.said[told % terminals[at]!.said.length]!);
      const comments = STYLES[style]!(nodes, said, []).map((l) => `* ${l}`);
      const text = ['* a part', ...comments, `.SUBCKT TF200 ${nodes.join(' ')}`, 'R1 1 2 1G', '.ENDS', ''].join('\n');
      const pins = terminals.map(({ pins: names, type, unit }, i) => ({
        number: `${i + 1}`,
        name: names[named % names.length]!,
        type,
        unit: hasUnits ? unit : null,
      }));
      fc.pre(isOne);
      const { pairs } = matchPins(pins, good(readModels(text)).models[0]!.nodes);
      const wrong = pairs.filter((p) => nodes[order.indexOf(Number(p.pin) - 1)] !== p.node);
      expect(wrong.map((p) => `${p.pin}=${p.node}`)).toEqual([]);
      found += new Set(pairs.map((p) => p.pin)).size;
      all += pins.length;
    }),
    { numRuns: 500 },
  );
  expect(found / all).toBeGreaterThan(0.85);
});
