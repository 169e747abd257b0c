import fc from 'fast-check';
import { provenPart, refused, good } from '../test/samples';
import {
  canonicalPart,
  compareNatural,
  compareTerminals,
  connectPoint,
  copyOf,
  emptyPart,
  freshId,
  parsePart,
  safeParsePart,
  safeParseRules,
  sayProblem,
  unitLabel,
  problem,
  type Port,
} from '.';
import { migrate } from './migrations';

const part = provenPart();
const bytes = canonicalPart(part);

describe('the canonical form', () => {
  it('is the same bytes after parsing them again', () => expect(canonicalPart(parsePart(bytes))).toBe(bytes));
  it('does not depend on the order of keys', () => {
    const shuffle = (v: unknown): unknown =>
      Array.isArray(v)
        ? v.map(shuffle)
        : v !== null && typeof v === 'object'
          ? Object.fromEntries(
              Object.entries(v)
                .reverse()
                .map(([k, x]) => [k, shuffle(x)]),
            )
          : v;
    expect(canonicalPart(parsePart(JSON.stringify(shuffle(part))))).toBe(bytes);
  });
  it('has one pin a line', () => {
    const lines = bytes.split('\n').filter((l) => l.includes('"name":"IN1+"'));
    expect(lines).toHaveLength(1);
    const renamed = canonicalPart({
      ...part,
      pins: part.pins.map((p) => (p.name === 'IN1+' ? { ...p, name: 'INA+' } : p)),
    });
    expect(renamed.split('\n').filter((l, i) => l !== bytes.split('\n')[i])).toHaveLength(1);
  });
  it('ends with one line feed', () => expect(bytes).toMatch(/[^\n]\n$/));
  it('property: parse and write are inverse for any texts', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.string(),
        fc.dictionary(fc.string({ minLength: 1 }), fc.array(fc.string())),
        (name, description, pads) => {
          const any = {
            ...part,
            description,
            pins: [{ id: 'p1', name, type: 'input' as const, pads, doubts: [] }],
            units: [],
          };
          const once = canonicalPart(any);
          expect(canonicalPart(parsePart(once))).toBe(once);
        },
      ),
    );
  });
});

describe('reading a part', () => {
  const broken = (change: (raw: Record<string, unknown>) => void): string => {
    const raw = JSON.parse(bytes) as Record<string, unknown>;
    change(raw);
    return JSON.stringify(raw);
  };
  it.each<[string, string, RegExp]>([
    ['cut off', bytes.slice(0, 200), /x\.json.*not JSON/],
    ['a list', '[]', /expected one part object/],
    ['a name of another kind', broken((r) => (r['name'] = 5)), /name: expected string/],
    ['half a step', broken((r) => ((r['drawings'] as { ports: Port[] }[])[0]!.ports[0]!.at = 0.5)), /drawings\[0\]\.ports\[0\]\.at/],
    ['a body that is not even', broken((r) => ((r['drawings'] as { body: { width: number } }[])[0]!.body.width = 7)), /body\.width/],
    ['a type nobody knows', broken((r) => ((r['pins'] as { type: string }[])[0]!.type = 'magic')), /pins\[0\]\.type/],
    ['a newer schema', broken((r) => (r['schema'] = 99)), /schema 99/],
    ['a drawing that is missing', broken((r) => (r['drawings'] = [])), /names the drawing/],
    ['a pin that is missing', broken((r) => ((r['units'] as { binding: object }[])[0]!.binding = { t1: 'ghost' })), /the pin "ghost"/],
    ['a pin id twice', broken((r) => (r['pins'] as object[]).push((r['pins'] as object[])[0]!)), /stands twice/],
  ])('refuses %s and says where', (_what, text, says) => expect(refused(safeParsePart(text, 'x.json')).join(' ')).toMatch(says));

  it('never throws on any text', () => {
    fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), (text) => void safeParsePart(text)));
  });
  it('brings schema 0 to the current one', () => {
    const old = {
      name: 'TF0001',
      units: [{ id: 'u1', label: 'A', title: '', drawing: 'd1', pins: { t1: 'p1' } }],
      drawings: [
        {
          id: 'd1',
          body: { shape: 'block', width: 4, height: 4, strip: 1 },
          ports: [{ id: 't1', side: 'left', at: 0, length: 2 }],
        },
      ],
      pins: [{ id: 'p1', name: 'A', type: 'input', pads: {} }],
    };
    expect(good(safeParsePart(JSON.stringify(old))).units[0]!.binding).toEqual({ t1: 'p1' });
    expect(migrate({ schema: 1, name: 'x' })).toEqual({ schema: 1, name: 'x' });
  });
});

describe('house rules', () => {
  it('keeps the defaults for what a file does not say', () =>
    expect(good(safeParseRules('{"pinLength":3}'))).toMatchObject({
      pinLength: 3,
      pitch: 1,
      sides: { input: 'left' },
    }));
  it.each(['{"pinLength":99}', '{"sides":{"input":"middle"}}', '{"severities":{"x":"fatal"}}'])('refuses %s', (text) =>
    expect(refused(safeParseRules(text, 'r.json'))[0]).toMatch(/^r\.json.*House rules|house rules/i),
  );
});

describe('names and places', () => {
  it.each<[string[], string[]]>([
    [
      ['D10', 'D2', 'D1'],
      ['D1', 'D2', 'D10'],
    ],
    [
      ['b', 'a', 'a1'],
      ['a', 'a1', 'b'],
    ],
  ])('orders %j naturally', (list, expected) => expect([...list].sort(compareNatural)).toEqual(expected));
  it('orders terminals: numbers, balls by row length, the rest', () =>
    expect(['AA1', 'EP', 'B2', '10', 'A12', '9'].sort(compareTerminals)).toEqual(['9', '10', 'A12', 'B2', 'AA1', 'EP']));
  it.each<[Port['side'], number, { x: number; y: number }]>([
    ['left', 1, { x: -6, y: 1 }],
    ['right', -1, { x: 6, y: -1 }],
    ['top', 2, { x: 2, y: 5 }],
    ['base', 0, { x: 0, y: -5 }],
  ])('puts a %s port’s connect point on the grid', (side, at, point) =>
    expect(connectPoint({ shape: 'block', width: 8, height: 6, strip: 1 }, { id: 't', side, at, length: 2 })).toEqual(point),
  );
  it('counts ids and labels', () => {
    expect(freshId('p', new Set(['p1', 'p3']))).toBe('p4');
    expect(freshId('p', new Set(['p2', 'q']))).toBe('p3');
    expect([0, 25, 26, 701, 702].map(unitLabel)).toEqual(['A', 'Z', 'AA', 'ZZ', 'AAA']);
  });
  it('says problems in one line, whatever they hold', () => {
    const said = sayProblem(problem('row-skipped', { text: 'a\nb\u0000'.repeat(90), why: 'x' }, { file: 'f.csv', line: 3 }));
    expect(said).toMatch(/^f\.csv, line 3: Row "/);
    expect(said).not.toMatch(/[\n\u0000]/);
    expect(said.length).toBeLessThan(200);
  });
  it('a copy begins as the part stands, and what one part alone can have or a person vouched for is not in it', () => {
    const readBack = { '1': 'x' };
    const given = {
      ...part,
      houseNumber: '7-001',
      orderCodes: ['TF1-R'],
      packages: part.packages.map((p) => ({ ...p, readBack })),
      models: part.models.map((m) => ({ ...m, readBack: { '*': readBack } })),
      waivers: [{ finding: 'f', rule: 'r', reason: 'so', digest: 'd' }],
    };
    const copy = copyOf(given, new Set([`${part.name} copy`]));
    expect(copy.name).toBe(`${part.name} copy 2`);
    expect(copyOf(copy, new Set([copy.name])).name).toBe(`${part.name} copy`);
    expect(canonicalPart({ ...copy, name: part.name })).toBe(canonicalPart({ ...part, orderCodes: [], waivers: [], releases: [] }));
    expect(canonicalPart(copy)).not.toMatch(/readBack|houseNumber/);
  });
  it('an empty part is a part', () => expect(parsePart(canonicalPart(emptyPart('X'))).name).toBe('X'));
});
