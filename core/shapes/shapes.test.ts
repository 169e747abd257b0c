import { MARKS, type Body, type Pin, type Port, type Side } from '../part';
import { provenPart } from '../test/samples';
import {
  ADVANCE,
  boundsOf,
  drawPort,
  drawUnit,
  hasOverbar,
  insideWidth,
  MARK_SHAPES,
  numberText,
  outsideWidth,
  textBox,
  textWidth,
  type Primitive,
} from '.';

const body: Body = { shape: 'block', width: 8, height: 6, strip: 1 };
const pin = (name: string, more: Partial<Pin> = {}): Pin => ({
  id: 'p',
  name,
  type: 'input',
  pads: {},
  doubts: [],
  ...more,
});
const port = (side: Side, more: Partial<Port> = {}): Port => ({ id: 't', side, at: 1, length: 2, ...more });
const texts = (list: Primitive[]) => list.filter((p) => p.kind === 'text');

describe('text widths', () => {
  it.each<[string, number]>([
    ['A', 1],
    ['AIN1+', 5],
    ['', 0],
    ['C\u0305S', 2],
    ['Ω𝛼', 2],
  ])('“%s” is %i advances', (text, n) => expect(textWidth(text, 100)).toBeCloseTo(n * ADVANCE * 100));
});

describe('a pin as drawn', () => {
  it.each<[Side, [number, number, number, number]]>([
    ['left', [-600, 100, -400, 100]],
    ['right', [600, 100, 400, 100]],
    ['top', [100, 500, 100, 300]],
    ['base', [100, -500, 100, -300]],
  ])('on the %s runs from its connect point to the body', (side, [x1, y1, x2, y2]) =>
    expect(drawPort({ body }, port(side), pin('A'), [])[0]).toMatchObject({ kind: 'line', x1, y1, x2, y2 }),
  );
  it.each<[Side, string, boolean | undefined]>([
    ['left', 'start', undefined],
    ['right', 'end', undefined],
    ['top', 'end', true],
    ['base', 'start', true],
  ])('has its name inside the body on the %s', (side, anchor, upright) => {
    const name = texts(drawPort({ body }, port(side), pin('NAME'), []))[0]!;
    expect([name.anchor, name.upright]).toEqual([anchor, upright]);
    const box = textBox(name);
    expect(box.left).toBeGreaterThan(-400);
    expect(box.right).toBeLessThan(400);
  });
  it('shows number and name only where they are not hidden', () => {
    const shown = (hide: Port['hide']) => texts(drawPort({ body }, port('left', hide ? { hide } : {}), pin('A'), ['7'])).map((t) => t.text);
    expect(shown(undefined)).toEqual(['A', '7']);
    expect(shown(['name'])).toEqual(['7']);
    expect(shown(['number'])).toEqual(['A']);
  });
  it('shows the chosen alternate', () =>
    expect(texts(drawPort({ body }, port('left'), pin('PA0', { drawnName: 'ADC0' }), []))[0]!.text).toBe('ADC0'));
  it('draws a port that no pin is bound to', () => expect(drawPort({ body }, port('left'), undefined, [])).toHaveLength(1));
  it.each<[string[], string]>([
    [[], ''],
    [['7'], '7'],
    [['7', '8'], '7,8'],
    [['7', '8', '9'], '7 ×3'],
  ])('writes the pads %j as “%s”', (pads, text) => expect(numberText(pads)).toBe(text));
  it.each<[string, boolean, boolean]>([
    ['CS', true, true],
    ['CS', false, false],
    ['CS#', true, false],
    ['/CS', true, false],
    ['RESET_N', true, false],
    ['nCS', true, false],
  ])('%s, active low %s: overbar %s', (name, activeLow, bar) => expect(hasOverbar(pin(name, { activeLow }))).toBe(bar));
});

describe('marks of IEC 60617-12', () => {
  it.each(MARKS.map((m) => [m] as const))('%s is drawn, and has its symbol named', (mark) => {
    expect(MARK_SHAPES[mark].standard).toMatch(/12-\d\d-\d\d/);
    expect(MARK_SHAPES[mark].draw(0).length).toBeGreaterThan(0);
  });
  it('shortens the line for marks outside, and moves the name for marks inside', () => {
    const plain = drawPort({ body }, port('left'), pin('A'), []);
    const negated = drawPort({ body }, port('left', { marks: ['negation'] }), pin('A'), []);
    const both = drawPort({ body }, port('left', { marks: ['clock', 'hysteresis'] }), pin('A'), []);
    expect(negated[0]).toMatchObject({ x2: -440 });
    expect(texts(both)[0]!.x - texts(plain)[0]!.x).toBe(insideWidth(['clock', 'hysteresis']));
    expect([outsideWidth(['negation']), outsideWidth(['polarity']), outsideWidth(['clock'])]).toEqual([40, 45, 0]);
  });
  it.each<[Side, [number, number]]>([
    ['left', [-420, 100]],
    ['right', [420, 100]],
    ['top', [100, 320]],
    ['base', [100, -320]],
  ])('puts the negation circle outside the body on the %s', (side, [x, y]) =>
    expect(drawPort({ body }, port(side, { marks: ['negation'] }), undefined, [])[1]).toMatchObject({
      kind: 'circle',
      x,
      y,
    }),
  );
});

describe('a unit as drawn', () => {
  const part = provenPart();
  const drawn = drawUnit(part, part.units[0]!);
  const said = texts(drawn).map((t) => t.text);
  it('has body, title, pins, reference with the unit’s label, and value', () =>
    expect(said).toEqual(expect.arrayContaining(['Channel 1', 'IN1+', 'IN1-', 'OUT1', '1', '2', '3', 'U?A', 'TF0002'])));
  it('has no label of the unit where there is only one', () => {
    const single = { ...part, units: [part.units[0]!] };
    expect(texts(drawUnit(single, single.units[0]!)).map((t) => t.text)).toContain('U?');
  });
  it('is nothing without its drawing', () => expect(drawUnit({ ...part, drawings: [] }, part.units[0]!)).toEqual([]));
  it('draws artwork and fields', () => {
    const art = {
      ...part,
      fields: [{ name: 'Supply', value: '5 V' }],
      drawings: part.drawings.map((d) => ({
        ...d,
        strokes: [
          { kind: 'circle' as const, points: [[0, 0] as [number, number]], radius: 50 },
          {
            kind: 'polygon' as const,
            points: [
              [0, 0],
              [10, 0],
              [10, 10],
            ] as [number, number][],
            filled: true,
          },
          {
            kind: 'polyline' as const,
            points: [
              [0, 0],
              [10, 0],
            ] as [number, number][],
          },
        ],
        labels: [{ kind: 'field' as const, field: 'Supply', x: 0, y: 0, anchor: 'middle' as const, size: 50 }],
      })),
    };
    const kinds = drawUnit(art, art.units[0]!);
    expect(kinds.some((p) => p.kind === 'circle' && p.r === 50)).toBe(true);
    expect(texts(kinds).map((t) => t.text)).toContain('5 V');
  });
  it('has bounds that hold all of it', () => {
    const box = boundsOf(drawn);
    for (const p of drawn)
      if (p.kind === 'line') expect(p.x1 >= box.left && p.x2 <= box.right && p.y1 <= box.top && p.y1 >= box.base).toBe(true);
    expect(boundsOf([])).toEqual({ left: 0, right: 0, top: 0, base: 0 });
  });
});
