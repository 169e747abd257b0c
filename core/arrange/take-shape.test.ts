import { applyEdit, connectPoint, DEFAULT_RULES, emptyPart, type ElectricalType, type Part, type Pin } from '../part';
import { boundsOf, drawUnit, edgeInset, SHAPES, type ShapeName } from '../shapes';
import { arrangeAs, arrangePart, movePins, proposeShape, shapeEdit, suggestShapes } from '.';

const pin = (text: string, i: number): Pin => {
  const [name = '', type = 'passive'] = text.split(':');
  return { id: `p${i}`, name, type: type as ElectricalType, pads: { p: [String(i + 1)] }, doubts: [] };
};
/** One unit of the pins `NAME:type`; all of them stand in unit A, whatever they are. */
function part(description: string, ...pins: string[]): Part {
  const bare = {
    ...emptyPart('X'),
    description,
    pins: pins.map(pin),
    packages: [{ id: 'p', name: 'P', land: { pads: [] } }],
  } as unknown as Part;
  return applyEdit(bare, arrangePart(bare, DEFAULT_RULES, 'one'));
}
const names = (p: Part) => suggestShapes(p, 'u1').map((s) => s.shape);

describe('shapes that pins call for', () => {
  it.each<[string, string[], ShapeName[]]>([
    ['Operational amplifier', ['IN+:input', 'IN-:input', 'OUT:output', 'V+:supply-in', 'V-:supply-in'], ['amplifier', 'comparator']],
    ['Low-power comparator', ['INP:input', 'INN:input', 'OUT:open-drain'], ['comparator', 'amplifier']],
    ['NPN transistor', ['B:input', 'C:passive', 'E:passive'], ['npn', 'pnp']],
    ['', ['G:input', 'D:passive', 'S:passive'], ['nmos', 'pmos']],
    ['P-channel power MOSFET', ['1G:input', '1D:passive', '1S:passive'], ['pmos', 'nmos']],
    ['Small diode', ['A', 'K'], ['diode']],
    ['Zener diode', ['A', 'K'], ['diode', 'zener']],
    ['Sun-sensor photodiode', ['A1', 'K1'], ['diode', 'photodiode']],
    ['Thick-film resistor', ['1', '2'], ['resistor', 'resistor-zigzag']],
    ['Quartz crystal', ['X1', 'X2'], ['crystal']],
    ['Line receiver with Schmitt input', ['A:input', 'Y:output'], ['buffer']],
    ['Dual 2-input NAND gate', ['A:input', 'B:input', 'Y:output'], ['and', 'and-block']],
    ['3-input NOR gate', ['A:input', 'B:input', 'C:input', 'Y:output'], ['or', 'or-block']],
    ['Linear regulator', ['IN:supply-in', 'GND:ground', 'EN:input', 'OUT:supply-out'], ['regulator']],
    ['Bridge converter', ['AIN:input', 'DOUT:output', 'CS:input', 'VDD:supply-in'], []],
    ['', ['P1', 'P2'], []],
  ])('%s of %j', (description, pins, expected) => expect(names(part(description, ...pins)).sort()).toEqual([...expected].sort()));

  it('offers the more telling shape first', () => expect(names(part('Sun-sensor photodiode', 'A1', 'K1'))[0]).toBe('photodiode'));
  it('asks where the polarity is not said', () => {
    expect(proposeShape(part('', 'B:input', 'C', 'E'), 'u1', 'npn')!.doubts).toEqual(['Nothing says whether it is NPN or PNP.']);
    expect(proposeShape(part('NPN', 'B:input', 'C', 'E'), 'u1', 'npn')!.doubts).toEqual([]);
  });
  it('never puts the inverting input where the other belongs', () => {
    const bound = proposeShape(part('amplifier', 'INN:input', 'INP:input', 'OUT:output'), 'u1', 'amplifier')!.bound;
    expect(bound.map((b) => `${b.port.role} ${b.pin.name}`)).toEqual(['in- INN', 'in+ INP', 'output OUT']);
  });
  it('says that a shape lacks a pin', () => expect(proposeShape(part('', 'A', 'K'), 'u1', 'npn')).toBeUndefined());
});

describe('a unit as a shape', () => {
  it('keeps every pin, on the grid, each at its own place', () => {
    const amp = part('amplifier', 'IN+:input', 'IN-:input', 'OUT:output', 'V+:supply-in', 'V-:supply-in', 'SHDN:input', 'NC:no-connect');
    const proposal = proposeShape(amp, 'u1', 'amplifier')!;
    expect(proposal.left.map((p) => p.name)).toEqual(['SHDN', 'NC']);
    const done = applyEdit(amp, shapeEdit(amp, 'u1', proposal, DEFAULT_RULES));
    const { body, ports } = done.drawings[0]!;
    expect(body).toEqual({ shape: 'amplifier', width: 6, height: 6, strip: 0 });
    const points = ports.map((p) => connectPoint(body, p));
    expect(new Set(points.map((p) => `${p.x} ${p.y}`)).size).toBe(7);
    expect(Object.values(done.units[0]!.binding).sort()).toEqual(amp.pins.map((p) => p.id).sort());
  });
  it('stays where pins are taken out of the unit, and is drawn as a block where another comes in', () => {
    const amp = part('amplifier', 'IN+:input', 'IN-:input', 'OUT:output', 'V+:supply-in', 'V-:supply-in');
    const drawn = applyEdit(amp, shapeEdit(amp, 'u1', proposeShape(amp, 'u1', 'amplifier')!, DEFAULT_RULES));
    const supplies = drawn.pins.filter((p) => p.type === 'supply-in').map((p) => p.id);
    const less = applyEdit(drawn, arrangeAs(drawn, movePins(drawn, supplies, undefined), DEFAULT_RULES));
    const bodyOf = (p: Part, i: number) => p.drawings.find((d) => d.id === p.units[i]!.drawing)!;
    expect([bodyOf(less, 0).body.shape, bodyOf(less, 0).ports.length, bodyOf(less, 1).ports.length]).toEqual(['amplifier', 3, 2]);
    expect(Object.values(less.units[0]!.binding).sort()).toEqual(amp.pins.filter((p) => !supplies.includes(p.id)).map((p) => p.id).sort()); // prettier-ignore
    const more = applyEdit(less, arrangeAs(less, movePins(less, supplies, 'u1'), DEFAULT_RULES));
    expect([bodyOf(more, 0).body.shape, bodyOf(more, 0).ports.length]).toEqual(['block', 5]);
  });
  it('turns a pin that its outline leaves inside the frame into a longer line', () => {
    expect(edgeInset({ shape: 'amplifier', width: 6, height: 6, strip: 0 }, 'top', 0)).toBe(150);
    expect(edgeInset({ shape: 'block', width: 6, height: 6, strip: 0 }, 'top', 0)).toBe(0);
  });
});

describe.each(Object.entries(SHAPES))('shape %s', (name, def) => {
  const pins = def.ports.map((p, i) => ({ id: `p${i}`, name: p.role, type: 'passive' as const, pads: { p: [String(i)] }, doubts: [] }));
  const body = { shape: name as ShapeName, width: def.width, height: def.height, strip: 0 };
  const ports = def.ports.map((p, i) => ({ id: `t${i}`, side: p.side, at: p.at, length: 2 }));
  it('has its ports on the grid of its own sides, and a standard', () => {
    for (const p of def.ports) {
      const half = (p.side === 'left' || p.side === 'right' ? def.height : def.width) / 2;
      expect([Number.isInteger(p.at), Math.abs(p.at) < half || def.height === 2]).toEqual([true, true]);
    }
    expect(def.standard).toMatch(/IEC|IEEE/);
    expect([def.width % 2, def.height % 2]).toEqual([0, 0]);
  });
  it('draws within a step of its frame', () => {
    const drawing = { id: 'd', body, ports: [], strokes: [], labels: [] };
    const unit = { id: 'u', label: 'A', title: 'x', drawing: 'd', binding: {} };
    const box = boundsOf(drawUnit({ ...emptyPart('X'), pins, units: [unit], drawings: [{ ...drawing }] }, unit));
    const reach = [-box.left - def.width * 50, box.right - def.width * 50, box.top - def.height * 50, -box.base - def.height * 50];
    expect(Math.max(...reach)).toBeLessThanOrEqual(100);
    expect(def.draw({ w: def.width * 50, h: def.height * 50 }, ports).length).toBeGreaterThan(0);
  });
});
