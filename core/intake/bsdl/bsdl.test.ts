import fc from 'fast-check';
import { sayProblem, type ElectricalType } from '../../part';
import { good, refused } from '../../test/samples';
import { terminalsIn, type Proposal, type ReadOptions } from '..';
import { readBsdl } from '.';

/** An entity with the given ports, pin map and attributes; its ports begin on line 3. */
const entity = (ports: string[], map: string[], attributes: string[] = []): string =>
  `entity PART is
  port (
    ${ports.join(';\n    ')}
  );
  constant PKG : PIN_MAP_STRING :=
    "${map.join(',\" &\n    \"')}";
  ${attributes.map((a) => `attribute ${a};`).join('\n  ')}
end PART;
`;
const read = (text: string, options: ReadOptions = {}): Proposal => good(readBsdl(text, options));
const single = (port: string, attributes: string[] = []) => read(entity([port], [`${port.split(' ')[0]} : A1`], attributes)).terminals[0]!;
const register = (cell: string) => [`BOUNDARY_REGISTER of PART : entity is "0 (BC_1, ${cell})"`];

describe('types', () => {
  it.each<[string, string[], ElectricalType]>([
    ['CLK : in bit', [], 'input'],
    ['Q : out bit', [], 'output'],
    ['Q : buffer bit', [], 'output'],
    ['D : inout bit', [], 'bidirectional'],
    ['Q : out bit', register('Q, output3, X, 1, 1, Z'), 'three-state'],
    ['Q : out bit', register('Q, output2, X'), 'output'],
    ['Q : out bit', register('Q, output2, 1, 0, 1, WEAK1'), 'open-drain'],
    ['Q : out bit', register('Q, output2, 1, 0, 1, Pull1'), 'open-drain'],
    ['Q : out bit', register('Q, output2, 0, 0, 0, WEAK0'), 'open-source'],
    ['D : inout bit', register('D, output3, X, 1, 1, Z'), 'bidirectional'],
    ['VSS : linkage bit', [], 'ground'],
    ['VCCINT : linkage bit', [], 'supply-in'],
    ['NC_1 : linkage bit', [], 'no-connect'],
    ['RSVD : linkage bit', [], 'reserved'],
    ['XTAL : linkage bit', [], 'passive'],
    ['VREF_OUT : linkage bit', [], 'supply-out'],
    ['G : power_0 bit', [], 'ground'],
    ['P : power_pos bit', [], 'supply-in'],
    ['R : vref_out bit', [], 'supply-out'],
    ['A : linkage_in bit', [], 'input'],
  ])('%s %j is %s, without a doubt', (port, attributes, type) => {
    const t = single(port, attributes);
    expect([t.type, t.doubts]).toEqual([type, []]);
  });
  it('asks about a linkage port whose name does not tell', () => {
    const t = single('FOO : linkage bit');
    expect([t.type, t.doubts.map((d) => d.field)]).toEqual(['unspecified', ['type']]);
    expect(t.doubts[0]!.reason).toMatch(/linkage port/);
  });
  it.each<[string, boolean]>([
    ['RESET_N : in bit', true],
    ['CLK : in bit', false],
  ])('%s: active low %s', (port, low) => expect(single(port).activeLow ?? false).toBe(low));
  it('asks about the test reset, which the standard has low-active and the file does not say', () => {
    const t = single('TRST : in bit', ['TAP_SCAN_RESET of TRST : signal is true']);
    expect([t.activeLow, t.doubts.map((d) => d.field)]).toEqual([true, ['activeLow']]);
  });
});

describe('vectors', () => {
  it.each<[string, string[]]>([
    ['0 to 2', ['D[0]=A1', 'D[1]=A2', 'D[2]=A3']],
    ['2 downto 0', ['D[2]=A1', 'D[1]=A2', 'D[0]=A3']],
    ['5 to 7', ['D[5]=A1', 'D[6]=A2', 'D[7]=A3']],
  ])('bit_vector(%s) names its pins in its own direction', (range, pins) => {
    const { terminals } = read(entity([`D : inout bit_vector(${range})`], ['D : (A1, A2, A3)']));
    expect(terminals.map((t) => `${t.name}=${t.numbers['PKG']}`)).toEqual(pins);
  });
  it('shows a supply’s stem on drawings', () => {
    const { terminals } = read(entity(['VSS : linkage bit_vector(1 to 2)'], ['VSS : (A1, A2)']));
    expect(terminals.map((t) => [t.name, t.drawnName, t.rail])).toEqual([
      ['VSS[1]', 'VSS', undefined],
      ['VSS[2]', 'VSS', undefined],
    ]);
  });
  it('puts a doubt on pins that do not fit the bits', () => {
    const p = read(entity(['D : in bit_vector(0 to 1)'], ['D : (A1, A2, A3)']));
    expect(p.problems.map(sayProblem)).toEqual(['line 6: "D" has 2 names and 3 numbers.']);
    expect(p.terminals.every((t) => t.doubts.length > 0)).toBe(true);
  });
  it('takes several ports of one declaration', () =>
    expect(read(entity(['A, B : in bit'], ['A : 1', 'B : 2'])).terminals.map((t) => t.name)).toEqual(['A', 'B']));
});

describe('packages and pairs', () => {
  const text = `entity P is
  generic (PHYSICAL_PIN_MAP : string := "BIG");
  port (A : in bit; B : in bit; TX : out bit_vector(0 to 1); RX : out bit_vector(0 to 1));
  constant SMALL : PIN_MAP_STRING := "A : 1, TX : (2, 3), RX : (4, 5)";
  constant BIG : PIN_MAP_STRING := "A : A1, B : B1, " & -- more
    "TX : (C1, C2), RX : (D1, D2)";
  attribute PORT_GROUPING of P : entity is "Differential_Voltage ((TX, RX))";
end P;`;
  it('has every map as a package, the first in view', () => {
    const p = read(text);
    expect([p.package, p.packages]).toEqual([
      'SMALL',
      [
        { name: 'SMALL', pinCount: 5 },
        { name: 'BIG', pinCount: 6 },
      ],
    ]);
    expect(terminalsIn(p).map((t) => t.name)).not.toContain('B');
    expect(p.terminals[0]!.numbers).toEqual({ SMALL: '1', BIG: 'A1' });
  });
  it('gives pairs in the numbers of the chosen package, vectors bit by bit', () => {
    expect(read(text).pairs).toEqual([
      ['2', '4'],
      ['3', '5'],
    ]);
    expect(read(text, { package: 'big' }).pairs).toEqual([
      ['C1', 'D1'],
      ['C2', 'D2'],
    ]);
  });
  it('gives each terminal the line of its pin', () =>
    expect(terminalsIn(read(text, { package: 'BIG' })).find((t) => t.name === 'TX[0]')!.origin).toEqual({ line: 4 }));
  it('says what is not declared or not mapped', () => {
    const p = read(entity(['A : in bit', 'B : in bit'], ['A : 1', 'C : 2']));
    expect(p.problems.map(sayProblem)).toEqual([
      'line 8: Pin map PKG names port "C", which is not declared.',
      'line 4: Port B has no pin in pin map PKG.',
    ]);
  });
  it('refuses a package that is not there', () =>
    expect(refused(readBsdl(text, { package: 'X', file: 'p.bsd' }))[0]).toMatch(/no package "X" in it. It has SMALL, BIG/));
});

describe('what cannot be read says its line', () => {
  it.each<[string, string, RegExp]>([
    ['a direction nobody knows', entity(['A : sideways bit'], ['A : 1']), /line 3: Expected a direction .* found “sideways”/],
    ['a missing colon', entity(['A in bit'], ['A : 1']), /line 3: Expected “:” after the port’s name, found “in”/],
    ['a type nobody knows', entity(['A : in std_logic'], ['A : 1']), /line 3: Expected bit or bit_vector/],
    ['a range the wrong way', entity(['A : in bit_vector(3 to 0)'], ['A : 1']), /line 3: Expected a range in its direction/],
    ['a range of millions', entity(['A : in bit_vector(0 to 99999999)'], ['A : 1']), /line 3: Expected a range/],
    ['a string that is not closed', 'entity P is\n  constant X : PIN_MAP_STRING := "A : 1;\nend P;', /line 2: A string is not closed/],
    ['a map without a colon', entity(['A : in bit'], ['A 1']), /line 6: Expected “:” after A in the pin map, found “1”/],
    [
      'a list that is not closed',
      entity(['A : in bit_vector(0 to 1)'], ['A : (1, 2']),
      /line 6: Expected “,” or “\)” between pins, found the end/,
    ],
    ['a file that is cut', 'entity P is\n  port (\n    A : in bit;\n', /line 4: Expected a port’s name, found the end/],
    ['no end', 'entity P is\n', /line 2: Expected “end P;”, found the end/],
    ['no map', 'entity P is\n port (A : in bit);\nend P;', /Entity P has no PIN_MAP_STRING/],
  ])('%s', (_what, text, says) => {
    const said = refused(readBsdl(text, { file: 'p.bsd' }));
    expect(said).toHaveLength(1);
    expect(said[0]).toMatch(/^p\.bsd/);
    expect(said[0]).toMatch(says);
  });
  it('property: a cut or garbled file is read or refused, and nothing is thrown', () => {
    const whole = entity(['A : in bit', 'D : inout bit_vector(0 to 3)'], ['A : 1', 'D : (2, 3, 4, 5)'], register('A, input, X'));
    fc.assert(
      fc.property(fc.nat(whole.length), fc.nat(whole.length), fc.string(), (from, to, junk) => {
        const text = whole.slice(0, from) + junk + whole.slice(to);
        const result = readBsdl(text);
        expect(result.ok ? result.value.terminals.length > 0 : result.problems.length > 0).toBe(true);
      }),
    );
  });
});
