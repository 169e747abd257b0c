import fc from 'fast-check';
import {
  applyEdit,
  connectPoint,
  DEFAULT_RULES,
  ELECTRICAL_TYPES,
  emptyPart,
  findChannels,
  type Drawing,
  type HouseRules,
  type Part,
  type Pin,
} from '../part';
import { drawPort, textBox } from '../shapes';
import { AMP_TABLE, pinNamed, provenPart } from '../test/samples';
import {
  addUnit,
  arrangePart,
  closeUp,
  dropPorts,
  freeSlots,
  groupPins,
  heightFor,
  inDrawnOrder,
  marksOf,
  moveEdit,
  moveToUnitEdit,
  nudge,
  openGap,
  placesChanged,
  reorder,
  sendToSide,
  slotsOf,
  tidyUnit,
  unitsWithPin,
} from '.';

const pin = (name: string, type: Pin['type'] = 'input', more: Partial<Pin> = {}): Pin => ({
  id: `id ${name} ${more.pads?.['p']?.[0] ?? ''}`,
  name,
  type,
  pads: {},
  doubts: [],
  ...more,
});
const partOf = (pins: Pin[]): Part => ({ ...emptyPart('TF0001'), pins });
const arranged = (pins: Pin[], rules: HouseRules = DEFAULT_RULES): Part => {
  const part = partOf(pins);
  return applyEdit(part, arrangePart(part, rules));
};
const sideOf = (part: Part, name: string): string => {
  const p = pinNamed(part, name);
  const unit = unitsWithPin(part, p.id)[0]!;
  const port = Object.entries(unit.binding).find(([, id]) => id === p.id)![0];
  return `${unit.label} ${part.drawings.find((d) => d.id === unit.drawing)!.ports.find((q) => q.id === port)!.side}`;
};

describe('channels', () => {
  const io = (names: string[]): Pin[] => names.map((n) => pin(n, /OUT|Y|Q/.test(n) ? 'output' : 'input'));
  it.each<[string, string[], string[]]>([
    ['a leading digit', ['1A', '1Y', '2A', '2Y', '3A', '3Y'], ['1', '2', '3']],
    ['an inner digit', ['IN1+', 'IN1-', 'OUT1', 'IN2+', 'IN2-', 'OUT2'], ['1', '2']],
    ['a trailing digit', ['IN1', 'OUT1', 'IN2', 'OUT2'], ['1', '2']],
    ['a letter', ['INA', 'OUTA', 'INB', 'OUTB'], ['A', 'B']],
    ['a letter before a digit', ['INA1', 'INA2', 'OUTA1', 'OUTA2', 'INB1', 'INB2', 'OUTB1', 'OUTB2'], ['A', 'B']],
    ['a letter before a sign', ['INA+', 'INA-', 'OUTA', 'INB+', 'INB-', 'OUTB'], ['A', 'B']],
  ])('are known by %s', (_how, names, indices) => expect(findChannels(io(names))?.indices).toEqual(indices));
  it.each<[string, Pin[]]>([
    ['a bus', ['D0', 'D1', 'D2', 'D3'].map((n) => pin(n, 'bidirectional'))],
    ['two ports', ['PA0', 'PA1', 'PB0', 'PB1'].map((n) => pin(n, 'bidirectional'))],
    ['channels of other types', [pin('IN1'), pin('OUT1', 'output'), pin('IN2'), pin('OUT2', 'open-drain')]],
    [
      'a few equal pins of many',
      [
        ...['IN1', 'OUT1', 'IN2', 'OUT2'].map((n) => pin(n, n[0] === 'O' ? 'output' : 'input')),
        ...'ABCDEFGH'.split('').map((n) => pin(`SIG${n}X`)),
      ],
    ],
  ])('are not %s', (_what, pins) => expect(findChannels(pins)).toBeUndefined());
  const told = (texts: string[]): Pin[] =>
    texts.map((t, i) => {
      const [name = '', description = '', type = 'passive'] = t.split(':');
      return pin(name, type as Pin['type'], { id: `p${i}`, description });
    });
  const PORT = [0, 1, 2, 3, 4, 5];
  it.each<[string, Pin[], string[] | undefined]>([
    ['transistors', told(['B1:Base:input', 'C1:Collector', 'E1:Emitter', 'B2:Base:input', 'C2:Collector', 'E2:Emitter']), ['1', '2']],
    ['transistors with two pins on a drain', told(['S1', 'G1::input', 'D1', 'D1', 'S2', 'G2::input', 'D2', 'D2']), ['1', '2']],
    ['a gate beside what feeds it', told(['CAP1', 'EN1::input', 'CAP2', 'EN2::input', 'VDD::supply-in']), undefined],
    ['transistors of both polarities', told(['G1:Gate, N-channel:input', 'D1:Drain', 'G2:Gate, P-channel:input', 'D2:Drain']), undefined],
    ['the bits of a latch', told(['D0::input', 'Q0::output', 'D1::input', 'Q1::output', 'D2::input', 'Q2::output', 'D3::input', 'Q3::output', 'LE::input']), undefined], // prettier-ignore
    ['four gates that nothing controls', told(['A0::input', 'Y0::output', 'A1::input', 'Y1::output', 'A2::input', 'Y2::output', 'A3::input', 'Y3::output']), ['0', '1', '2', '3']], // prettier-ignore
    ['transceivers, without their pump', told(['T1IN::input', 'T1OUT::output', 'C1+:Charge pump capacitor', 'T2IN::input', 'T2OUT::output', 'C2+:Charge pump capacitor']), ['1', '2']], // prettier-ignore
    ['windings', told(['1A:Winding 1', '1B:Winding 1', '2A:Winding 2', '2B:Winding 2']), undefined],
    [
      'a relay’s contacts',
      told(['A1:Coil', 'A2:Coil', 'COM1:Contact', 'NO1:Make contact', 'COM2:Contact', 'NO2:Make contact']),
      ['1', '2'],
    ],
    ['switches', told(['1Y::bidirectional', '1Z::bidirectional', '1E::input', '2Y::bidirectional', '2Z::bidirectional', '2E::input']), ['1', '2']], // prettier-ignore
    ['switches that choose', told(['D1::bidirectional', 'S1A::bidirectional', 'S1B::bidirectional', 'IN1::input', 'D2::bidirectional', 'S2A::bidirectional', 'S2B::bidirectional', 'IN2::input']), ['1', '2']], // prettier-ignore
    ['halves of a bus switch', told(['1OE::input', ...[1, 2, 3].flatMap((i) => [`1A${i}::bidirectional`, `1B${i}::bidirectional`]), '2OE::input', ...[1, 2, 3].flatMap((i) => [`2A${i}::bidirectional`, `2B${i}::bidirectional`])]), undefined], // prettier-ignore
    ['bridges', told(['AIN1::input', 'AIN2::input', 'PWMA::input', 'AO1::output', 'AO2::output', 'BIN1::input', 'BIN2::input', 'PWMB::input', 'BO1::output', 'BO2::output']), ['A', 'B']], // prettier-ignore
    ['amplifiers of colours', told(['+IN_R::input', 'OUT_R::output', '+IN_G::input', 'OUT_G::output', '+IN_B::input', 'OUT_B::output']), ['B', 'G', 'R']], // prettier-ignore
    ['amplifiers with a control each', told(['INA::input', 'OUTA::output', 'SHDNA#::input', 'INB::input', 'OUTB::output', 'SHDNB#::input']), ['A', 'B']], // prettier-ignore
    ['converters with a rail each', told(['EN1::input', 'PG1::open-drain', 'VOUT1::supply-out', 'EN2::input', 'PG2::open-drain', 'VOUT2::supply-out']), undefined], // prettier-ignore
    ['gates with ends that only sense', told(['G1:Gate:input', 'E1:Emitter sense', 'G2:Gate:input', 'E2:Emitter sense']), undefined],
    ['the bits of an adder', told(['A1::input', 'B1::input', 'S1::output', 'A2::input', 'B2::input', 'S2::output', 'C0:Carry in:input', 'C2:Carry out:output']), undefined], // prettier-ignore
    ['a word chosen from two', told(['1A::input', '1B::input', '1Y::output', '2A::input', '2B::input', '2Y::output', 'S:Data select:input']), undefined], // prettier-ignore
    ['lanes of what has other channels', told(['DA0:Lane:input', 'Y0:Channel A data:output', 'DA1:Lane:input', 'Y1:Channel A data:output', 'DA2:Lane:input', 'Y2:Channel A data:output']), undefined], // prettier-ignore
    ['inputs by letters of channels by figures', told(['INA:Input of channel 1:input', 'OUTA::output', 'INB:Input of channel 2:input', 'OUTB::output']), ['A', 'B']], // prettier-ignore
    ['a memory’s two channels', told(['A', 'B'].flatMap((c) => [...PORT.map((n) => `DQ${n}_${c}::bidirectional`), ...PORT.map((n) => `CA${n}_${c}::input`)])), ['A', 'B']], // prettier-ignore
    ['a memory’s left and right port', told(['L', 'R'].flatMap((c) => [...PORT.map((n) => `IO${n}_${c}::bidirectional`), ...PORT.map((n) => `A${n}_${c}::input`)])), ['L', 'R']], // prettier-ignore
    ['left and right of a stereo part', told(['IN_L::input', 'OUT_L::output', 'IN_R::input', 'OUT_R::output']), undefined],
    [
      'an antenna switch',
      told(['ANT1', 'TX1', 'RX1', 'ANT2', 'TX2', 'RX2', 'V1:Control:input', 'V2:Control:input', 'V3:Control:input']),
      undefined,
    ],
    ['contacts in one shell', told(['TX1', 'RX1', 'TX2', 'RX2', 'SHELL:Shell']), undefined],
    ['two pins on each contact', told(['1A:Contact 1', '1B:Contact 1', '2A:Contact 2', '2B:Contact 2']), undefined],
  ])('of %s', (_what, pins, indices) => expect(findChannels(pins)?.indices).toEqual(indices));
  it.each<[string, string[], string[]]>([
    ['transistors', ['B1:Base:input', 'C1:Collector', 'B2:Base:input', 'C2:Collector'], ['Transistor 1', 'Transistor 2']],
    ['resistors', ['R1A:Resistor 1', 'R1B:Resistor 1', 'R2A:Resistor 2', 'R2B:Resistor 2'], ['Resistor 1', 'Resistor 2']],
    ['what is not told', ['A1', 'B1', 'A2', 'B2'], ['Channel 1', 'Channel 2']],
    [
      'a relay',
      ['A1:Coil', 'A2:Coil', 'C1:Contact', 'NO1:Make contact', 'C2:Contact', 'NO2:Make contact'],
      ['Contact 1', 'Contact 2', 'Coil'],
    ],
  ])('name their units by what they are: %s', (_what, texts, titles) =>
    expect(arranged(told(texts)).units.map((u) => u.title)).toEqual(titles),
  );
  it('have the rails that words give each of them, but not those of two sides', () => {
    const rails = (words: string) =>
      [1, 2].flatMap((i) => [pin(`VIN${i}`, 'supply-in', { description: `${words} ${i}` }), pin(`EN${i}`), pin(`GATE${i}`, 'output')]);
    const sizes = (words: string) => findChannels(rails(words))?.members.map((m) => m.size);
    expect([sizes('Input'), sizes('Supply of side')]).toEqual([[3, 3], [2, 2]]); // prettier-ignore
    const driver = ['INA', 'OUTA:output', 'VDDA:supply-in', 'INB', 'OUTB:output', 'VDDB:supply-in'].map((t) => {
      const [name = '', type = 'input'] = t.split(':');
      return pin(name, type as Pin['type'], { description: /^V/.test(name) ? `Supply of channel ${name.at(-1)}` : '' });
    });
    const article = driver.map((p) => ({ ...p, description: p.description && 'Supply of a channel' }));
    expect(findChannels(article)?.members.map((m) => m.size)).toEqual([2, 2]);
    const beside = pin('VDDI', 'supply-in', { description: 'Supply of the input side' });
    expect(findChannels([...driver, beside])?.members.map((m) => m.size)).toEqual([3, 3]);
  });
  it('of two wires each stand with both beside each other', () => {
    const ports = ['SD0', 'SD1', 'SD2', 'SC0', 'SC1', 'SC2'].map((n) => pin(n, 'bidirectional'));
    expect(inDrawnOrder(ports).map((p) => p.name)).toEqual(['SD0', 'SC0', 'SD1', 'SC1', 'SD2', 'SC2']);
    expect(inDrawnOrder(ports.slice(0, 5)).map((p) => p.name)).toEqual(['SD0', 'SD1', 'SD2', 'SC0', 'SC1']);
  });
  it('may be passive', () => expect(findChannels(['A1', 'K1', 'A2', 'K2'].map((n) => pin(n, 'passive')))?.indices).toEqual(['1', '2']));
});

describe('planning', () => {
  it('draws the ends of a switch across from each other, what controls it at the left', () => {
    const part = arranged([1, 2].flatMap((i) => [pin(`${i}Y`, 'bidirectional'), pin(`${i}Z`, 'bidirectional'), pin(`${i}E`)]));
    expect(['1Y', '1Z', '2E'].map((name) => sideOf(part, name))).toEqual(['A left', 'A right', 'B left']);
  });
  it('draws the node of a bridge and its bootstrap beside the outputs', () => {
    const says = { BOOT: 'Bootstrap capacitor', SW: 'Switch node', RT: 'Timing resistor' };
    const ends = Object.entries(says).map(([name, description]) => pin(name, 'passive', { description }));
    const part = arranged([pin('IN'), pin('HO', 'output'), ...ends]);
    expect(Object.keys(says).map((name) => sideOf(part, name))).toEqual(['A right', 'A right', 'A left']);
  });
  it('draws few signals beside channels with the supplies', () => {
    const driver = (i: number) => [pin(`${i}B`, 'input'), pin(`${i}C`, 'open-drain')];
    const part = arranged([...[1, 2, 3, 4].flatMap(driver), pin('COM', 'passive'), pin('E', 'ground')]);
    expect(part.units.map((u) => Object.keys(u.binding).length)).toEqual([2, 2, 2, 2, 2]);
  });
  it('takes for no channel what groups that name channels leave out', () => {
    const bridge = (i: number) =>
      [pin(`IN${i}`), pin(`OUT${i}`, 'output'), pin(`ISEN${i}`, 'passive')].map((p) => ({ ...p, group: `Half-bridge ${i}` }));
    const part = arranged([...bridge(1), ...bridge(2), pin('CP1', 'passive'), pin('CP2', 'passive')]);
    expect(part.units.map((u) => Object.keys(u.binding).length)).toEqual([3, 3, 2]);
  });
  it('draws equal channels once and binds them, supplies apart', () => {
    const part = provenPart();
    expect(part.units.map((u) => [u.label, u.title, Object.keys(u.binding).length])).toEqual([
      ['A', 'Channel 1', 3],
      ['B', 'Channel 2', 3],
      ['C', 'Supplies', 2],
    ]);
    expect(part.units[0]!.drawing).toBe(part.units[1]!.drawing);
    expect(part.drawings).toHaveLength(2);
    const names = (i: number) => part.drawings[0]!.ports.map((p) => part.pins.find((x) => x.id === part.units[i]!.binding[p.id])!.name);
    expect(names(1)).toEqual(names(0).map((n) => n.replace('1', '2')));
  });
  it('keeps a small part in one unit', () =>
    expect(arranged([pin('IN'), pin('OUT', 'output'), pin('VDD', 'supply-in'), pin('GND', 'ground')]).units).toHaveLength(1));
  it('splits a part with too many pins and puts its supplies apart', () => {
    const pins = [
      ...Array.from({ length: 40 }, (_, i) => pin(`PA${i}`, 'bidirectional')),
      ...Array.from({ length: 40 }, (_, i) => pin(`PB${i}`, 'bidirectional')),
      pin('VDD', 'supply-in'),
      pin('GND', 'ground'),
    ];
    const part = arranged(pins);
    expect(part.units.map((u) => u.title)).toEqual(['Port A', 'Port B', 'Supplies']);
  });
  it('cuts a group only where it is taller than a sheet takes, and never a pair', () => {
    const pins = Array.from({ length: 61 }, (_, i) => [
      pin(`L${i}P`, 'bidirectional', { group: 'Bank' }),
      pin(`L${i}N`, 'bidirectional', { group: 'Bank' }),
    ]).flat();
    expect(arranged(pins, { ...DEFAULT_RULES, maxPinsPerUnit: 42, maxHeight: 80 }).units).toHaveLength(1);
    const part = arranged(pins, { ...DEFAULT_RULES, maxPinsPerUnit: 42, maxHeight: 24 });
    expect(part.units).toHaveLength(3);
    for (const d of part.drawings) expect(d.body.height).toBeLessThanOrEqual(24);
    for (let i = 0; i < 61; i++) expect(sideOf(part, `L${i}N`)).toBe(sideOf(part, `L${i}P`));
  });
  it('splits grounds that are too many', () => {
    const pins = [
      pin('A'),
      pin('B', 'output'),
      ...Array.from({ length: 300 }, (_, i) =>
        pin(i < 150 ? 'VSS' : 'VDD', i < 150 ? 'ground' : 'supply-in', { pads: { p: [String(i)] } }),
      ),
    ];
    const titles = arranged(pins).units.map((u) => u.title);
    expect(titles.some((t) => /Grounds/.test(t))).toBe(true);
    expect(titles.some((t) => /Supplies/.test(t))).toBe(true);
  });
  it.each<[string, Pin[], string[]]>([
    ['headings', [pin('X', 'input', { group: 'Two' }), pin('Y', 'input', { group: 'One' })], ['Two', 'One']],
    ['prefixes', [pin('SPI_A'), pin('SPI_B'), pin('SPI_C'), pin('Z')], ['SPI', 'Inputs']],
    ['ports', [pin('PA0', 'bidirectional'), pin('PA1', 'bidirectional'), pin('PA2', 'bidirectional')], ['Port A']],
    ['rails', [pin('VDD', 'supply-in'), pin('GND', 'ground'), pin('CLK')], ['Supplies', 'Clock']],
    ['what is not used', [pin('NC', 'no-connect'), pin('IN')], ['Not used', 'Inputs']],
  ])('groups by %s', (_how, pins, titles) => expect(groupPins(pins).map((g) => g.title)).toEqual(titles));
  it.each<[string[], string[]]>([
    [
      ['D10', 'D2', 'D1'],
      ['D1', 'D2', 'D10'],
    ],
    [
      ['IN-', 'IN+'],
      ['IN+', 'IN-'],
    ],
    [
      ['CS', 'SCLK', 'DIN'],
      ['CS', 'SCLK', 'DIN'],
    ],
    [
      ['L1N', 'L1P', 'L0N', 'L0P'],
      ['L0P', 'L0N', 'L1P', 'L1N'],
    ],
  ])('orders %j', (names, expected) => expect(inDrawnOrder(names.map((n) => pin(n))).map((p) => p.name)).toEqual(expected));
});

describe('placing', () => {
  const sideCounts = (groups: Record<string, Pin[]>): string[] => {
    const pins = Object.entries(groups).flatMap(([group, own]) => own.map((p) => ({ ...p, group })));
    const part = partOf(pins);
    const one = applyEdit(part, arrangePart(part, DEFAULT_RULES, 'one'));
    const counts = new Map<string, number>();
    for (const p of pins) {
      const at = `${p.group} ${sideOf(one, p.name).slice(2)}`;
      counts.set(at, (counts.get(at) ?? 0) + 1);
    }
    return [...counts].map(([at, n]) => `${at} ${n}`).sort();
  };
  const port = (name: string, count: number) => Array.from({ length: count }, (_, i) => pin(`${name}${i}`, 'bidirectional'));
  const inputs = ['RUN', 'TEST', 'BOOT', 'WAKE', 'TRIM'].map((n) => pin(n));
  it.each<[string, Record<string, Pin[]>, string[]]>([
    ['keeps ports whole where the sides are then even enough', { Straps: inputs, 'Port A': port('PA', 16), 'Port B': port('PB', 16) }, ['Port A left 16', 'Port B right 16', 'Straps left 5']],
    ['cuts one port into equal halves', { 'Port A': port('PA', 44) }, ['Port A left 22', 'Port A right 22']],
    ['and between its pairs', { 'Port A': port('L', 22).flatMap((p) => [{ ...p, id: `${p.id}p`, name: `${p.name}P` }, { ...p, id: `${p.id}n`, name: `${p.name}N` }]) }, ['Port A left 22', 'Port A right 22']],
  ])('%s', (_what, groups, sides) => expect(sideCounts(groups)).toEqual(sides)); // prettier-ignore
  it.each<[string, string[]]>([
    ['what directs them', ['1DIR', '1OE']],
    ['the masks of data', ['DML', 'DMU']],
  ])('parts two buses where the second begins, with %s behind it', (_what, names) => {
    const bus = [...port('1A', 8), ...port('1B', 8), ...names.map((n) => pin(n))].map((p) => ({ ...p, group: 'Data' }));
    const one = arranged([...bus, pin('VCC', 'supply-in'), pin('GND', 'ground')]);
    expect(['1A0', '1A7', '1B0', '1B7', ...names].map((n) => sideOf(one, n).slice(2))).toEqual([
      'left',
      'left',
      'right',
      'right',
      'right',
      'right',
    ]);
  });
  it.each<[string, string[], string[]]>([
    ['a chain through', ['DIN', 'DOUT'], ['A left', 'A right']],
    ['a serial port on one side', ['DIN', 'DOUT', 'SCLK'], ['A right', 'A right', 'A right']],
    ['a line to a host on one side', ['TXD', 'RXD'], ['A right', 'A right']],
  ])('leads %s', (_what, names, places) => {
    const led = arranged([
      ...names.map((n) => pin(n, /OUT|RXD/.test(n) ? 'output' : 'input')),
      pin('VDD', 'supply-in'),
      pin('VSS', 'ground'),
    ]);
    expect(names.map((n) => sideOf(led, n))).toEqual(places);
  });
  const part = arranged([
    pin('VDD', 'supply-in'),
    pin('IN'),
    pin('OUT', 'output'),
    pin('GND', 'ground'),
    pin('CS', 'input', { group: 'Serial port', activeLow: true }),
    pin('SDA', 'bidirectional', { group: 'Serial port' }),
  ]);
  it.each([
    ['IN', 'A left'],
    ['OUT', 'A right'],
    ['VDD', 'A left'],
    ['CS', 'A right'],
    ['SDA', 'A right'],
  ])('puts %s to %s', (name, place) => expect(sideOf(part, name)).toBe(place));
  it.each(['three-state', 'open-drain', 'open-source'] as const)('puts a lone %s pin to the other outputs', (type) => {
    const pins = [pin('ANT', 'bidirectional'), pin('BIAS', 'passive'), pin('IRQ', type), pin('BUSY', 'output'), pin('XA'), pin('XB')];
    expect(sideOf(arranged(pins), 'IRQ')).toBe('A right');
  });
  it.each([
    ['HOST_SCK HOST_MOSI HOST_CS_N', 'HOST_MISO'],
    ['I2S_BCLK I2S_LRCK I2S_SDI', 'I2S_SDO'],
    ['LINK_TXD LINK_CTS LINK_EN', 'LINK_RXD'],
  ])('keeps %s and %s on one side', (inputs, output) => {
    const pins = [...inputs.split(' ').map((n) => pin(n)), pin(output, 'output'), pin('XA'), pin('XB')];
    const placed = arranged(pins);
    expect(new Set([...inputs.split(' '), output].map((n) => sideOf(placed, n))).size).toBe(1);
  });
  const columnOf = (pins: Pin[], unit: number, side: 'left' | 'right'): string[] => {
    const placed = arranged(pins);
    const { binding, drawing } = placed.units[unit]!;
    const ports = placed.drawings.find((d) => d.id === drawing)!.ports.filter((p) => p.side === side);
    const lines = ports.map((p) => ({ at: p.at, name: placed.pins.find((q) => q.id === binding[p.id])!.name }));
    lines.sort((a, b) => b.at - a.at);
    return lines.flatMap((l, i) => [...(i > 0 && lines[i - 1]!.at - l.at > 1 ? ['gap'] : []), l.name]);
  };
  const rails = ['VA', 'VB', 'VC', 'VD', 'VE', 'VF'].map((n, i) => pin(n, 'supply-in', { rail: n, pads: { p: [`${i + 1}`] } }));
  const grounds = ['9', '10'].map((n) => pin('GND', 'ground', { pads: { p: [n] } }));
  const many = Array.from({ length: 60 }, (_, i) => pin(`D${i}`, 'bidirectional'));
  it('draws rails of one pin each without gaps, the first at the left', () => {
    const all = [...many, ...rails, pin('VG', 'supply-out', { rail: 'VG' }), ...grounds];
    const unit = arranged(all).units.findIndex((u) => u.title === 'Supplies');
    expect(columnOf(all, unit, 'left')).toEqual(['VA', 'VB', 'VC', 'VD', 'VE', 'VF']);
    expect(columnOf(all, unit, 'right')).toEqual(['VG', 'gap', 'GND', 'GND']);
  });
  it('leaves no gap within a group on one side', () => {
    const buck = (n: number) => [pin(`SW${n}`, 'passive', { group: `Buck ${n}` }), pin(`FB${n}`, 'input', { group: `Buck ${n}` })];
    const others = [pin('OUT', 'output'), pin('BUSY', 'output'), pin('VDD', 'supply-in'), pin('GND', 'ground')];
    expect(columnOf([...buck(1), ...buck(2), ...others], 0, 'left').slice(2, 7)).toEqual(['SW1', 'FB1', 'gap', 'SW2', 'FB2']);
  });
  it('keeps inputs and outputs that only share a stem on their own sides', () => {
    const placed = arranged([pin('AMP_INP'), pin('AMP_INN'), pin('AMP_BIAS'), pin('AMP_OUT', 'output')]);
    expect([sideOf(placed, 'AMP_INP'), sideOf(placed, 'AMP_OUT')]).toEqual(['A left', 'A right']);
  });
  it('stands supplies above and grounds below', () => {
    const at = (name: string) => part.drawings[0]!.ports.find((p) => part.units[0]!.binding[p.id] === pinNamed(part, name).id)!.at;
    expect(at('VDD')).toBeGreaterThan(at('IN'));
    expect(at('IN')).toBeGreaterThan(at('GND'));
  });
  it('follows the house rules', () => {
    const rules: HouseRules = {
      ...DEFAULT_RULES,
      sides: { ...DEFAULT_RULES.sides, input: 'right', ground: 'base', supply: 'top' },
      pinLength: 3,
      pitch: 2,
    };
    const other = arranged(part.pins, rules);
    expect([sideOf(other, 'IN'), sideOf(other, 'GND'), sideOf(other, 'VDD')]).toEqual(['A right', 'A base', 'A top']);
    expect(other.drawings[0]!.ports.every((p) => p.length === 3)).toBe(true);
  });
  it.each<[string, Partial<Pin>, string[]]>([
    ['active low', { activeLow: true }, ['negation']],
    ['a clock', { name: 'SCLK' }, ['clock']],
    ['a Schmitt input', { description: 'Input with hysteresis' }, ['hysteresis']],
    ['an open drain', { type: 'open-drain' }, ['open-drain']],
    ['a three-state output, low', { type: 'three-state', activeLow: true }, ['negation', 'three-state']],
    ['a plain input', {}, []],
  ])('marks %s', (_what, more, marks) => expect(marksOf(pin('X', 'input', more))).toEqual(marks));
});

describe('tidying', () => {
  const part = provenPart();
  const d = part.drawings[1]!;
  it('changes nothing that is tidy', () => expect(placesChanged(part, applyEdit(part, tidyUnit(part, 'u3', DEFAULT_RULES)))).toEqual([]));
  it('leaves what a person placed', () => {
    const [first] = d.ports;
    const moved = applyEdit(part, {
      kind: 'movePorts',
      drawing: d.id,
      moves: [{ port: first!.id, side: 'right', at: -1 }],
    });
    const tidy = applyEdit(moved, tidyUnit(moved, 'u3', DEFAULT_RULES));
    expect(tidy.drawings[1]!.ports.find((p) => p.id === first!.id)).toMatchObject({ side: 'right', at: -1 });
    expect(tidy.units).toEqual(moved.units);
  });
  it('says which pins would change their place', () => {
    const messy = applyEdit(part, { kind: 'changePins', changes: [] });
    const away = {
      ...messy,
      drawings: messy.drawings.map((x) => (x.id === d.id ? { ...x, ports: x.ports.map((p, i) => ({ ...p, at: p.at - i })) } : x)),
    };
    expect(placesChanged(away, applyEdit(away, tidyUnit(away, 'u3', DEFAULT_RULES))).length).toBeGreaterThan(0);
  });
  it('adds an empty unit under the next free label', () =>
    expect(applyEdit(part, addUnit(part, 'Spare')).units.at(-1)).toMatchObject({
      label: 'D',
      title: 'Spare',
      binding: {},
    }));
});

describe('work by hand', () => {
  const ports = (...list: [string, 'left' | 'right' | 'top' | 'base', number][]) =>
    list.map(([id, side, at]) => ({ id, side, at, length: 2 }));
  const drawing: Drawing = {
    id: 'd',
    body: { shape: 'block', width: 8, height: 8, strip: 1 },
    ports: ports(['a', 'left', 2], ['b', 'left', 1], ['c', 'left', -1], ['r', 'right', 2]),
    strokes: [],
    labels: [],
  };
  const after = (moves: { port: string; side: string; at: number }[]) =>
    Object.fromEntries(drawing.ports.map((p) => [p.id, moves.find((m) => m.port === p.id)?.at ?? p.at]));

  it('knows the places of each side', () => {
    expect(slotsOf(drawing, 'left')).toEqual([2, 1, 0, -1, -2, -3]);
    expect(slotsOf(drawing, 'top')).toEqual([-3, -2, -1, 0, 1, 2, 3]);
    expect(freeSlots(drawing, 'left', 4)).toEqual([0, -2, -3, -4]);
  });
  it.each<[string, string[], 1 | -1, object]>([
    ['down into a free place', ['b'], -1, { a: 2, b: 0, c: -1, r: 2 }],
    ['down past a neighbour', ['a'], -1, { a: 1, b: 2, c: -1, r: 2 }],
    ['a block past a neighbour', ['a', 'b'], -1, { a: 1, b: 0, c: -1, r: 2 }],
    ['up against the end', ['a'], 1, { a: 2, b: 1, c: -1, r: 2 }],
  ])('nudges %s', (_what, ids, by, expected) => expect(after(nudge(drawing, ids, by))).toEqual(expected));
  it.each<[string, string[], 'left' | 'right', object]>([
    ['to a free place at the same height', ['b'], 'right', { b: 1 }],
    ['to the next free place', ['a'], 'right', { a: 1 }],
  ])('sends %s', (_what, ids, side, expected) => expect(after(sendToSide(drawing, ids, side))).toMatchObject(expected));
  it('sends several without putting two at one place', () => {
    const moves = sendToSide(drawing, ['a', 'b', 'c'], 'right');
    expect(new Set([...moves.map((m) => m.at), 2]).size).toBe(4);
  });
  it('reorders onto the places that the pins have', () =>
    expect(after(reorder(drawing, ['c', 'a', 'b']))).toEqual({ c: 2, a: 1, b: -1, r: 2 }));
  it.each<[string, string[], string, 'left' | 'right', number, object]>([
    ['pushing on whoever stands there', ['c'], 'c', 'left', 2, { c: 2, a: 1, b: 0 }],
    ['onto the other side', ['a', 'b'], 'a', 'right', 2, { a: 2, b: 1, r: 0 }],
    ['keeping its gaps', ['a', 'c'], 'a', 'left', 1, { a: 1, c: -2, b: 0 }],
  ])('drops a block %s', (_what, ids, held, side, at, expected) =>
    expect(after(dropPorts(drawing, ids, held, side, at))).toMatchObject(expected),
  );
  it('opens and closes gaps', () => {
    expect(after(openGap(drawing, 'b'))).toEqual({ a: 2, b: 0, c: -2, r: 2 });
    expect(after(closeUp(drawing, ['a', 'b', 'c']))).toEqual({ a: 2, b: 1, c: 0, r: 2 });
    expect(openGap(drawing, 'nobody')).toEqual([]);
  });
  it('grows the body where pins reach beyond it', () => {
    const moves = [{ port: 'c', side: 'left' as const, at: -6 }];
    expect(heightFor(drawing, moves)).toBe(14);
    expect(moveEdit(drawing, moves, 'move')).toMatchObject({
      kind: 'batch',
      edits: [{ body: { height: 14 } }, { kind: 'movePorts' }],
    });
    expect(moveEdit(drawing, [{ port: 'c', side: 'left', at: 0 }], 'move').kind).toBe('movePorts');
  });
  it('moves pins to another unit, the drawing of equal units becoming its own', () => {
    const part = provenPart();
    const out = pinNamed(part, 'OUT1');
    const moved = applyEdit(part, moveToUnitEdit(part, [out.id], 'u3', 'right', undefined, 2));
    expect(sideOf(moved, 'OUT1')).toBe('C right');
    expect(moved.units[0]!.drawing).not.toBe(moved.units[1]!.drawing);
    expect(sideOf(moved, 'OUT2')).toBe(sideOf(part, 'OUT2'));
  });
});

/** Any pinout, as a planner may meet it. */
const anyPins = fc
  .array(
    fc.tuple(
      fc.constantFrom('D', 'IO1_L', 'PA', 'VDD', 'VSS', 'IN', 'OUT', 'NC', 'A_RATHER_LONG_SIGNAL_NAME_'),
      fc.nat(40),
      fc.constantFrom(...ELECTRICAL_TYPES),
      fc.constantFrom(undefined, 'Bank 1', 'Serial port'),
      fc.boolean(),
    ),
    { minLength: 1, maxLength: 160 },
  )
  .map((list) =>
    list.map(([stem, n, type, group, activeLow], i): Pin => ({
      id: `p${i}`,
      name: `${stem}${n}`,
      type,
      pads: { p: [String(i)] },
      doubts: [],
      ...(group ? { group } : {}),
      ...(activeLow ? { activeLow } : {}),
    })),
  );

describe('property: any pinout', () => {
  const rules = fc
    .record({
      pinLength: fc.integer({ min: 1, max: 5 }),
      pitch: fc.integer({ min: 1, max: 2 }),
      groupGap: fc.integer({ min: 0, max: 2 }),
      maxPinsPerUnit: fc.integer({ min: 8, max: 80 }),
    })
    .map((r): HouseRules => ({ ...DEFAULT_RULES, ...r }));
  it('holds each pin exactly once, on the grid, at its own place, centred, names apart; and is the same again', () => {
    fc.assert(
      fc.property(anyPins, rules, (pins, house) => {
        const part = partOf(pins);
        const edit = arrangePart(part, house);
        expect(arrangePart(part, house)).toEqual(edit);
        const done = applyEdit(part, edit);
        const bound = done.units.flatMap((u) => Object.values(u.binding)).sort();
        expect(bound).toEqual(pins.map((p) => p.id).sort());
        for (const unit of done.units) checkDrawing(done, unit.drawing, unit.binding);
      }),
      { numRuns: 120 },
    );
  });
});

function checkDrawing(part: Part, id: string, binding: Record<string, string>): void {
  const drawing = part.drawings.find((d) => d.id === id)!;
  expect([drawing.body.width % 2, drawing.body.height % 2]).toEqual([0, 0]);
  const points = drawing.ports.map((p) => connectPoint(drawing.body, p));
  for (const p of points) expect(Number.isInteger(p.x) && Number.isInteger(p.y)).toBe(true);
  expect(new Set(points.map((p) => `${p.x} ${p.y}`)).size).toBe(points.length);
  for (const port of drawing.ports) expect(slotsOf(drawing, port.side)).toContain(port.at);
  const boxes = drawing.ports.map((port) => {
    const name = drawPort(
      drawing,
      port,
      part.pins.find((p) => p.id === binding[port.id]),
      [],
    ).find((p) => p.kind === 'text');
    return name?.kind === 'text' ? textBox(name) : undefined;
  });
  boxes.forEach((a, i) =>
    boxes.slice(i + 1).forEach((b) => {
      if (!a || !b) return;
      const apart = Math.min(a.right, b.right) - Math.max(a.left, b.left) <= 1 || Math.min(a.top, b.top) - Math.max(a.base, b.base) <= 1;
      expect(apart).toBe(true);
    }),
  );
}

it('keeps AMP_TABLE as the sample that the others lean on', () => expect(AMP_TABLE.split('\n')).toHaveLength(10));
