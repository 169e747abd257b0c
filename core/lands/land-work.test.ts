import { applyEdit, type Land, type Package, type Pad, type Part } from '../part';
import { good, pinNamed, provenPart, refused } from '../test/samples';
import {
  addPadEdit,
  arithmeticOf,
  changePads,
  compareMaps,
  familyFromName,
  generateLand,
  joinByList,
  joinByName,
  joinByNumber,
  joinByOrder,
  joinEdit,
  landChange,
  landSvg,
  mirrorPads,
  nextNumber,
  readLandName,
  removePads,
  repeatPads,
  writeLandName,
  writePadsCsv,
  type Family,
  type LandChange,
} from '.';
import { readPadsCsv } from './pad-list';

const land = (family: Family): Land => good(generateLand(family));
const named = (name: string): Land => land(good(familyFromName(name)).family);
const numbers = (l: Land) => l.pads.map((p) => p.number).join(' ');
const body = { w: 4, h: 5 };

describe('dimensions as datasheets give them', () => {
  const dual: Family = { kind: 'dual', count: 8, pitch: 1.27, span: 5.4, length: 1.55, width: 0.6, body };
  it('a span over the toes is that of the centres and one pad length', () =>
    expect(land({ ...dual, span: 6.95, spanOver: 'toes' }).pads).toEqual(land(dual).pads));
  it('says a height', () => expect(land({ ...dual, heightMm: 1.75 }).heightMm).toBe(1.75));
  it('an exposed pad can have its own number', () =>
    expect(land({ ...dual, exposed: { w: 2.4, h: 3, number: 'EP' } }).pads.at(-1)).toMatchObject({ number: 'EP', x: 0, y: 0 }));
  it.each<[string, Family, string, [number, number][]]>([
    ['eight leads', { kind: 'outline', leads: 8, pitch: 0.65, span: 2.8, length: 1, width: 0.4, body }, '1 2 3 4 5 6 7 8', [[-1.4, 0.975], [1.4, -0.975]]],
    ['a chip', { kind: 'chip', span: 1.5, length: 0.8, width: 0.9, body }, '1 2', [[-0.75, 0], [0.75, 0]]],
    ['leads with a tab', { kind: 'inline', count: 3, pitch: 2.3, length: 2, width: 1, body, tab: { w: 3.3, h: 2, distance: 6.2 } }, '1 2 3 4', [[-2.3, -3.1], [0, 3.1]]],
    ['a free array', { kind: 'array', rows: 2, columns: 3, pitch: 1, rowPitch: 2, length: 0.8, width: 0.5, body, numbering: 'rows' }, '1 2 3 4 5 6', [[-1, 1], [1, -1]]],
  ])('%s', (_what, family, order, [first, last]) => {
    const { pads } = land(family);
    expect(numbers({ pads })).toBe(order);
    const at = (i: number) => [pads[i]!.x, pads[i]!.y];
    expect([at(0), at(family.kind === 'outline' ? 4 : pads.length - 1)]).toEqual([first, last]);
  }); // prettier-ignore
  it('a header with slots and mounting holes', () => {
    const { pads } = land({ kind: 'header', rows: 1, columns: 2, pitch: 5.08, diameter: 2, drill: 1, slot: 2, body, numbering: 'rows', mounting: { drill: 3.2, diameter: 5, distance: 20 } }); // prettier-ignore
    expect(pads.map((p) => [p.number, p.w, p.h, p.drill, p.slot, p.mechanical ?? false])).toEqual([
      ['1', 3, 2, 1, 2, false],
      ['2', 3, 2, 1, 2, false],
      ['MH1', 5, 5, 3.2, undefined, true],
      ['MH2', 5, 5, 3.2, undefined, true],
    ]);
  });
  it.each<[string, Family, RegExp]>([
    ['a slot shorter than wide', { kind: 'header', rows: 1, columns: 2, pitch: 5, diameter: 2, drill: 1, slot: 0.8, body, numbering: 'rows' }, /slot is 0\.8/],
    ['a hole over its ring', { kind: 'header', rows: 1, columns: 2, pitch: 5, diameter: 2, drill: 1, body, numbering: 'rows', mounting: { drill: 6, diameter: 5, distance: 20 } }, /mounting hole is 6/],
    ['rows that touch', { kind: 'array', rows: 2, columns: 2, pitch: 1, length: 1.2, width: 0.5, body, numbering: 'rows' }, /pad length is 1\.2/],
  ])('refuses %s', (_what, family, says) => expect(refused(generateLand(family)).join(' ')).toMatch(says)); // prettier-ignore
});

describe('the arithmetic', () => {
  const how = (family: Family) => arithmeticOf(family).map((s) => s.how);
  it('of two rows', () =>
    expect(how({ kind: 'dual', count: 14, pitch: 1.27, span: 5.4, length: 1.55, width: 0.6, body })).toEqual([
      '5.40 / 2 = 2.70',
      '(7 − 1) × 1.27 / 2 = 3.81',
      '5.40 + 1.55 = 6.95',
      '5.40 − 1.55 = 3.85',
      '1.27 − 0.60 = 0.67',
    ]));
  it('of a span over the toes', () =>
    expect(how({ kind: 'chip', span: 3.1, spanOver: 'toes', length: 0.8, width: 1, body }).slice(0, 2)).toEqual([
      '3.10 − 0.80 = 2.30',
      '2.30 / 2 = 1.15',
    ]));
  it.each(['SO-14', 'LQFP-64', 'QFN-48', 'BGA-64', 'SOT-23-5', 'HDR-2x5', 'SIP-9', 'DIP-8'])('of %s leads to its pads', (name) => {
    const { family } = good(familyFromName(name));
    const { pads } = land(family);
    const results = arithmeticOf(family).map((s) => Number(s.how.split('= ')[1]));
    const reach = [Math.max(...pads.map((p) => p.x)), Math.max(...pads.map((p) => p.y))].filter((v) => v > 0);
    for (const value of reach) expect(results.some((r) => Math.abs(r - value) < 0.006)).toBe(true);
  });
});

describe('names in the form of IPC-7351', () => {
  it.each<[string, string, number, Partial<Family> & { heightMm: number }]>([
    ['SOIC127P600X175-8', 'dual', 8, { pitch: 1.27, heightMm: 1.75 }],
    ['SOIC127P600X175-8N', 'dual', 8, { pitch: 1.27, heightMm: 1.75 }],
    ['SOP65P640X120-20', 'dual', 20, { pitch: 0.65, heightMm: 1.2 }],
    ['SOP65P640X120-21', 'dual', 21, { pitch: 0.65, heightMm: 1.2 }],
    ['QFP50P1200X1200X160-64', 'quad', 64, { pitch: 0.5, heightMm: 1.6 }],
    ['QFN50P700X700X100-49', 'quad', 49, { pitch: 0.5, heightMm: 1 }],
    ['SON50P300X300X80-9', 'dual', 9, { pitch: 0.5, heightMm: 0.8 }],
    ['SOT95P280X145-5', 'outline', 5, { pitch: 0.95, heightMm: 1.45, span: 2.35, length: 1.15, body: { w: 1.6, h: 2.9 } }],
    ['BGA484C100P22X22_2300X2300X200', 'grid', 484, { pitch: 1, heightMm: 2 }],
    ['LGA64N50P8X8_500X500X80', 'grid', 64, { pitch: 0.5, heightMm: 0.8, square: true } as Partial<Family> & { heightMm: number }],
    ['RESC1608X55', 'chip', 2, { heightMm: 0.55 }],
    ['CAPC3216X180', 'chip', 2, { heightMm: 1.8 }],
    ['DIP762W50P254L953H508Q8', 'dual', 8, { pitch: 2.54, heightMm: 5.08 }],
    ['HDRV64W254P2X5_1270X508X838', 'header', 10, { pitch: 2.54, heightMm: 8.38 }],
  ])('%s', (name, kind, pads, has) => {
    const read = readLandName(name)!;
    expect(read.family).toMatchObject({ kind, ...has });
    expect(read.assumed.length).toBeGreaterThan(0);
    expect(land(read.family).pads).toHaveLength(pads);
    const written = writeLandName(read.family);
    if (kind !== 'chip') expect(written).toBe(name.replace(/N$/, ''));
  });
  it.each(['SOIC127P600X175', 'SO-8', 'QFN50P700X700X100-50', 'BGA484C100P20X22_2300X2300X200', ''])('“%s” is none', (name) =>
    expect(readLandName(name)).toBeUndefined(),
  );
  it('the density at the end is told', () => expect(readLandName('SOIC127P600X175-8M')!.density).toBe('M'));
  it('is not written without a height', () => expect(writeLandName(good(familyFromName('SO-8')).family)).toBeUndefined());
  it('is a short name too', () => expect(named('SOIC127P600X175-8').pads).toHaveLength(8));
});

describe('pads by hand', () => {
  const so8 = named('SO-8');
  it('changes numbers, and the courtyard follows', () => {
    const changed = changePads(so8, [0], { x: -5, number: 'A' });
    expect(changed.pads[0]).toMatchObject({ x: -5, number: 'A' });
    expect(changed.courtyard!.w).toBeGreaterThan(so8.courtyard!.w);
  });
  it('removes', () => expect(numbers(removePads(so8, [0, 7]))).toBe('2 3 4 5 6 7'));
  it('repeats in a row, numbers going on', () => {
    const row = repeatPads({ pads: [{ number: 'A1', x: 0, y: 0, w: 1, h: 1, shape: 'rect' }] }, [0], { count: 2, dx: 1.5, dy: 0, step: 1 });
    expect(row.pads.map((p) => [p.number, p.x])).toEqual([['A1', 0], ['A2', 1.5], ['A3', 3]]); // prettier-ignore
  });
  it('mirrors to the other side, counted on as pads around a package are', () => {
    const left = removePads(so8, [4, 5, 6, 7]);
    expect(mirrorPads(left, [0, 1, 2, 3], 'x').pads).toEqual(so8.pads);
  });
  it.each([['8', '9'], ['A3', 'A4'], ['MP1', 'MP2'], ['EP', 'EP1']])('after %s comes %s', (a, b) => expect(nextNumber(a)).toBe(b)); // prettier-ignore
});

describe('writing lands', () => {
  it('CSV is read back as it was', () => {
    const { pads } = land({ kind: 'header', rows: 1, columns: 3, pitch: 5, diameter: 2, drill: 1, slot: 2, body, numbering: 'rows' });
    expect(good(readPadsCsv(writePadsCsv(pads)))).toEqual(pads);
  });
  it('SVG has every pad with its number, and what a person typed is no markup', () => {
    const part = { ...provenPart(), name: '<b>x' };
    const svg = landSvg(part, part.packages[0]!);
    expect(svg.match(/<title>\d \w/g)).toHaveLength(8);
    expect(svg).not.toContain('<b>');
  });
});

describe('joining pads', () => {
  const part = provenPart();
  const other: Package = { id: 'b', name: 'SOP-8', land: named('SO-8') };
  const both: Part = applyEdit(part, { kind: 'setPackage', package: other });
  const name = (id: string) => part.pins.find((p) => p.id === id)!.name;
  const told = (joins: { pin: string; pads: string[] }[]) => joins.map((j) => `${name(j.pin)}=${j.pads.join('+')}`).join(' ');
  it('by the numbers of another package', () => {
    const join = joinByNumber(both, 'b', part.packages[0]!.id);
    expect([join.joins.length, join.left]).toEqual([8, []]);
    expect(compareMaps(applyEdit(both, joinEdit('b', join)), part.packages[0]!.id, 'b').every((r) => r.is === 'same')).toBe(true);
  });
  it('by the names that pads have themselves', () => {
    const lettered = {
      ...other,
      land: { ...other.land, pads: other.land.pads.map((p, i) => ({ ...p, number: i === 0 ? 'out1' : i === 7 ? 'VDD' : p.number })) },
    };
    expect(told(joinByName(applyEdit(part, { kind: 'setPackage', package: lettered }), 'b').joins)).toBe('OUT1=out1 VDD=VDD');
  });
  const three = part.pins.slice(0, 3).map((p) => p.id);
  it.each<[string, string, 1 | -1, string]>([
    ['from the first', '1', 1, 'OUT1=1 IN1-=2 IN1+=3'],
    ['from another', '7', 1, 'OUT1=7 IN1-=8 IN1+=1'],
    ['backwards', '3', -1, 'OUT1=3 IN1-=2 IN1+=1'],
  ])('by order %s', (_how, start, direction, expected) =>
    expect(told(joinByOrder(both, 'b', three, start, direction).joins)).toBe(expected),
  );
  it('by order says which pins find none', () => {
    const first = applyEdit(both, joinEdit('b', joinByOrder(both, 'b', three, '1', 1)));
    expect(
      joinByOrder(
        first,
        'b',
        part.pins.map((p) => p.id),
        '1',
        1,
      ).left,
    ).toEqual(['3 pins find no free pad.']);
  });
  it.each<[string, string]>([
    ['blanks', '1 OUT1\n8 VDD'],
    ['commas, the other way round', 'OUT1,1\nVDD,8'],
    ['tabs', '1\tOUT1\r\n8\tvdd\n\n'],
    ['arrows', 'OUT1 -> 1\nVDD -> 8'],
    ['signs', '1=OUT1\n8=VDD'],
  ])('by a list with %s', (_how, text) => expect(told(joinByList(both, 'b', text).joins)).toBe('OUT1=1 VDD=8'));
  it('by a list says each line that it could not take', () =>
    expect(joinByList(both, 'b', '1 OUT1\n99 VDD\n2 NOPE\nx y z\n7 8').left).toEqual([
      'Line 2, “99 VDD”: the land has no such pad.',
      'Line 3, “2 NOPE”: no pin has that name.',
      'Line 4, “x y z”: it has not two columns.',
      'Line 5, “7 8”: no pin has that name.',
    ]));
  it('by a list takes a name without its alternates', () => {
    const slashed: Part = { ...both, pins: both.pins.map((p) => (p.name === 'VDD' ? { ...p, name: 'VDD/AUX' } : p)) };
    expect(joinByList(slashed, 'b', '8 VDD').joins).toEqual([{ pin: pinNamed(part, 'VDD').id, pads: ['8'] }]);
  });
  it('several pads of one name go to its one pin', () => expect(told(joinByList(both, 'b', '4 VSS\n5 VSS').joins)).toBe('VSS=4+5'));
  it('compares the maps of two packages', () => {
    const set = (pads: string[]) => applyEdit(both, { kind: 'joinPads', package: 'b', joins: [{ pin: pinNamed(part, 'VSS').id, pads }] });
    const of = (p: Part) => compareMaps(p, part.packages[0]!.id, 'b').find((r) => r.pin.name === 'VSS')!.is;
    expect([of(both), of(set(['4'])), of(set(['5'])), of(set(['4', '5']))]).toEqual(['only-left', 'same', 'moved', 'count']);
  });
});

describe('what a land would change', () => {
  const part = provenPart();
  const pkg = part.packages[0]!;
  const with_ = (change: (pads: Pad[]) => Pad[]): Land => ({ ...pkg.land, pads: change(pkg.land.pads) });
  const first = (change: Partial<Pad>) => with_((pads) => pads.map((p, i) => (i === 0 ? { ...p, ...change } : p)));
  const last = pkg.land.pads.at(-1)!;
  it.each<[string, Land, Partial<LandChange>]>([
    ['the same', pkg.land, {}],
    ['a hair elsewhere, as rounding gives', first({ x: pkg.land.pads[0]!.x + 0.003 }), {}],
    ['elsewhere', first({ y: 9 }), { moved: ['1'] }],
    ['wider', first({ w: 9 }), { resized: ['1'] }],
    ['of another shape', first({ shape: 'circle' }), { resized: ['1'] }],
    ['moved and wider is moved', first({ y: 9, w: 9 }), { moved: ['1'] }],
    ['one more', with_((p) => [...p, { ...last, number: '99', x: 40 }]), { added: ['99'], padsWithoutPin: ['99'] }],
    ['one more that is mechanical', with_((p) => [...p, { ...last, number: 'M1', mechanical: true }]), { added: ['M1'] }],
    ['one less', with_((p) => p.slice(0, -1)), { removed: [last.number], numbersWithoutPad: [last.number] }],
    ['a second pad of a number', with_((p) => [...p, { ...last, x: 40 }]), { moved: [last.number] }],
  ])('%s', (_what, changed, expected) =>
    expect(landChange(part, pkg.id, changed)).toEqual({
      added: [],
      removed: [],
      moved: [],
      resized: [],
      padsWithoutPin: [],
      numbersWithoutPad: [],
      ...expected,
    }),
  );
  it('a package that the part does not have begins with none', () => {
    const { added, padsWithoutPin } = landChange(part, 'another', pkg.land);
    expect([added.length, padsWithoutPin.length]).toEqual([pkg.land.pads.length, pkg.land.pads.length]);
  });
});

describe('headings of pad lists', () => {
  it.each<[string, string, Partial<Pad>]>([
    ['a diameter', 'pad,x,y,diameter,drill\n1,0,2.54,1.6,0.9', { w: 1.6, h: 1.6, shape: 'circle', drill: 0.9 }],
    ['a diameter beside a shape', 'pad,x,y,dia,shape\n1,0,0,1.6,rect', { w: 1.6, shape: 'rect' }],
    ['a size', 'pad,x,y,size\n1,0,0,0.5', { w: 0.5, h: 0.5, shape: 'rect' }],
    ['words run together', 'PinNumber,LocationX,LocationY,PadX,PadY\n7,-1mm,2mm,0.6mm,1.1mm', { number: '7', x: -1, y: 2, w: 0.6, h: 1.1 }],
    ['places of pads', 'Number,Pad X,Pad Y,Width,Height\n1,-1,2,0.6,1.1', { x: -1, y: 2, w: 0.6, h: 1.1 }],
    ['micrometres', 'ball,x_um,y_um,dia_um\nA1,-1600,1600,300', { number: 'A1', x: -1.6, y: 1.6, w: 0.3, shape: 'circle' }],
    ['a hole without plating', 'pad,x,y,w,drill,plated\nMH1,0,0,3,3,No', { mechanical: true, drill: 3 }],
    ['a plated hole', 'pad,x,y,w,drill,plated\n1,0,0,1.6,0.9,Yes', { drill: 0.9 }],
  ])('%s', (_what, text, pad) => {
    const [found] = good(readPadsCsv(text));
    expect(found).toMatchObject(pad);
    expect(found!.mechanical).toBe(pad.mechanical);
  });
});

describe('one pad more', () => {
  const part = provenPart();
  const pkg = part.packages[0]!;
  const vdd = (pads: string[]) => ({ ...pinNamed(part, 'VDD'), pads: { [pkg.id]: pads } });
  it.each<[string, string[], string, string[]]>([
    ['to none', [], '8', ['8']],
    ['to those that it has', ['8', '5'], '4', ['8', '5', '4']],
    ['to one that the land has and one that it has not', ['8', 'EP'], '4', ['8', '4']],
    ['that it has already', ['8', '4'], '8', ['4', '8']],
  ])('%s', (_to, pads, pad, after) => expect(addPadEdit(vdd(pads), pkg, pad)).toMatchObject({ joins: [{ pads: after }] }));
});
