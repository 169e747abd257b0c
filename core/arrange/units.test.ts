import fc from 'fast-check';
import { applyEdit, DEFAULT_RULES, emptyPart, type ElectricalType, type HouseRules, type Part, type Pin } from '../part';
import {
  arrangeAs,
  arrangePart,
  mergeUnits,
  movePins,
  pinsThatChange,
  reorderUnit,
  restylePart,
  scorePlan,
  splitUnit,
  STRATEGIES,
  type Split,
  type UnitDraft,
} from '.';
import { inDrawnOrder } from './groups';
import { shortTitle, titleOf } from './titles';

/** Pins `NAME:type:group`, numbered from 1. */
const pinsOf = (...texts: string[]): Pin[] =>
  texts.map((text, i) => {
    const [name = '', type = 'bidirectional', group] = text.split(':');
    return { id: `p${i + 1}`, name, type: type as ElectricalType, pads: { p: [String(i + 1)] }, doubts: [], ...(group ? { group } : {}) };
  });
const run = (n: number, stem: string, type: string, group: string) => Array.from({ length: n }, (_, i) => `${stem}${i}:${type}:${group}`);
const drafted = (pins: Pin[], rules: HouseRules = DEFAULT_RULES): Part => {
  const part = { ...emptyPart('TF0001'), pins };
  return applyEdit(part, arrangePart(part, rules));
};
const titles = (part: Part) => part.units.map((u) => `${u.label} ${u.title} ${Object.keys(u.binding).length}`);
const FPGA = pinsOf(
  ...run(40, 'IO0_', 'bidirectional', 'Bank 0'),
  ...run(4, 'VCCO0_', 'supply-in', 'Bank 0').map((t) => t.replace(/VCCO0_\d/, 'VCCO0')),
  ...run(38, 'IO1_', 'bidirectional', 'Bank 1'),
  ...['TCK:input:Debug', 'TDI:input:Debug', 'CFG0:input:Configuration', 'CLK:input:Clock'],
  ...run(9, 'VSS', 'ground', 'Supplies').map((t) => t.replace(/VSS\d/, 'VSS')),
);
const apply = (part: Part, drafts: UnitDraft[], placed: string[] = []) =>
  applyEdit(part, { ...arrangeAs(part, drafts, DEFAULT_RULES), placed });

describe('planning', () => {
  it('gives each bank a unit with the rail that only it has, and the small groups one', () =>
    expect(titles(drafted(FPGA))).toEqual(['A Bank 0 44', 'B Bank 1 38', 'C System 4', 'D Supplies 9']));
  it('never takes a rail from the others that use it', () => {
    const pins = pinsOf(
      ...run(40, 'A', 'bidirectional', 'Bank 0'),
      ...run(40, 'B', 'bidirectional', 'Bank 1'),
      'VDD:supply-in:Bank 0',
      'VDD:supply-in:Bank 1',
    );
    expect(titles(drafted(pins)).at(-1)).toBe('C Supplies 2');
  });
  it.each<[HouseRules['supplies'], string[]]>([
    ['own', ['A Channel 1 2', 'B Channel 2 2', 'C Supplies 2']],
    ['each', ['A Channel 1 4', 'B Channel 2 4']],
    ['first', ['A Channel 1 4', 'B Channel 2 2']],
  ])('draws supplies of equal channels %s', (supplies, expected) => {
    const part = drafted(pinsOf('1A:input', '1Y:output', '2A:input', '2Y:output', 'VCC:supply-in', 'GND:ground'), {
      ...DEFAULT_RULES,
      supplies,
    });
    expect(titles(part)).toEqual(expected);
    expect(part.pins.filter((p) => p.shared).map((p) => p.name)).toEqual(supplies === 'each' ? ['VCC', 'GND'] : []);
    expect(new Set(part.units.flatMap((u) => Object.values(u.binding))).size).toBe(6);
  });
  it('splits what is taller than a sheet, and says so in the title', () => {
    const part = drafted(pinsOf(...run(80, 'D', 'bidirectional', 'Data bus')), { ...DEFAULT_RULES, maxHeight: 24 });
    expect(titles(part)).toEqual(['A Data bus, part 1 40', 'B Data bus, part 2 40']);
  });
  it('keeps pins in the unit and at the place that a person gave them', () => {
    const before = drafted(FPGA);
    const moved = apply(before, movePins(before, ['p83'], 'u1'), ['p83']);
    const spot = moved.drawings.find((d) => d.id === moved.units[0]!.drawing)!.ports[2]!;
    const placed = applyEdit(moved, {
      kind: 'movePorts',
      drawing: moved.units[0]!.drawing,
      moves: [{ port: spot.id, side: 'left', at: -20 }],
    });
    const again = applyEdit(placed, arrangePart(placed, DEFAULT_RULES));
    expect(Object.values(again.units.find((u) => u.id === 'u1')!.binding)).toContain('p83');
    const pin = placed.units[0]!.binding[spot.id]!;
    const unit = again.units.find((u) => u.id === 'u1')!;
    const port = Object.entries(unit.binding).find(([, id]) => id === pin)![0];
    expect(again.drawings.find((d) => d.id === unit.drawing)!.ports.find((p) => p.id === port)).toMatchObject({ side: 'left', at: -20 });
    expect(titles(again).map((t) => t.slice(0, 8))).toEqual(['A Bank 0', 'B Bank 1', 'C System', 'D Suppli']);
  });
  it('property: every way of planning holds each pin exactly once, shared ones aside, and is the same again', () => {
    const kinds: ElectricalType[] = ['input', 'output', 'bidirectional', 'supply-in', 'ground', 'no-connect', 'passive'];
    const anyPin = fc.tuple(
      fc.constantFrom('D', 'A', 'VDD', 'VSS', '1Y', 'IN'),
      fc.nat(12),
      fc.constantFrom(...kinds),
      fc.constantFrom('', 'Bank 0', 'Bank 1', 'Debug', 'SPI'),
    );
    const rules = fc.record({
      supplies: fc.constantFrom('own', 'each', 'first', 'signals'),
      maxPinsPerUnit: fc.integer({ min: 4, max: 60 }),
      maxHeight: fc.integer({ min: 8, max: 60 }),
      order: fc.constantFrom('natural', 'number', 'datasheet', 'bank'),
    });
    fc.assert(
      fc.property(fc.array(anyPin, { minLength: 1, maxLength: 120 }), rules, fc.constantFrom(...STRATEGIES), (list, some, strategy) => {
        const pins = pinsOf(...list.map(([stem, n, type, group]) => `${stem}${n}:${type}:${group}`));
        const house = { ...DEFAULT_RULES, ...some } as HouseRules;
        const part = { ...emptyPart('X'), pins };
        const edit = arrangePart(part, house, strategy);
        expect(arrangePart(part, house, strategy)).toEqual(edit);
        const done = applyEdit(part, edit);
        const shared = new Set(edit.shared ?? []);
        const bound = done.units.flatMap((u) => Object.values(u.binding));
        expect([...new Set(bound)].sort()).toEqual(pins.map((p) => p.id).sort());
        const once = bound.filter((id) => !shared.has(id));
        expect(new Set(once).size).toBe(once.length);
        for (const d of done.drawings) expect(new Set(d.ports.map((p) => `${p.side} ${p.at}`)).size).toBe(d.ports.length);
      }),
      { numRuns: 80 },
    );
  });
});

describe('titles', () => {
  it.each<[string, string | undefined]>([
    ['Amplifier', 'Amplifier'],
    ['24-bit bridge converter', '24-bit bridge converter'],
    ['Line receiver, hurried', 'Line receiver'],
    ['Tether reel connector, 2 x 5 with two tabs', 'Tether reel connector'],
    ['Low-Power, 24-Bit Bridge Converter with SPI Interface', '24-Bit Bridge Converter'],
    ['3 A synchronous step-down regulator', 'Step-down regulator'],
    ['8-, 10- and 12-Bit, Quad Voltage-Output Digital-to-Analog Converters', 'Digital-to-Analog Converters'],
    ['Electroencephalographicalamplifier', undefined],
    ['', undefined],
  ])('“%s” is short “%s”', (description, title) => expect(shortTitle(description)).toBe(title));

  const groups = (...names: [string, number][]) =>
    names.map(([title, n]) => ({ title, pins: pinsOf(...run(n, 'X', 'input', title)), power: false }));
  it.each<[[string, number][], string]>([
    [
      [
        ['Port A', 16],
        ['Port B', 16],
        ['Port C', 16],
      ],
      'Ports A to C',
    ],
    [
      [
        ['Port A', 8],
        ['Port C', 8],
      ],
      'Ports A and C',
    ],
    [
      [
        ['CAM0', 4],
        ['CAM1', 4],
        ['CAM2', 4],
      ],
      'CAM0 to CAM2',
    ],
    [
      [
        ['Clock', 2],
        ['Debug', 4],
      ],
      'Clock and Debug',
    ],
    [
      [
        ['Clock', 2],
        ['Debug', 4],
        ['Reset', 1],
        ['SPI1', 4],
      ],
      'System and SPI1',
    ],
    [
      [
        ['SPI', 9],
        ['ADC', 8],
        ['Touch', 7],
        ['Motor', 2],
      ],
      'SPI, ADC and 2 more',
    ],
    [
      [
        ['Inputs', 2],
        ['Clock', 30],
      ],
      'Clock',
    ],
    [[['Inputs', 2]], 'Inputs'],
    [[], ''],
  ])('%j', (given, title) => expect(titleOf(groups(...given))).toBe(title));
});

describe('the score of a plan', () => {
  const part = drafted(FPGA);
  it('is full where nothing is cut', () => expect(scorePlan(part, DEFAULT_RULES).points).toBe(100));
  it('names the group that is cut', () => {
    const cut = apply(part, movePins(part, ['p1', 'p2'], 'u2'));
    expect(scorePlan(cut, DEFAULT_RULES)).toMatchObject({ points: 88, cut: [{ group: 'Bank 0', units: ['A', 'B'] }] });
  });
  it('names rails in two places, units that are too tall, and lonely ones', () => {
    const odd = apply(part, movePins(part, ['p41'], undefined));
    const { rails, tall, lonely } = scorePlan(odd, { ...DEFAULT_RULES, maxHeight: 20 });
    expect(rails).toEqual([{ rail: 'VCCO0', units: ['A', 'E'] }]);
    expect(tall.map((t) => t.unit)).toEqual(['A', 'B']);
    expect(lonely).toEqual([{ unit: 'E', pins: 1 }]);
  });
  it('takes no offence at two supplies in a unit of their own', () => {
    const dual = drafted(pinsOf('OUT1:output', 'IN1-:input', 'IN1+:input', 'V-:supply-in', 'IN2+:input', 'IN2-:input', 'OUT2:output', 'V+:supply-in')); // prettier-ignore
    expect([titles(dual), scorePlan(dual, DEFAULT_RULES).points]).toEqual([['A Channel 1 3', 'B Channel 2 3', 'C Supplies 2'], 100]);
  });
  it('gives a pin that the banks leave over to the smallest that has room', () => {
    const bank = (n: number, count: number) => run(count, `IO${n}_`, 'bidirectional', `Bank ${n}`);
    const pins = pinsOf(...bank(1, 48), ...bank(2, 40), ...bank(3, 24), 'DONE:output:Debug', ...run(12, 'GND', 'ground', 'Supplies'));
    expect(titles(drafted(pins))).toEqual(['A Bank 1 48', 'B Bank 2 40', 'C Bank 3 25', 'D Supplies 12']);
  });
});

describe('the board', () => {
  const part = drafted(FPGA);
  it('moves pins, takes them from where they were, and marks them', () => {
    const moved = apply(part, movePins(part, ['p83', 'p84'], 'u2'), ['p83', 'p84']);
    expect(titles(moved)).toEqual(['A Bank 0 44', 'B Bank 1 40', 'C Configuration and Clock 2', 'D Supplies 9']);
    expect(moved.pins.filter((p) => p.byHand?.includes('unit')).map((p) => p.name)).toEqual(['TCK', 'TDI']);
  });
  it('keeps a title that a person gave', () => {
    const named = applyEdit(part, { kind: 'changeUnit', unit: 'u3', set: { title: 'Mine' } });
    expect(titles(apply(named, movePins(named, ['p83'], 'u1')))[2]).toBe('C Mine 3');
  });
  it('makes a unit of what is dropped beside the others, and drops one that is left empty', () => {
    const supplies = part.pins.filter((p) => p.type === 'ground').map((p) => p.id);
    expect(titles(apply(part, movePins(part, supplies, undefined))).at(-1)).toBe('D Supplies 9');
  });
  it('leaves drawings alone whose pins stay', () => {
    const moved = apply(part, movePins(part, ['p83'], 'u2'));
    expect(moved.drawings.find((d) => d.id === moved.units[0]!.drawing)).toBe(part.drawings[0]);
  });
  it('merges', () => expect(titles(apply(part, mergeUnits(part, ['u2', 'u3'])))).toEqual(['A Bank 0 44', 'B Bank 1 42', 'D Supplies 9']));
  it.each<[Split, string, number]>([
    ['group', 'u3', 3],
    ['rail', 'u1', 2],
    ['prefix', 'u3', 4],
    ['side', 'u1', 2],
    ['count', 'u1', 2],
  ])('splits by %s', (by, unit, into) => {
    const done = apply(part, splitUnit(part, unit, by, DEFAULT_RULES));
    expect(done.units).toHaveLength(part.units.length - 1 + into);
    const bound = done.units.flatMap((u) => Object.values(u.binding)).sort();
    expect(bound).toEqual(part.pins.map((p) => p.id).sort());
    expect(new Set(done.units.map((u) => u.label)).size).toBe(done.units.length);
  });
  it.each<[string, (p: Part) => UnitDraft[]]>([
    ['split', (p) => splitUnit(p, 'u1', 'count', DEFAULT_RULES)],
    ['merged', (p) => mergeUnits(p, ['u2', 'u3'])],
    ['moved', (p) => movePins(p, ['p83', 'p84'], 'u2')],
    ['moved to a unit of its own', (p) => movePins(p, ['p83', 'p84'], undefined)],
  ])('what was %s stays when the units are planned anew', (_what, change) => {
    const drafts = change(part);
    const changed = apply(part, drafts, pinsThatChange(part, drafts));
    const again = applyEdit(changed, arrangePart(changed, DEFAULT_RULES));
    const sets = (p: Part) => p.units.map((u) => Object.values(u.binding).sort().join(' ')).sort(); // prettier-ignore
    expect(sets(again)).toEqual(sets(changed));
  });
  it('reorders, and labels follow', () => {
    expect(titles(applyEdit(part, reorderUnit(part, 'u2', -1)!)).slice(0, 2)).toEqual(['A Bank 1 38', 'B Bank 0 44']);
    expect(reorderUnit(part, 'u1', -1)).toBeUndefined();
  });
});

describe('changed house rules', () => {
  const part = drafted(FPGA);
  it.each<[Partial<HouseRules>, (p: Part) => unknown, unknown]>([
    [{ pinLength: 4 }, (p) => p.drawings[0]!.ports.every((q) => q.length === 4), true],
    [{ pitch: 2 }, (p) => p.drawings[1]!.body.height > part.drawings[1]!.body.height, true],
    [{ width: 'same' }, (p) => new Set(p.drawings.map((d) => d.body.width)).size, 1],
    [{ width: 'third' }, (p) => p.drawings.every((d) => d.body.width * 3 >= d.body.height), true],
    [{ minWidth: 30 }, (p) => p.drawings.every((d) => d.body.width >= 30), true],
    [{ minHeight: 50 }, (p) => p.drawings.every((d) => d.body.height >= 50), true],
    [{ strip: false }, (p) => p.drawings.every((d) => d.body.strip === 0), true],
    [
      { names: 'over' },
      (p) => p.drawings.every((d) => d.names === 'over' && d.ports.every((q) => q.length >= 3 || p.units.length > 3)),
      true,
    ],
    [{ texts: 'below' }, (p) => p.drawings.every((d) => d.labels.every((l) => l.y < 0)), true],
    [{ texts: 'split' }, (p) => p.drawings.every((d) => d.labels.map((l) => Math.sign(l.y)).join() === '1,-1'), true],
  ])('%j are drawn, and every pin stays in its unit', (change, look, expected) => {
    const done = applyEdit(part, restylePart(part, { ...DEFAULT_RULES, ...change }));
    expect(look(done)).toEqual(expected);
    const homes = (p: Part) => p.units.map((u) => Object.values(u.binding).sort().join());
    expect(homes(done)).toEqual(homes(part));
  });
  describe('sides', () => {
    const sides = (pins: Pin[], rules = DEFAULT_RULES) => {
      const done = drafted(pins, rules);
      const port = (p: Pin) => Object.entries(done.units[0]!.binding).find(([, id]) => id === p.id)![0];
      return pins.map((p) => done.drawings[0]!.ports.find((q) => q.id === port(p))!.side).join(' ');
    };
    const numbered = (...told: string[]) =>
      pinsOf(...told.map((t) => t.replace(/@.*/, ''))).map((p, i) => ({
        ...p,
        pads: { p: [`${i + 1}`] },
        description: told[i]!.split('@')[1] ?? '',
      }));
    const isolator = [
      'VCC1:supply-in',
      'R:output',
      'D:input',
      'GND1:ground@Logic side ground',
      'GND2:ground',
      'A:input',
      'Y:output',
      'VCC2:supply-in',
    ];
    it('of an isolator are those of its package', () =>
      expect(sides(numbered(...isolator))).toBe('left left left left right right right right'));
    it.each<[string, string[]]>([
      ['nothing says that they are apart', isolator.map((t) => t.replace(/@.*/, ''))],
      ['a ground is on both', isolator.map((t) => t.replace('GND2', 'GND1'))],
      ['a side has no supply', isolator.map((t) => t.replace('VCC2:supply-in', 'E:input'))],
      ['the numbers leave one out', isolator.slice(1)],
    ])('are those of the roles where %s', (_, told) =>
      expect(
        sides(numbered(...told))
          .split(' ')
          .slice(-3),
      ).not.toEqual(['right', 'right', 'right']),
    );
    it('of ports that go through are A’s and B’s', () => {
      const port = (name: string) => [1, 2, 3].map((i) => `${name}${i}:bidirectional:${name}`);
      expect(sides(pinsOf(...port('1A'), ...port('1B'), ...port('2A'), ...port('2B'))).split(' ')).toEqual(
        ['left', 'right', 'left', 'right'].flatMap((side) => [side, side, side]),
      );
    });
    it('of what translates are those of the rails', () => {
      const lines = ['VREF1:supply-in', 'SCL1', 'SDA1', 'VREF2:supply-in', 'SCL2', 'SDA2'];
      expect(sides(pinsOf(...lines, 'EN:input'))).toBe('left left left right right right left');
      expect(sides(pinsOf(...lines.slice(0, -1), 'GPIO', 'EN:input'))).not.toContain('left left left right right');
    });
    it('of a switch are its common end’s and those of what it chooses from, of channels with the positive half first', () => {
      const both = [1, 2].flatMap((i) => [`D${i}`, `S${i}A`, `S${i}B`, `IN${i}:input`]);
      expect(drafted(pinsOf(...both)).drawings[0]!.ports.map((p) => p.side)).toEqual(['left', 'left', 'right', 'right']);
      const driver = [1, 2].flatMap((i) => [`IN${i}:input`, `OUT${i}-:output`, `OUT${i}+:output`]);
      const { drawings, units } = drafted(pinsOf(...driver));
      const outputs = drawings[0]!.ports.filter((p) => p.side === 'right').sort((a, b) => b.at - a.at);
      expect(outputs.map((p) => units[0]!.binding[p.id])).toEqual(['p3', 'p2']);
    });
    it.each<[string, string[], string]>([
      ['the common end', ['X0', 'X1', 'X2', 'X', 'A:input'], 'right right right left left'],
      ['the drain of the sources', ['S1', 'S2', 'D', 'A:input'], 'right right left left'],
      ['nothing where other lines go both ways', ['X0', 'X', 'GPIO', 'SEL:input'], 'right right right left'],
    ])('of a multiplexer are told by %s', (_, names, expected) => {
      const pins = pinsOf(...names).map((p) => ({ ...p, description: p.name === 'X' ? 'Common' : p.name }));
      expect(sides(pins)).toBe(expected);
    });
    it.each<[string, string[]]>([
      ['a coupler', ['A@Anode', 'K@Cathode', 'MT1@Main terminal', 'MT2@Main terminal']],
      ['a line’s transformer', ['TD+@Chip side', 'TCT@Centre tap', 'TX+@Line side', 'TX-@Line side', 'RD+@Chip side', 'RX+@Line side']],
    ])('of %s are those of what drives and what is driven', (_, told) => {
      const pins = numbered(...told.map((t) => t.replace('@', ':passive@')));
      expect(sides(pins)).toBe(pins.map((p) => (/line|main/i.test(p.description) ? 'right' : 'left')).join(' '));
    });
    it('of two ends with nothing but their case are one each', () => {
      expect(sides(pinsOf('X1:passive', 'GND:ground', 'X2:passive', 'GND:ground'))).toBe('left left right left');
      expect(sides(pinsOf('X1:passive', 'GND:ground', 'X2:passive', 'CASE:passive'))).toBe('left left left left');
    });
    it('leave small groups whole', () => {
      const port = (n: number) => Array.from({ length: 10 }, (_, i) => `P${n}_${i}:bidirectional:P${n}`);
      const found = sides(pinsOf(...[0, 1, 2, 3, 4].flatMap(port))).split(' ');
      const ofPort = [0, 1, 2, 3, 4].map((n) => new Set(found.slice(10 * n, 10 * n + 10)).size);
      expect([ofPort, new Set(found).size]).toEqual([[1, 1, 1, 1, 1], 2]);
    });
    it('of a rectifier are its inputs’ and its outputs’', () => {
      const pins = pinsOf('~:passive', '~:passive', '~:passive', '+:passive', '-:passive');
      expect(sides(pins.map((p, i) => ({ ...p, description: i < 3 ? `AC phase ${i}` : `DC ${p.name === '+' ? 'positive' : 'negative'}` })))).toBe('left left left right right'); // prettier-ignore
    });
    it('above and below are the house’s, of an isolator too', () => {
      const rules: HouseRules = { ...DEFAULT_RULES, sides: { ...DEFAULT_RULES.sides, supply: 'top', ground: 'base' } };
      expect(sides(numbered(...isolator), rules)).toBe('top left left base base right right top');
    });
    it('of windings are the primary’s and the secondary’s', () => {
      const winding = (which: string) => [1, 2].map((i) => `${which[0]}${i}:passive:${which} winding`);
      const pins = pinsOf(...winding('Primary'), ...winding('Secondary')).map((p) => ({ ...p, description: p.group! }));
      expect(sides(pins)).toBe('left left right right');
    });
  });
  it('order names of one letter where they are many, as the segments of a display are', () => {
    const pins = pinsOf(...'EDCGBFA'.split('').map((name) => `${name}::Segments`), 'DP::Segments');
    expect(inDrawnOrder(pins).map((p) => p.name)).toEqual(['A', 'B', 'C', 'D', 'E', 'F', 'G', 'DP']);
    expect(inDrawnOrder(pinsOf('E::T', 'C::T', 'B::T')).map((p) => p.name)).toEqual(['E', 'C', 'B']);
    expect(inDrawnOrder(pinsOf('QB::Q', 'QC::Q', "QH'::Q", 'QA::Q')).map((p) => p.name)).toEqual(['QA', 'QB', 'QC', "QH'"]);
  });
  it('order a few names of one letter where their words are alike but for it', () => {
    const pins = pinsOf('C:input:In', 'INH:input:In', 'B:input:In', 'A:input:In');
    const said = (words: string) => inDrawnOrder(pins.map((p) => ({ ...p, description: `${words} ${p.name}` }))).map((p) => p.name);
    expect([said('Select'), inDrawnOrder(pins).map((p) => p.name)]).toEqual([['A', 'B', 'C', 'INH'], ['C', 'INH', 'B', 'A']]); // prettier-ignore
  });
  it('order a bus that names have beside their own work', () => {
    const names = (...pins: string[]) => inDrawnOrder(pinsOf(...pins)).map((p) => p.name);
    expect(names('DO/IO1', 'WP#/IO2', 'DI/IO0', 'HOLD#/IO3')).toEqual(['DI/IO0', 'DO/IO1', 'WP#/IO2', 'HOLD#/IO3']);
    expect(names('PA1/IO2', 'PA2/IO1', 'PA3/IO0')).toEqual(['PA1/IO2', 'PA2/IO1', 'PA3/IO0']);
    expect(names('RA0/AN2', 'RB0/AN1', 'RC0/AN0')).toEqual(['RA0/AN2', 'RB0/AN1', 'RC0/AN0']);
  });
  it.each<[HouseRules['order'], string[]]>([
    ['natural', ['D1', 'D2', 'D10']],
    ['number', ['D10', 'D1', 'D2']],
    ['datasheet', ['D2', 'D10', 'D1']],
  ])('order %s', (order, expected) => {
    const pins = pinsOf('D2::Bus', 'D10::Bus', 'D1::Bus').map((p, i) => ({ ...p, pads: { p: [['3', '1', '2'][i]!] } }));
    const done = drafted(pins, { ...DEFAULT_RULES, order });
    const ports = [...done.drawings[0]!.ports].sort((a, b) => b.at - a.at);
    expect(ports.map((p) => pins.find((q) => q.id === done.units[0]!.binding[p.id])!.name)).toEqual(expected);
  });
});
