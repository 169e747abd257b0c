import { applyEdit, connectPoint, DEFAULT_RULES, emptyPart, type ElectricalType, type HouseRules, type Part, type Pin } from '../part';
import { boundsOf, drawShape, drawUnit, edgeInset, SHAPES, type ShapeName } from '../shapes';
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
    ['Triac', ['MT1', 'MT2', 'G:input'], ['triac']],
    ['Thyristor', ['A', 'K', 'G:input'], ['thyristor']],
    ['Dual Schottky diode', ['A1', 'A2', 'K'], ['diodes-cathode']],
    ['Dual rectifier', ['A', 'K1', 'K2'], ['diodes-anode']],
    ['Adjustable shunt reference', ['K', 'REF:input', 'A'], ['zener']],
    ['Power MOSFET, N-channel', ['S', 'S', 'S', 'G:input', 'D', 'D', 'D', 'D'], ['nmos', 'pmos']],
    ['N-channel MOSFET', ['D', 'S', 'KS', 'G:input'], ['nmos', 'pmos']],
    ['Common-mode choke', ['1A', '2A', '2B', '1B'], ['choke']],
    ['Crystal 16 MHz', ['X1', 'GND:ground', 'X2', 'GND:ground'], ['crystal']],
    ['Optocoupler with triac', ['A', 'K', 'NC:no-connect', 'MT1', 'SUB:reserved', 'MT2'], ['optocoupler-triac']],
    ['Single NOR gate', ['A:input', 'B:input', 'GND:ground', 'Y:output', 'VCC:supply-in'], ['or', 'or-block']],
    ['Signal relay', ['A1', 'A2', 'COM', 'NC', 'NO'], ['relay-changeover']],
    ['Transformer', ['P1', 'P2', 'S1', 'CT', 'S2'], ['transformer']],
    ['', ['A', 'K', 'C', 'E'], []],
    ['Bridge rectifier', ['+', 'AC1', 'AC2', '-'], ['bridge']],
    ['Varistor', ['1', '2'], ['varistor']],
    ['Trimmer', ['1', 'W', '3'], ['potentiometer']],
    ['Trimmer', ['1', '2', '3'], ['potentiometer']],
    ['Filament lamp', ['1', '2'], ['lamp']],
    ['', ['C', 'E', 'KE', 'G:input'], ['igbt']],
    ['', ['MT1', 'MT2', 'G:input', 'MT2'], ['triac']],
    ['', ['+', '~', '~', '-'], ['bridge']],
    ['', ['IN+', 'IN-', 'X', 'Y'], []],
    ['', ['REF:input', 'A', 'K'], ['zener']],
    ['Tactile switch', ['A', 'A', 'B', 'B'], ['switch']],
    ['Rectifier', ['A', 'K', 'K'], ['diode', 'diodes-anode']],
    ['Tactile push-button', ['1A', '1B', '2A', '2B'], []],
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
  it('keeps ends in the order of their numbers, and windings together', () => {
    const ends = (p: Part, shape: ShapeName) => proposeShape(p, 'u1', shape)!.bound.map((b) => `${b.port.side} ${b.port.at} ${b.pin.name}`);
    expect(ends(part('Resettable fuse', 'X', 'Y'), 'fuse')).toEqual(['left 0 X', 'right 0 Y']);
    expect(ends(part('Choke', '1A', '2A', '2B', '1B'), 'choke')).toEqual(['left 1 1A', 'left -1 2A', 'right -1 2B', 'right 1 1B']);
    expect(proposeShape(part('Choke', 'A', 'B', 'C', 'D'), 'u1', 'choke')!.doubts).toHaveLength(1);
  });
  it('puts a coil’s ends and a tap where they belong, by what they are called', () => {
    const relay = proposeShape(part('Relay', 'COM', 'A1', 'NO', 'NC', 'A2'), 'u1', 'relay-changeover')!;
    expect(relay.bound.map((b) => `${b.port.role} ${b.pin.name}`)).toEqual(['coil1 A1', 'coil2 A2', 'common COM', 'normally closed NC', 'normally open NO']); // prettier-ignore
    const core = proposeShape(part('Transformer', 'S1', 'CT', 'S2', 'P1', 'P2'), 'u1', 'transformer')!;
    expect(core.bound.map((b) => `${b.port.role} ${b.pin.name}`)).toEqual(['p1 P1', 'p2 P2', 's1 S1', 's2 S2', 's tap CT']);
  });
  it('asks whether a driver inverts, and not where that is said', () => {
    const doubts = (what: string) => proposeShape(part(what, 'A:input', 'Y:output'), 'u1', 'buffer')!.doubts.length;
    expect(['Line driver', 'Inverting line driver', 'Buffer', 'Schmitt-trigger receiver'].map(doubts)).toEqual([1, 0, 0, 0]);
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

describe('planned units', () => {
  const NAND = ['1A:input', '1B:input', '1Y:output', '2A:input', '2B:input', '2Y:output', 'GND:ground', 'VCC:supply-in'];
  const planned = (description: string, pins: string[], bodies: HouseRules['bodies'] = 'distinctive') => {
    const bare = part(description, ...pins);
    return applyEdit({ ...bare, units: [], drawings: [] }, arrangePart({ ...bare, units: [], drawings: [] }, { ...DEFAULT_RULES, bodies }));
  };
  const shapes = (p: Part) => p.drawings.map((d) => d.body.shape);
  it.each<[HouseRules['bodies'], string[]]>([
    ['blocks', ['block', 'block']],
    ['distinctive', ['and', 'block']],
    ['rectangular', ['and-block', 'block']],
  ])('are drawn as the rules have it: %s', (bodies, expected) => expect(shapes(planned('Dual NAND gate', NAND, bodies))).toEqual(expected));
  it('are as their words say, inverted or not', () => {
    const marks = (what: string) =>
      planned(what, NAND)
        .drawings[0]!.ports.map((p) => p.marks?.join() ?? '')
        .filter(Boolean);
    expect([marks('Dual NAND gate'), marks('Dual AND gate')]).toEqual([['negation'], []]);
    const buffers = ['1A:input', '1Y:output', '2A:input', '2Y:output'];
    const negated = (what: string) => planned(what, buffers).drawings[0]!.ports.some((p) => p.marks?.includes('negation'));
    expect(['Dual inverter', 'Dual inverting buffer', 'Dual non-inverting buffer'].map(negated)).toEqual([true, true, false]);
  });
  it.each<[string, string]>([
    ['Dual exclusive-OR gate', 'xor'],
    ['Dual OR gate', 'or'],
    ['Dual NAND Schmitt trigger', 'and'],
    ['Dual level shifter and gate driver', 'block'],
    ['Dual buffer and line driver', 'block'],
    ['Configurable NAND, NOR or XOR gate', 'block'],
    ['AND-OR-invert gate', 'block'],
  ])('are gates by what is called so: %s', (what, shape) => expect(shapes(planned(what, NAND))[0]).toBe(shape));
  it.each<[string, string[]]>([
    ['Current-sense amplifier with internal shunt resistor', ['VS:supply-in', 'GND:ground', 'OUT:output', 'RS1', 'RS2']],
    ['Battery charger', ['VIN:supply-in', 'GND:ground', 'STAT:open-drain', 'C+', 'C-']],
    ['Transceiver with transient suppressor', ['VCC:supply-in', 'GND:ground', 'D:input', 'R:output', 'A', 'B']],
  ])('are no passive parts beside supplies: %s', (what, pins) => expect(new Set(shapes(planned(what, pins)))).toEqual(new Set(['block'])));
  it('stay blocks where anything is in doubt', () => {
    expect(shapes(planned('', ['B:input', 'C', 'E']))).toEqual(['block']);
    expect(shapes(planned('', ['C', 'E:input', 'G:ground']))).toEqual(['block']);
    expect(shapes(planned('Dual line driver', ['1A:input', '1Y:output', '2A:input', '2Y:output']))).toEqual(['block']);
    expect(shapes(planned('Mixed connector', ['A:input', 'B:output', 'C']))).toEqual(['block']);
  });
  it('take the words of their pins where these are named', () => {
    const told = planned('', ['B:input', 'C', 'E']);
    const pins = told.pins.map((p) => ({ ...p, description: `${p.name} of the PNP transistor` }));
    expect(shapes(applyEdit({ ...told, pins, units: [], drawings: [] }, arrangePart({ ...told, pins, units: [], drawings: [] }, DEFAULT_RULES)))).toEqual(['pnp']); // prettier-ignore
    // The parts that are to be connected there are no words for ends that are only counted.
    const loose = told.pins.slice(1).map((p) => ({ ...p, description: 'Timing resistor' }));
    expect(shapes(applyEdit({ ...told, pins: loose, units: [], drawings: [] }, arrangePart({ ...told, pins: loose, units: [], drawings: [] }, DEFAULT_RULES)))).toEqual(['block']); // prettier-ignore
  });
  const told = (description: string, pins: [string, ElectricalType, string][]) => {
    const bare = { ...part(description, 'X'), units: [], drawings: [], pins: pins.map(([name, type, says], i) => ({ ...pin(`${name}:${type}`, i), description: says })) }; // prettier-ignore
    return applyEdit(bare, arrangePart(bare, DEFAULT_RULES));
  };
  it('are a pole with two throws where the words say so', () => {
    const pole = (i: number): [string, ElectricalType, string][] => [
      [`${i}A`, 'passive', `Throw 1 of pole ${i}`],
      [`${i}C`, 'passive', `Common of pole ${i}`],
      [`${i}B`, 'passive', `Throw 2 of pole ${i}`],
    ];
    const { units, drawings } = told('', [...pole(1), ...pole(2)]);
    expect([units.length, drawings.map((d) => d.body.shape)]).toEqual([2, ['changeover']]);
  });
  it('are of both polarities by their words, of bipolar transistors too', () => {
    const half = (i: number, which: string): [string, ElectricalType, string][] => [
      [`E${i}`, 'passive', `Emitter of ${which} transistor`],
      [`B${i}`, 'input', `Base of ${which} transistor`],
      [`C${i}`, 'passive', `Collector of ${which} transistor`],
    ];
    const both = told('', [...half(1, 'NPN'), ...half(2, 'PNP')]);
    expect([both.units.map((u) => u.title), shapes(both)]).toEqual([['NPN', 'PNP'], ['npn', 'pnp']]); // prettier-ignore
  });
  it('are what several of one kind say of themselves, the wiper of each in its place', () => {
    const ends = (i: number, [a, w, b]: [string, string, string]): [string, ElectricalType, string][] => [
      [`${a}${i}`, 'passive', `Terminal ${a} of potentiometer ${i}`],
      [`${w}${i}`, 'passive', `Wiper of potentiometer ${i}`],
      [`${b}${i}`, 'passive', `Terminal ${b} of potentiometer ${i}`],
    ];
    const pots = told('', [...ends(1, ['A', 'W', 'B']), ...ends(2, ['B', 'W', 'A']), ['VDD', 'supply-in', 'Supply'], ['CS', 'input', '']]);
    expect(shapes(pots)).toEqual(['potentiometer', 'block']);
    const ohms = [1, 2, 3].flatMap((i): [string, ElectricalType, string][] => [1, 2].map((end) => [`R${i}.${end}`, 'passive', `Resistor ${i}, end ${end}`])); // prettier-ignore
    expect([told('', ohms).units.map((u) => u.title), shapes(told('', ohms))]).toEqual([
      ['Resistor 1', 'Resistor 2', 'Resistor 3'],
      ['resistor-zigzag'],
    ]);
    const contact = (i: number) => ['common', 'break', '', 'make'].flatMap((end, k): [string, ElectricalType, string][] => (end ? [[`${i}${k + 1}`, 'passive', `Contact ${i} ${end}`]] : [])); // prettier-ignore
    const relay = told('', [['A1', 'passive', 'Coil'], ['A2', 'passive', 'Coil'], ...contact(1), ...contact(2), ...contact(3)]); // prettier-ignore
    expect([relay.units.map((u) => u.title), shapes(relay)]).toEqual([
      ['Contact 1', 'Contact 2', 'Contact 3', 'Coil'],
      ['changeover', 'coil'],
    ]);
    const coupler = (i: number) => ['LED anode', 'LED cathode', 'Transistor collector', 'Transistor emitter'].map((says, k): [string, ElectricalType, string] => [`${'AKCE'[k]}${i}`, 'passive', says]); // prettier-ignore
    expect(shapes(told('', [...coupler(1), ...coupler(2)]))).toEqual(['optocoupler']);
    expect(proposeShape(part('Trimmer', '1', '2', '3'), 'u1', 'potentiometer')!.doubts).toHaveLength(1);
    expect(proposeShape(part('Trimmer', '1', 'W', '3'), 'u1', 'potentiometer')!.doubts).toEqual([]);
  });
  it('are both halves of a complementary pair, each as its own', () => {
    const half = (i: number, way: string): [string, ElectricalType, string][] => [
      [`S${i}`, 'passive', `Source of the ${way} transistor`],
      [`G${i}`, 'input', `Gate of the ${way} transistor`],
      [`D${i}`, 'passive', `Drain of the ${way} transistor`],
    ];
    const pair = told('Complementary MOSFET pair, N- and P-channel', [...half(1, 'N-channel'), ...half(2, 'P-channel')]);
    expect([pair.units.map((u) => u.title), shapes(pair)]).toEqual([
      ['N-channel', 'P-channel'],
      ['nmos', 'pmos'],
    ]);
  });
  it('are what their own pins say, and blocks where the part’s words could mean either', () => {
    const amp = (i: number, what: string): [string, ElectricalType, string][] => [
      [`IN${i}+`, 'input', `Non-inverting input of the ${what}`],
      [`IN${i}-`, 'input', `Inverting input of the ${what}`],
      [`OUT${i}`, what === 'comparator' ? 'open-drain' : 'output', `Output of the ${what}`],
    ];
    expect(shapes(told('Amplifier and comparator', amp(1, 'comparator')))).toEqual(['comparator']);
    expect(shapes(told('Amplifier and comparator', amp(1, 'stage')))).toEqual(['block']);
    expect(shapes(told('P-channel JFET', [['D', 'passive', 'Drain'], ['G', 'input', 'Gate'], ['S', 'passive', 'Source']]))).toEqual(['pjf']); // prettier-ignore
    expect(shapes(told('JFET', [['D', 'passive', 'Drain'], ['G', 'input', 'Gate'], ['S', 'passive', 'Source']]))).toEqual(['block']); // prettier-ignore
    expect(shapes(told('N/P-channel MOSFET', [['D', 'passive', 'Drain'], ['G', 'input', 'Gate'], ['S', 'passive', 'Source']]))).toEqual(['block']); // prettier-ignore
  });
  it('have the pins of one electrode beside each other, each on its own place', () => {
    const [drawing] = planned('Power MOSFET, N-channel', ['S', 'S', 'S', 'G:input', 'D', 'D', 'D', 'D']).drawings;
    const points = drawing!.ports.map((p) => connectPoint(drawing!.body, p)).map((p) => `${p.x} ${p.y}`);
    expect([drawing!.body.shape, drawing!.body.width, new Set(points).size]).toEqual(['nmos', 6, 8]);
    const places = drawing!.ports.map((p) => `${p.side} ${p.at}`);
    expect(places.sort()).toEqual(['base -1', 'base 0', 'base 1', 'left -1', 'top -1', 'top 0', 'top 1', 'top 2']);
  });
});

describe('an end with several pins', () => {
  it('has them below each other, joined at the frame', () => {
    const coil = part('Inductor', '1', '1', '2', '2');
    const drawn = applyEdit(coil, shapeEdit(coil, 'u1', proposeShape(coil, 'u1', 'inductor')!, DEFAULT_RULES));
    const [{ body, ports }] = drawn.drawings as [Part['drawings'][number]];
    expect(ports.map((p) => `${p.side} ${p.at} ${edgeInset(body, p.side, p.at)}`).sort()).toEqual(['left -1 0', 'left 0 80', 'right -1 0', 'right 0 80']); // prettier-ignore
    const joints = drawShape(body, ports).flatMap((s) => (s.kind === 'polyline' && s.points.every(([x]) => Math.abs(x) === 200) ? [s.points] : [])); // prettier-ignore
    expect(joints).toEqual([[[-200, -100], [-200, 0]], [[200, -100], [200, 0]]]); // prettier-ignore
  });
  it('is taken without a question', () => {
    const bare = part('Power inductor', '1', '1', '2', '2');
    expect(applyEdit({ ...bare, units: [], drawings: [] }, arrangePart({ ...bare, units: [], drawings: [] }, DEFAULT_RULES)).drawings[0]!.body.shape).toBe('inductor'); // prettier-ignore
  });
  it('is drawn as ever with one', () => expect(edgeInset({ shape: 'inductor', width: 4, height: 2, strip: 0 }, 'left', 0)).toBe(80));
});

describe.each(Object.entries(SHAPES))('shape %s', (name, def) => {
  const pins = def.ports.map((p, i) => ({ id: `p${i}`, name: p.role, type: 'passive' as const, pads: { p: [String(i)] }, doubts: [] }));
  const body = { shape: name as ShapeName, width: def.width, height: def.height, strip: 0 };
  const ports = def.ports.map((p, i) => ({ id: `t${i}`, side: p.side, at: p.at, length: 2 }));
  it('has its ports on the grid of its own sides, and a standard', () => {
    for (const p of def.ports) {
      // What a part can have besides widens the frame.
      if (p.optional) continue;
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
