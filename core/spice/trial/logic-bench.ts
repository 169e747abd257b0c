import { gateByInputs } from '../device';
import { fail, pass, type Bench } from './benches';
import { at, lacks, netlistOf, netsOf, netsWith, rails, round, vectorOf, type Setup } from './setup';

type Gate = 'NAND' | 'NOR' | 'AND' | 'OR' | 'XNOR' | 'XOR' | 'an inverter' | 'a buffer';

const GATES: [Gate, RegExp][] = [
  ['NAND', /\bnand\d?\b/i],
  ['XNOR', /\bx-?nor\b|\bexclusive[- ]nor\b/i],
  ['XOR', /\bx-?or\b|\bexclusive[- ]or\b/i],
  ['NOR', /\bnor\d?\b/i],
  ['AND', new RegExp(`\\band[ -]gate\\b|${gateByInputs('and')}`, 'i')],
  ['OR', new RegExp(`\\bor[ -]gate\\b|${gateByInputs('or')}`, 'i')],
  ['an inverter', /\binvert(er|ing buffer)\b/i],
  ['a buffer', /\bnon-?inverting buffer\b/i],
];

/** Inputs of the second walk, of the supply: over any threshold, and well below the supply. */
const LESS = 0.8;

/** How many lines of comments around a header can speak of the model. */
const AROUND = 4;

/** The gate that the model's name or the comments beside its header name, where they name just one. */
function functionOf({ model, source }: Setup): Gate | undefined {
  const lines = source.split(/\r\n?|\n/);
  const near = lines.slice(Math.max(0, model.line - 1 - AROUND), model.line + AROUND).filter((l) => l.startsWith('*'));
  const text = [model.name.replace(/_/g, ' '), ...near].join('\n');
  // A NAND whose inputs are Schmitt triggers is one still; "NAND with open drain" pulls up through the bench's load.
  const named = GATES.filter(([, words]) => words.test(text)).map(([gate]) => gate);
  return named.length === 1 && !/\b(enable|latch|flip-?flop|counter|register|mux)/i.test(text) ? named[0] : undefined;
}

/** The level that a gate gives for a state whose bits are its inputs. */
function expected(gate: Gate, state: number, inputs: number): '0' | '1' {
  const high = [...state.toString(2)].filter((bit) => bit === '1').length;
  const level: Record<Gate, boolean> = {
    NAND: high < inputs,
    AND: high === inputs,
    NOR: high === 0,
    OR: high > 0,
    XOR: high % 2 === 1,
    XNOR: high % 2 === 0,
    'an inverter': high === 0,
    'a buffer': high > 0,
  };
  return level[gate] ? '1' : '0';
}

/** Names of what lets outputs go. */
const ENABLES = /^[~/!n]?\d?(O?EN?|OEN?|G|ENA|ENABLE|CE|OD|DIS|DISABLE)(_?[AB\d])?(_?[NB#*])?$/i;

/** The input, by its bit, at one level of which an output is at no level, and at the other always at one: it lets the output go. */
function releasedBy(digits: string, inputs: number): number | undefined {
  if (!digits.includes('?')) return undefined;
  const bits = Array.from({ length: inputs }, (_, b) => b);
  return bits.find((b) => [0, 1].some((level) => [...digits].every((d, s) => (d === '?') === (((s >> b) & 1) === level))));
}

/** A logic gate or buffer: every input is stepped alone, others high and then low; outputs must reach both levels. */
export const logicLevels: Bench = {
  name: 'truth table',
  build(setup) {
    const nets = netsOf(setup);
    const inputs = netsWith(nets, 'input', 'in+', 'in-', 'enable').slice(0, 4);
    const outputs = netsWith(nets, 'output');
    if (inputs.length === 0 || outputs.length === 0) return lacks(outputs.length === 0 ? 'an output' : 'an input');
    const { lines, high } = rails(nets.filter((n) => n.role !== 'enable'));
    const states = 2 ** inputs.length;
    // Each input is a bit of the time, so that one run walks through the whole table, and then through it once more
    // with inputs that are high by less than the supply.
    const wave = (bit: number) =>
      Array.from({ length: 2 * states }, (_, s) => {
        const level = (s >> bit) & 1 ? (s < states ? high : LESS * high) : 0;
        return `${s * 10}u ${level} ${s * 10 + 9}u ${level}`;
      }).join(' ');
    const around = [
      ...lines,
      // Through a resistor: an input joined to an ideal output would leave the engine without a solution.
      ...inputs.flatMap((n, b) => [`Vin${b} drive${b} 0 PWL(${wave(b)})`, `Rin${b} drive${b} ${n} 50`]),
      // Between the levels, so that an output that is at neither shows it; an open one is pulled to the level that it lacks.
      ...outputs.flatMap((n, i) => {
        const { type } = nets.find((x) => x.net === n)!.pin;
        const pull = type === 'open-drain' ? high : type === 'open-source' ? 0 : high / 2;
        return [`Rload${i} ${n} pull${i} 100k`, `Vpull${i} pull${i} 0 ${pull}`];
      }),
    ];
    return {
      netlist: netlistOf(setup, around, `.tran 0.5u ${states * 20}u`),
      judge(run) {
        const time = vectorOf(run, 'time');
        const tablesFrom = (from: number) =>
          outputs.map((n) => Array.from({ length: states }, (_, s) => at(time, vectorOf(run, `v(${n})`), ((from + s) * 10 + 7) * 1e-6)));
        const tables = tablesFrom(0);
        const highest = Math.max(...tables.flat());
        const follows = Math.abs(Math.max(...tablesFrom(states).flat()) - LESS * highest) < 0.05 * highest;
        const levels = tables.flat();
        const measured = { lowestV: round(Math.min(...levels)), highestV: round(Math.max(...levels)) };
        const forced = inputs.find((n, b) =>
          Array.from({ length: states }, (_, s) => s).some((s) => {
            const level = at(time, vectorOf(run, `v(${n})`), (s * 10 + 7) * 1e-6);
            return Math.abs(level - ((s >> b) & 1 ? high : 0)) > 0.2 * high;
          }),
        );
        const read = tables.map((t) => t.map((v) => (v > 0.7 * high ? '1' : v < 0.3 * high ? '0' : '?')).join(''));
        const released = read.map((d) => releasedBy(d, inputs.length));
        const digits = read.map((d, i) => (released[i] === undefined ? d : d.replace(/\?/g, 'Z')));
        const curve = {
          curve: {
            x: { label: 'time, s', values: time },
            y: outputs.map((n) => ({ label: nets.find((x) => x.net === n)!.pin.name, values: vectorOf(run, `v(${n})`) })),
          },
        };
        if (forced !== undefined) {
          const { name } = nets.find((n) => n.net === forced)!.pin;
          return fail(`The model drives ${name}, which is an input: it may be joined to an output or a supply.`, measured, curve);
        }
        const wrongOne = released
          .flatMap((b) => (b === undefined ? [] : [nets.find((n) => n.net === inputs[b])!.pin.name]))
          .find((n) => !ENABLES.test(n));
        if (wrongOne !== undefined)
          return fail(`${wrongOne} lets an output go: ${digits.join(', ')}. It may be swapped with an enable.`, measured, curve);
        if (digits.some((d) => d.includes('?')))
          return fail(`An output is at no level: ${digits.join(', ')}. Supplies or pins may be swapped.`, measured, curve);
        if (digits.some((d) => !/0.*1|1.*0/.test(d)))
          return fail(`An output never changes: ${digits.join(', ')}. Inputs and outputs may be swapped.`, measured, curve);
        const known = functionOf(setup);
        const wanted =
          known && outputs.length === 1 ? digits[0]!.replace(/./g, (_, s: number) => expected(known, s, inputs.length)) : digits[0]!;
        if (wanted !== digits[0])
          return fail(
            `The output is ${digits[0]} for the inputs counted up, where ${known} gives ${wanted}: supplies or inputs may be swapped.`,
            measured,
            curve,
          );
        const idle = inputs.filter((_, b) => digits.every((d) => [...d].every((v, s) => v === d[s ^ (1 << b)])));
        if (idle.length > 0) return fail(`${nets.find((n) => n.net === idle[0])!.pin.name} has no effect on any output.`, measured, curve);
        if (known === undefined && follows && netsWith(nets, 'supply+').length > 0)
          return {
            verdict: 'inconclusive',
            reason: `The output is as high as an input and not as the supply: the two may be swapped. The outputs are ${digits.join(', ')}.`,
            measured,
            ...curve,
          };
        // A table that changes when two inputs change places says nothing of which of them is which.
        const swappedBits = (state: number, a: number, b: number) => {
          const [x, y] = [(state >> a) & 1, (state >> b) & 1];
          return x === y ? state : state ^ (1 << a) ^ (1 << b);
        };
        const pairs = inputs.flatMap((_, a) => inputs.slice(a + 1).map((_, k) => [a, a + 1 + k] as const));
        const isEven = pairs.every(([a, b]) => digits.every((d) => [...d].every((v, s) => v === d[swappedBits(s, a, b)])));
        const doubt = isEven ? '' : ' It cannot tell which input is which: compare the table with the datasheet.';
        return pass(`Every input acts; the outputs are ${digits.join(', ')} for the inputs counted up.${doubt}`, measured, curve);
      },
    };
  },
};
