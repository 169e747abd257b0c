import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parsePart, sayProblem } from '../part';
import { good, refused } from '../test/samples';
import { centred, readPads, writeIpc2581 } from '.';

const read = (text: string) => good(readPads(text, 'land', 'x.xml'));
const says = (text: string) => refused(readPads(text, 'land', 'x.xml'))[0];
const xml = (pins: string, units = 'MILLIMETER', more = '') => `<?xml version="1.0"?>
<IPC-2581 revision="B" xmlns="http://webstds.ipc.org/2581">
<Content><DictionaryStandard units="${units}"><EntryStandard id="R1"><RectCenter width="1.5" height="0.6"/></EntryStandard>
<EntryStandard id="C1"><Circle diameter="1.2"/></EntryStandard></DictionaryStandard></Content>
<Ecad><CadHeader units="${units}"/><CadData><Step name="s">${more}
<Package name="SO-8 &amp; more" height="1.75">${pins}</Package></Step></CadData></Ecad></IPC-2581>`;
const pin = (number: string, inner: string, attributes = '') => `<Pin number="${number}" type="SURFACE" ${attributes}>${inner}</Pin>`;
const AT = '<Location x="-2.7" y="1.905"/>';

describe('IPC-2581 packages', () => {
  it.each<[string, string, object]>([
    [
      'a dictionary shape',
      pin('1', `${AT}<StandardPrimitiveRef id="R1"/>`),
      { number: '1', x: -2.7, y: 1.905, w: 1.5, h: 0.6, shape: 'rect' },
    ],
    ['a shape of its own', pin('A1', `${AT}<Oval width="1" height="2"/>`), { number: 'A1', w: 1, h: 2, shape: 'oval' }],
    ['a quarter turn', pin('1', `<Xform rotation="90"/>${AT}<StandardPrimitiveRef id="R1"/>`), { w: 0.6, h: 1.5 }],
    ['three quarters', pin('1', `<Xform rotation="-90.0"/>${AT}<StandardPrimitiveRef id="R1"/>`), { w: 0.6, h: 1.5 }],
    ['half a turn', pin('1', `<Xform rotation="180"/>${AT}<StandardPrimitiveRef id="R1"/>`), { w: 1.5, h: 0.6 }],
    ['round corners', pin('1', `${AT}<RectRound width="1" height="2" radius="0.2"/>`), { shape: 'roundrect' }],
    ['a corner form', pin('1', `${AT}<RectCorner lowerLeftX="-1" lowerLeftY="-0.5" upperRightX="1" upperRightY="0.5"/>`), { w: 2, h: 1 }],
    [
      'a mechanical pin',
      pin('M1', `${AT}<StandardPrimitiveRef id="C1"/>`, 'electricalType="MECHANICAL"'),
      { mechanical: true, shape: 'circle', w: 1.2 },
    ],
    [
      'a land pattern, which counts before the pins',
      `${pin('1', `${AT}<StandardPrimitiveRef id="C1"/>`)}<LandPattern><Pad><Location x="1" y="2"/><StandardPrimitiveRef id="R1"/><PinRef pin="7"/></Pad></LandPattern>`,
      { number: '7', x: 1, y: 2, w: 1.5 },
    ],
  ])('read %s', (_what, pins, pad) => expect(read(xml(pins)).packages[0]!.land.pads[0]).toMatchObject(pad));
  it('have their name with entities resolved, their height and outline', () => {
    const outline = '<Outline><Polygon><PolyBegin x="-2" y="-2.5"/><PolyStepSegment x="2" y="2.5"/></Polygon></Outline>';
    const [found] = read(xml(`${outline}${pin('1', `${AT}<StandardPrimitiveRef id="R1"/>`)}`)).packages;
    expect([found!.name, found!.land.heightMm, found!.land.body]).toEqual(['SO-8 & more', 1.75, { w: 4, h: 5 }]);
  });
  it('read holes of pad stacks', () => {
    const stack =
      '<PadStackDef name="H"><PadstackHoleDef diameter="1.0"/><PadstackPadDef><StandardPrimitiveRef id="C1"/></PadstackPadDef></PadStackDef>';
    expect(read(xml(pin('1', AT, 'padstackDefRef="H"'), 'MILLIMETER', stack)).packages[0]!.land.pads[0]).toMatchObject({
      drill: 1,
      w: 1.2,
      shape: 'circle',
    });
  });
  it('take the copper of a pad stack, not its clearance or mask', () => {
    const pad = (use: string, layer: string, id: string) =>
      `<PadstackPadDef layerRef="${layer}" padUse="${use}"><StandardPrimitiveRef id="${id}"/></PadstackPadDef>`;
    const stack = (mask: string, copper: string) =>
      `<PadStackDef name="H"><PadstackHoleDef diameter="1.0" platingStatus="NONPLATED"/>${pad('ANTIPAD', copper, 'C1')}${pad('REGULAR', mask, 'C1')}${pad('REGULAR', copper, 'R1')}</PadStackDef>`;
    const layers = '<Layer name="L9" layerFunction="SOLDERMASK"/><Layer name="L1" layerFunction="CONDUCTOR"/>';
    for (const more of [stack('TOP_MASK', 'TOP'), layers + stack('L9', 'L1')])
      expect(read(xml(pin('1', AT, 'padstackDefRef="H"'), 'MILLIMETER', more)).packages[0]!.land.pads[0]).toMatchObject({
        w: 1.5,
        h: 0.6,
        drill: 1,
        mechanical: true,
      });
  });
  it('have the mechanical pins of a land pattern by their number', () => {
    const pattern = `<LandPattern><Pad>${AT}<StandardPrimitiveRef id="R1"/><PinRef pin="M1"/></Pad></LandPattern>`;
    const text = xml(pin('M1', `${AT}<StandardPrimitiveRef id="C1"/>`, 'electricalType="MECHANICAL"') + pattern);
    expect(read(text).packages[0]!.land.pads).toMatchObject([{ number: 'M1', w: 1.5, mechanical: true }]);
  });
  it.each([
    ['INCH', 25.4],
    ['MICRON', 0.001],
  ])('in %s', (units, mm) => {
    const pad = read(xml(pin('1', '<Location x="1" y="2"/><StandardPrimitiveRef id="R1"/>'), units)).packages[0]!.land.pads[0]!;
    expect([pad.x, pad.y, pad.w]).toEqual([mm, 2 * mm, Math.round(1.5 * mm * 1e5) / 1e5]);
  });
  it('say what they could only take nearly', () => {
    const free = '<Contour><Polygon><PolyBegin x="0" y="0"/><PolyStepSegment x="2" y="1"/></Polygon></Contour>';
    const { problems, packages } = read(
      xml(`${pin('1', `<Xform rotation="45"/>${AT}<StandardPrimitiveRef id="R1"/>`)}${pin('2', `${AT}${free}`)}`),
    );
    expect(problems.map(sayProblem)).toEqual([
      'x.xml, line 6: Pin 1 is turned by 45 degrees; it was taken at the nearest quarter turn.',
      'x.xml, line 6: A pad has a free outline (Contour); the box around it was taken.',
    ]);
    expect(packages[0]!.land.pads[1]).toMatchObject({ w: 2, h: 1, shape: 'rect' });
  });
  it.each<[string, string, string]>([
    [
      'no units',
      xml(pin('1', AT), 'PARSEC'),
      'x.xml, line 5: It does not say what its lengths are in (PARSEC). Give millimetres, microns or inches.',
    ],
    [
      'a place that is none',
      xml(pin('1', '<Location x="NaN" y="0"/><StandardPrimitiveRef id="R1"/>')),
      'x.xml, line 6: The x of pin 1, "NaN", is not a length.',
    ],
    ['no place', xml(pin('1', '<StandardPrimitiveRef id="R1"/>')), 'x.xml, line 6: The x of pin 1, "", is not a length.'],
    ['no shape', xml(pin('1', AT)), 'x.xml, line 6: Pin 1 has no shape that could be read.'],
    ['an unknown shape', xml(pin('1', `${AT}<StandardPrimitiveRef id="X"/>`)), 'x.xml, line 6: Pin 1 has no shape that could be read.'],
    ['no pins', xml(''), 'x.xml, line 6: Package "SO-8 & more" has no pins.'],
    ['no package', '<IPC-2581/>', 'x.xml: No package with pins was found in it.'],
    [
      'an entity',
      '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>',
      'x.xml, line 1: It declares entities of its own, which are never resolved. Save it without a document type.',
    ],
    [
      'an outer entity',
      '<!DOCTYPE a SYSTEM "file:///etc/passwd"><a/>',
      'x.xml, line 1: It declares entities of its own, which are never resolved. Save it without a document type.',
    ],
    ['an open element', '<IPC-2581>\n<Package>', 'x.xml, line 2: It is damaged: <Package> is not closed.'],
    ['crossed elements', '<a>\n<b></a></b>', 'x.xml, line 2: It is damaged: <b> is not closed.'],
  ])('with %s are refused', (_what, text, sentence) => expect(says(text)).toBe(sentence));
});

describe('what is written as IPC-2581', () => {
  const folder = resolve(__dirname, '../../demo/library');
  const parts = readdirSync(folder)
    .filter((f) => f.endsWith('.json'))
    .map((f) => parsePart(readFileSync(resolve(folder, f), 'utf8')));
  it.each(parts.map((p) => [p.name, p] as const))('of %s comes back', (_name, part) => {
    const lands = part.packages.filter((p) => p.land.pads.length > 0);
    if (lands.length === 0) return expect(says(writeIpc2581(part.name, part.packages))).toMatch(/No package/);
    const back = read(writeIpc2581(part.name, part.packages)).packages;
    expect(back.map((p) => p.name)).toEqual(lands.map((p) => p.name));
    expect(back.map((p) => p.land.pads)).toEqual(
      lands.map((p) => p.land.pads.map((pad) => (pad.shape === 'circle' ? { ...pad, h: pad.w } : pad))),
    );
    expect(back.map((p) => p.land.body)).toEqual(lands.map((p) => p.land.body));
  });
  it('never lets a name become markup', () => expect(writeIpc2581('<a>&"', [])).not.toMatch(/<a>|&"/));
  it('property: damaged documents are read or refused', () => {
    const text = writeIpc2581('X', parts[0]!.packages);
    fc.assert(
      fc.property(fc.nat(text.length), fc.nat(60), fc.constantFrom('', '<', '>', '"', '&x;', '</Pin>'), (at, length, put) => {
        const result = readPads(text.slice(0, at) + put + text.slice(at + length), 'x');
        expect(result.ok ? result.value.packages.length : result.problems.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('IPC-D-356A netlists', () => {
  const record = (ref: string, pinNumber: string, rest: string, code = '327') =>
    `${code}${'NET1'.padEnd(17)}${ref.padEnd(6)}-${pinNumber.padEnd(4)}${rest}`;
  const list = (...records: string[]) => ['C  a netlist', 'P  UNITS CUST 1', ...records, '999'].join('\n');
  it('give a land for each reference, in mm', () => {
    const text = list(
      record('U1', '1', '      PA01X-002700Y+001905X1500Y0600R000 S0'),
      record('U1', '2', '      PA01X-002700Y+000635X1500Y0600R090 S0'),
      record('J1', 'A1', ' D1000PA00X+010000Y-005000X1700Y0000R000 S0', '317'),
      record('VIA', '', '  D0300PA00X+000000Y+000000X0600Y0000R000 S0', '317'),
    );
    expect(read(text).packages).toEqual([
      {
        name: 'U1',
        land: {
          pads: [
            { number: '1', x: -2.7, y: 1.905, w: 1.5, h: 0.6, shape: 'rect' },
            { number: '2', x: -2.7, y: 0.635, w: 0.6, h: 1.5, shape: 'rect' },
          ],
        },
      },
      { name: 'J1', land: { pads: [{ number: 'A1', x: 10, y: -5, w: 1.7, h: 1.7, shape: 'circle', drill: 1 }] } },
    ]);
  });
  it('count tenths of a thousandth of an inch', () => {
    const text = list(record('U1', '1', '      PA01X+010000Y+000000X0500Y0250R000 S0')).replace('CUST 1', 'CUST 0');
    expect(read(text).packages[0]!.land.pads[0]).toMatchObject({ x: 25.4, w: 1.27, h: 0.635 });
  });
  it('count so where only CUST is said', () => {
    const text = list(record('U1', '1', '      PA01X+010000Y+000000X0500Y0250R000 S0')).replace('CUST 1', 'CUST');
    expect(read(text).packages[0]!.land.pads[0]).toMatchObject({ x: 25.4, w: 1.27 });
  });
  it('say a turn between the quarters, and know a hole without plating', () => {
    const { packages, problems } = read(
      list(
        record('U1', '1', '      PA01X+000000Y+000000X0500Y0250R045 S0'),
        record('U1', 'M', ' D1000UA00X+000000Y+000000X1000Y0000R000 S0', '317'),
      ),
    );
    expect(problems.map(sayProblem)).toEqual(['x.xml, line 3: Pin 1 is turned by 45 degrees; it was taken at the nearest quarter turn.']);
    expect(packages[0]!.land.pads.map((p) => p.mechanical)).toEqual([undefined, true]);
  });
  it.each<[string, string, RegExp]>([
    ['no units', list(record('U1', '1', '      PA01X+000000Y+000000X1500Y0600')).replace(/P  UNITS.*\n/, ''), /line 2: It does not say/],
    ['no place', list(record('U1', '1', '      PA01')), /line 3: The record .* has no pin number or no place/],
    ['no size', list(record('U1', '1', '      PA01X+000000Y+000000')), /line 3: Pin 1 has no shape/],
  ])('with %s are refused', (_what, text, sentence) => expect(says(text)).toMatch(sentence));
  it('property: any records are read or refused', () =>
    fc.assert(fc.property(fc.array(fc.string(), { maxLength: 8 }), (lines) => void readPads(list(...lines.map((l) => `327${l}`)), 'x'))));
  it('are centred for a land of its own', () =>
    expect(
      centred([
        { number: '1', x: 100, y: 50, w: 1, h: 1, shape: 'rect' },
        { number: '2', x: 104, y: 50, w: 1, h: 1, shape: 'rect' },
      ]).map((p) => p.x),
    ).toEqual([-2, 2]));
});
