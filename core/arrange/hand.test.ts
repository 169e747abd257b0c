import {
  applyEdit,
  compareNatural,
  DEFAULT_RULES,
  emptyPart,
  placesOf,
  type Drawing,
  type ElectricalType,
  type Part,
  type Pin,
  type Side,
} from '../part';
import {
  alignEdit,
  arrangePart,
  busName,
  canMirror,
  distribute,
  dropPorts,
  followEdit,
  isAlike,
  mirror,
  moveEdit,
  nudge,
  pinsNamed,
  proposeReuse,
  resizeEdit,
  reuseEdit,
  reuseSource,
  sortPorts,
  swapPorts,
  unitsOfFamily,
  type Move,
} from '.';

const pinsOf = (...texts: string[]): Pin[] =>
  texts.map((text, i) => {
    const [name = '', type = 'input'] = text.split(':');
    return { id: `p${i}`, name, type: type as ElectricalType, pads: { p: [String(i + 1)] }, doubts: [] };
  });
const drafted = (...texts: string[]): Part => {
  const part = { ...emptyPart('TF0001'), pins: pinsOf(...texts) };
  return applyEdit(part, arrangePart(part, DEFAULT_RULES, 'one'));
};
const part = drafted('A', 'B', 'C', 'D', 'Q:output');
const drawing = part.drawings[0]!;
const port = (name: string) =>
  Object.entries(part.units[0]!.binding).find(([, id]) => part.pins.find((p) => p.id === id)!.name === name)![0];
const done = (moves: Move[], d: Drawing = drawing) => applyEdit(part, moveEdit(d, moves, 'x')).drawings[0]!;
/** The pins of a side from the top on, a dot for a place that is free. */
function column(d: Drawing, side: Side = 'left'): string {
  const at = new Map(
    d.ports.filter((p) => p.side === side).map((p) => [p.at, part.pins.find((x) => x.id === part.units[0]!.binding[p.id])!.name]),
  );
  const [top, base] = [Math.max(...at.keys()), Math.min(...at.keys())];
  return Array.from({ length: top - base + 1 }, (_, i) => at.get(top - i) ?? '.').join('');
}

describe('hand work on several pins', () => {
  it('spreads them between the first and the last', () => {
    const apart = done([{ port: port('D'), side: 'left', at: drawing.ports.find((p) => p.id === port('D'))!.at - 3 }]);
    expect(column(apart)).toBe('ABC...D');
    expect(column(done(distribute(apart, ['A', 'B', 'C', 'D'].map(port)), apart))).toBe('A.B.C.D');
  });
  it('swaps two, sides included', () => {
    const swapped = done(swapPorts(drawing, [port('A'), port('Q')]));
    expect([column(swapped), column(swapped, 'right')]).toEqual(['QBCD', 'A']);
    expect(swapPorts(drawing, [port('A')])).toEqual([]);
  });
  it('mirrors a unit, twice is none', () => {
    const turned = done(mirror(drawing));
    expect([column(turned, 'right'), column(turned, 'left')]).toEqual(['ABCD', 'Q']);
    expect(done(mirror(turned), turned).ports).toEqual(drawing.ports);
  });
  it('mirrors no shape whose ends differ', () => {
    expect(canMirror(drawing)).toBe(true);
    expect(canMirror({ ...drawing, body: { ...drawing.body, shape: 'buffer' } })).toBe(false);
  });
  it('sorts on the places that they have', () => {
    const reverse = (a: string, b: string) => compareNatural(b, a);
    expect(column(done(sortPorts(part, drawing, ['A', 'C', 'D'].map(port), 'name', reverse)))).toBe('DBCA');
    expect(column(done(sortPorts(part, drawing, ['A', 'B'].map(port), 'number', reverse)))).toBe('BACD');
  });
});

describe('a place set by hand', () => {
  const at = (name: string) => drawing.ports.find((p) => p.id === port(name))!.at;
  const placed = (after: Part) => after.pins.filter((p) => p.byHand?.includes('place')).map((p) => p.name);
  it.each<[string, () => Move[], string[], string]>([
    ['a key moves past another', () => nudge(drawing, [port('A')], -1), ['A'], 'BACD'],
    ['two are moved past another', () => nudge(drawing, [port('A'), port('B')], -1), ['A', 'B'], 'CABD'],
    ['one is dropped among others', () => dropPorts(drawing, [port('D')], port('D'), 'left', at('B')), ['D'], 'ADBC'],
    ['two change places', () => swapPorts(drawing, [port('A'), port('C')]), ['A', 'C'], 'CBAD'],
  ])('is that of what %s, and of nothing that made room for it', (_, moves, names, order) => {
    const after = applyEdit(part, moveEdit(drawing, moves(), 'x'));
    expect(placed(after)).toEqual(names);
    expect(column(after.drawings[0]!)).toBe(order);
  });
  it('is kept when the units are planned anew', () => {
    const moved = applyEdit(part, moveEdit(drawing, dropPorts(drawing, [port('D')], port('D'), 'left', at('B')), 'x'));
    const again = applyEdit(moved, arrangePart(moved, DEFAULT_RULES, 'one'));
    const placeOf = (p: Part) => placesOf(p).get('p3')![0]!.port;
    expect(placeOf(again)).toMatchObject({ side: 'left', at: placeOf(moved).at });
  });
});

describe('the body', () => {
  it.each<[Side, number, number, number]>([
    ['right', 4, 4, 0],
    ['left', 2, 2, 0],
    ['base', 4, 0, 4],
    ['top', 2, 0, 2],
    ['right', -100, -2, 0],
    ['base', 1, 0, 2],
  ])('its %s edge by %i', (edge, by, width, height) => {
    const edit = resizeEdit(drawing, edge, by);
    const after = edit ? applyEdit(part, edit) : part;
    const { body, ports, labels } = after.drawings[0]!;
    expect([body.width - drawing.body.width, body.height - drawing.body.height]).toEqual([width, height]);
    // Pins keep their distance to the edge that stays.
    const top = (d: Drawing) => d.body.height / 2 - Math.max(...d.ports.map((p) => p.at));
    const base = (d: Drawing) => Math.min(...d.ports.map((p) => p.at)) + d.body.height / 2;
    if (edge === 'base') expect(top(after.drawings[0]!)).toBe(top(drawing));
    if (edge === 'top') expect(base(after.drawings[0]!)).toBe(base(drawing));
    expect(ports).toHaveLength(5);
    expect(labels[0]!.y - (body.height / 2) * 100).toBe(drawing.labels[0]!.y - (drawing.body.height / 2) * 100);
    expect(after.pins.some((p) => p.byHand?.includes('place'))).toBe(false);
  });
  it('says that nothing would change', () => expect(resizeEdit(drawing, 'base', -50)).toBeUndefined());
  it('becomes as large as another, and never too small for its pins', () => {
    const like: Drawing = { ...drawing, body: { ...drawing.body, width: 30, height: 2 } };
    const { body } = applyEdit(part, alignEdit(drawing, like)).drawings[0]!;
    expect([body.width, body.height]).toEqual([30, drawing.body.height]);
  });
});

describe('names', () => {
  it.each<[string, string[]]>([
    ['d*', ['D', 'D7', 'D6']],
    ['D? Q', ['D7', 'D6', 'Q']],
    ['a.b', []],
    ['', []],
  ])('“%s” selects %j', (pattern, names) =>
    expect(pinsNamed(pinsOf('D', 'D7', 'D6', 'Q', 'axb'), pattern).map((p) => p.name)).toEqual(names),
  );
  it.each<[string[], string | undefined]>([
    [['D0', 'D1', 'D2'], 'D[2:0]'],
    [['A[4]', 'A[3]'], 'A[4:3]'],
    [['D0', 'D2'], undefined],
    [['D0', 'E1'], undefined],
    [['D0'], undefined],
  ])('%j are the bus %s', (names, bus) => expect(busName(pinsOf(...names))?.name).toBe(bus));
  it('makes one pin of a bus and takes it apart again', () => {
    const bus = busName(part.pins.slice(0, 0).concat(pinsOf('D1', 'D0')))!;
    const wide = drafted('D0', 'D1');
    const found = busName(wide.pins)!;
    const one = applyEdit(wide, { kind: 'bundlePins', pins: found.pins.map((p) => p.id), bus: { name: found.name } });
    expect(one.pins.map((p) => [p.name, p.bits, p.pads['p']])).toEqual([['D[1:0]', ['D1', 'D0'], ['2', '1']]]);
    const two = applyEdit(one, { kind: 'splitPin', pin: one.pins[0]!.id });
    expect(two.pins.map((p) => [p.name, p.bits, p.pads['p']])).toEqual([
      ['D1', undefined, ['2']],
      ['D0', undefined, ['1']],
    ]);
    expect(bus.name).toBe('D[1:0]');
  });
});

describe('the drawing of another part', () => {
  const source = reuseSource(drafted('IN+', 'IN-', 'OUT:output', 'VCC:supply-in', 'EN'), 'u1')!;
  it('finds its pins by name, by role and by number, and doubts the last', () => {
    const mine = drafted('INP', 'INN', 'VOUT:output', 'VDD:supply-in', 'MODE');
    const found = proposeReuse(mine, 'u1', source);
    const said = found.bound.map((b) => `${source.pins.get(b.port.id)!.name} ${b.pin.name} ${b.by}`).sort();
    expect(said).toEqual(['EN MODE number', 'IN+ INP role', 'IN- INN role', 'OUT VOUT role', 'VCC VDD role']);
    expect(found.doubts).toEqual(['MODE was put at EN by its number only.']);
  });
  it('never guesses between two that answer alike', () => {
    const found = proposeReuse(drafted('OUT1:output', 'OUT2:output'), 'u1', source);
    expect(found.bound.filter((b) => b.by !== 'number')).toEqual([]);
  });
  it('doubts another type', () => expect(proposeReuse(drafted('EN:output'), 'u1', source).doubts).toEqual(['EN is output, EN is input.']));
  it('brings no mark that only the first pin called for', () => {
    const schmitt = drafted('IN', 'OUT:output');
    const first = { ...schmitt, pins: schmitt.pins.map((p) => (p.name === 'IN' ? { ...p, description: 'Schmitt input' } : p)) };
    const marked = applyEdit(first, arrangePart({ ...first, units: [], drawings: [] }, DEFAULT_RULES, 'one'));
    const mine = drafted('IN', 'OUT:open-drain');
    const after = applyEdit(mine, reuseEdit(mine, 'u1', proposeReuse(mine, 'u1', reuseSource(marked, 'u1')!), DEFAULT_RULES));
    const { ports } = after.drawings.find((d) => d.id === after.units[0]!.drawing)!;
    expect(marked.drawings[0]!.ports.map((p) => p.marks)).toEqual([['hysteresis'], undefined]);
    expect(ports.map((p) => p.marks)).toEqual([undefined, ['open-drain']]);
  });
  it('takes it with every pin drawn once', () => {
    const mine = drafted('IN+', 'OUT:output', 'X1', 'X2');
    const after = applyEdit(mine, reuseEdit(mine, 'u1', proposeReuse(mine, 'u1', source), DEFAULT_RULES));
    expect(Object.values(after.units[0]!.binding).sort()).toEqual(mine.pins.map((p) => p.id).sort());
    const { ports } = after.drawings.find((d) => d.id === after.units[0]!.drawing)!;
    expect(new Set(ports.map((p) => `${p.side} ${p.at}`)).size).toBe(4);
    expect(after.pins.every((p) => p.byHand?.includes('unit'))).toBe(true);
  });
  it('goes on in the parts that took it, where all is sure', () => {
    const first = drafted('IN+', 'IN-', 'OUT:output');
    const taker = drafted('INP', 'INN', 'VOUT:output');
    const took = applyEdit(taker, reuseEdit(taker, 'u1', proposeReuse(taker, 'u1', reuseSource(first, 'u1')!), DEFAULT_RULES));
    expect(unitsOfFamily(took, 'TF0001 A').map((u) => u.id)).toEqual(['u1']);
    const drawingOf = (p: Part) => p.drawings.find((d) => d.id === p.units[0]!.drawing)!;
    expect(isAlike(drawingOf(took), drawingOf(first))).toBe(true);
    const changed = applyEdit(first, { kind: 'movePorts', drawing: drawingOf(first).id, moves: mirror(drawingOf(first)) });
    expect(isAlike(drawingOf(took), drawingOf(changed))).toBe(false);
    const followed = applyEdit(took, followEdit(took, 'u1', reuseSource(changed, 'u1')!, DEFAULT_RULES)!);
    expect(isAlike(drawingOf(followed), drawingOf(changed))).toBe(true);
    const alone = drafted('INP', 'XYZ', 'VOUT:output');
    expect(followEdit(alone, 'u1', reuseSource(changed, 'u1')!, DEFAULT_RULES)).toBeUndefined();
  });
});
