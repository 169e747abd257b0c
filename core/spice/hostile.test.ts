import fc from 'fast-check';
import { sayProblem } from '../part';
import { matchPins } from './match';
import { readModels } from './read-models';
import { rewriteForBerkeley } from './rewrite';

const PIECES = ['.subckt X a b', '.subckt Y 1 2 3 PARAMS: R=1k', '.ends', '.ends X', '.eom', '.macro Z p q', '+ c d', '+ ; note', '* 1 = in', '* | | out', '* +--- in', '* pins: A B C', '.model D1 D(IS=1f', '.model B AKO:A', '.param R={2*R}', 'R1 a b {R', "E1 a b VALUE='V(a)*R'", 'B1 a b V=V(a)**2 ; x', '.lib TT', '.endl', '.control', '.endc', '$XENCSTART', '$XENCFINISH', '0a1b2c3d'.repeat(6), 'X1 a b Y R=2', '.include ../x', '.subckt', '.model', '', '+', '*', '{', "'"]; // prettier-ignore
const text = fc
  .array(fc.oneof({ weight: 5, arbitrary: fc.constantFrom(...PIECES) }, fc.string({ maxLength: 24 })), { maxLength: 24 })
  .map((lines) => lines.join('\n'));

describe('a model file of any text', () => {
  it('is read or refused in sentences of one line, each with its line in the file', () =>
    fc.assert(
      fc.property(text, (source) => {
        const read = readModels(source, 'm.lib');
        const lines = source.split('\n').length;
        for (const p of read.ok ? read.value.problems : read.problems) {
          expect(sayProblem(p)).not.toMatch(/\n|undefined|\[object/);
          if (p.at?.line !== undefined) expect(p.at.line).toBeLessThanOrEqual(lines);
        }
        if (read.ok) for (const c of read.value.dialect) expect(c.lines).toEqual([...c.lines].sort((a, b) => a - b));
      }),
      { numRuns: 300 },
    ));
  it('has comments of nodes that its lines really say', () =>
    fc.assert(
      fc.property(text, (source) => {
        const read = readModels(source);
        const lines = source.split('\n');
        for (const model of read.ok ? read.value.models : [])
          for (const node of model.nodes)
            if (node.docLine !== undefined) {
              const words = node.doc.split(/[^\w+-]+/).filter((w) => w !== '');
              for (const word of words) expect(lines.slice(node.docLine - 1, node.docLine + 4).join(' ')).toContain(word);
            }
      }),
      { numRuns: 300 },
    ));
  it.each([
    ['separators', `(1) ${','.repeat(400_000)}x`],
    ['words', `1 = ${'a b '.repeat(100_000)}`],
    ['gaps', `1   ${'a  b  '.repeat(60_000)}`],
    ['dashes', `in ${'-'.repeat(100_000)}x`],
    ['equals signs', `in ${'='.repeat(3000)}x`],
    ['blanks', `in ${' '.repeat(3000)}x`],
    ['dots', `in ${'.'.repeat(3000)}x`],
    ['plus signs', `${'+'.repeat(100_000)}x`],
    ['bars', `${'|'.repeat(100_000)}x`],
    ['windings', `primary 1-2${', dots at 1'.repeat(40_000)};`],
  ])('comes to an end though a comment has thousands of %s', (_, comment) => {
    const read = readModels(`* ${comment}\n.subckt X 1 2\n.ends\n`);
    expect(read.ok && read.value.models.map((m) => m.nodes.length)).toEqual([2]);
  });
  it('comes to an end though thousands of its lines list the nodes, each otherwise', () => {
    const lists = Array.from({ length: 4000 }, (_, i) => `* 1=A${i} 2=B${i} 3=C${i}`).join('\n');
    const read = readModels(`${lists}\n.subckt X 1 2 3\nR1 1 2 1\n.ends\n`);
    expect(read.ok && read.value.models[0]!.nodes.map((n) => n.doc)).toEqual(['', '', '']);
  });
  it('is rewritten without losing a model, and a second time nothing changes', () =>
    fc.assert(
      fc.property(text, (source) => {
        const before = readModels(source);
        const once = rewriteForBerkeley(source);
        const after = readModels(once.text);
        const names = (read: typeof before) => (read.ok ? read.value.models.map((m) => [m.name, m.nodes.length]) : []);
        if (before.ok) expect(names(after)).toEqual(names(before));
        expect(rewriteForBerkeley(once.text).text).toBe(once.text);
      }),
      { numRuns: 300 },
    ));
});

it('reads a card of many continuations, and many sealed lines, in time that grows with them', () => {
  const start = performance.now();
  readModels(`.subckt X a\n${'+ b ; note\n'.repeat(60_000)}.ends\n`);
  readModels(`.subckt X a\n${`${'0a1b2c3d'.repeat(8)}\n`.repeat(60_000)}.ends\n${'.subckt Y c\n.ends\n'.repeat(20_000)}`);
  // Generous: the square of such counts would take minutes.
  expect(performance.now() - start).toBeLessThan(20_000);
});

it('matches a part of a thousand pins of which many look alike, asking where it cannot know', () => {
  const pins = Array.from({ length: 1000 }, (_, i) => ({
    number: String(i),
    name: `IN${i}`,
    type: 'input' as const,
    unit: null,
    description: 'signal input',
  }));
  const nodes = Array.from({ length: 12 }, (_, i) => ({ name: `n${i}`, doc: 'signal input' }));
  const start = performance.now();
  const { pairs, asks } = matchPins(pins, nodes);
  expect([pairs.length, asks.length]).toEqual([0, 1000]);
  expect(performance.now() - start).toBeLessThan(20_000);
});

describe('matching of any pins and nodes', () => {
  const word = fc.constantFrom('IN', 'IN+', 'IN-', 'OUT', 'VCC', 'GND', 'A', 'K', 'C', 'EN', '1', '2', 'FOO', 'output', 'input', 'x');
  const pins = fc.uniqueArray(
    fc.record({
      number: fc.integer({ min: 1, max: 20 }).map(String),
      name: word,
      type: fc.constantFrom('input' as const, 'output' as const, 'supply-in' as const, 'ground' as const, 'passive' as const),
      unit: fc.constantFrom(null, 'A', 'B'),
    }),
    { selector: (p) => p.number, maxLength: 10 },
  );
  const nodes = fc.uniqueArray(fc.record({ name: word, doc: fc.oneof(fc.constant(''), word) }), { selector: (n) => n.name, maxLength: 8 });
  it('gives a pin one node in a unit at most, and a node one signal', () =>
    fc.assert(
      fc.property(pins, nodes, (ps, ns) => {
        const { pairs, asks, left } = matchPins(ps, ns);
        const nameOf = new Map(ps.map((p) => [p.number, p.name]));
        const ends = pairs.map((p) => `${p.unit} ${p.pin}`);
        expect(new Set(ends).size).toBe(ends.length);
        for (const unit of new Set(pairs.map((p) => p.unit)))
          for (const node of new Set(pairs.map((p) => p.node)))
            expect(new Set(pairs.filter((p) => p.unit === unit && p.node === node).map((p) => nameOf.get(p.pin))).size).toBeLessThanOrEqual(
              1,
            );
        // Every pin is paired, asked about, or left with a reason; none is forgotten.
        const told = new Set([...pairs, ...asks, ...left].map((p) => p.pin));
        if (ns.length > 0) for (const p of ps) expect(told.has(p.number)).toBe(true);
      }),
      { numRuns: 400 },
    ));
});
