import type { ElectricalType } from '../../part';
import type { Terminal } from '../proposal';
import { doubtFloating, doubtPlainOutputs } from './output-enable';
import { doubtUnlikeSiblings } from './siblings';

const terminal = (name: string, type: ElectricalType, because = '“words”', description?: string): Terminal => ({
  numbers: { '': name },
  name,
  type,
  because: { type: because },
  doubts: [],
  confidence: 1,
  row: 1,
  ...(description ? { description } : {}),
});
const asked = (terminals: readonly Terminal[]) => terminals.filter((t) => t.doubts.length > 0).map((t) => t.name);

describe('siblings', () => {
  it.each<[string, [string, ElectricalType, string?][], string[]]>([
    [
      'a channel that differs',
      [
        ['AISEN', 'passive'],
        ['BISEN', 'output'],
      ],
      ['AISEN', 'BISEN'],
    ],
    [
      'the odd one of three',
      [
        ['IN1', 'input'],
        ['IN2', 'input'],
        ['IN3', 'passive'],
      ],
      ['IN3'],
    ],
    [
      'equal ones',
      [
        ['IN1', 'input'],
        ['IN2', 'input'],
      ],
      [],
    ],
    [
      'what the column tells apart',
      [
        ['P1', 'input', 'type column “I”'],
        ['P2', 'output', 'type column “O”'],
      ],
      [],
    ],
    [
      'one cell, two types',
      [
        ['SNS1', 'output', 'type column “O”'],
        ['SNS2', 'passive', 'type column “O”, “resistor”'],
      ],
      ['SNS1', 'SNS2'],
    ],
    [
      'rails by their last letter',
      [
        ['VDDA', 'supply-in'],
        ['VDDD', 'supply-out'],
      ],
      [],
    ],
    [
      'rails by their figure',
      [
        ['VDD1', 'supply-in'],
        ['VDD2', 'supply-out'],
      ],
      ['VDD1', 'VDD2'],
    ],
    [
      'free balls among ports',
      [
        ['IO1', 'bidirectional'],
        ['IO2', 'no-connect'],
      ],
      [],
    ],
    [
      'short names',
      [
        ['A', 'input'],
        ['B', 'output'],
      ],
      [],
    ],
  ])('%s', (_, rows, names) => {
    const terminals = rows.map(([name, type, because]) => terminal(name, type, because));
    doubtUnlikeSiblings(terminals);
    expect(asked(terminals)).toEqual(names);
  });
  it('asks an output with its like that may be an open drain', () => {
    const drain = { field: 'type', reason: 'needs a pull-up', candidates: ['output', 'open-drain'] } as const;
    const terminals = [
      { ...terminal('OUTA', 'output'), doubts: [{ ...drain, candidates: [...drain.candidates] }] },
      terminal('OUTB', 'output'),
      terminal('VOUT', 'output'),
    ];
    doubtUnlikeSiblings(terminals);
    expect(asked(terminals)).toEqual(['OUTA', 'OUTB']);
    expect(terminals[1]!.doubts[0]!.reason).toBe('Taken for output, but its like OUTA may be an open drain.');
  });

  it('says which terminal is unlike it', () => {
    const terminals = [terminal('OUTA', 'output'), terminal('OUTB', 'open-drain')];
    doubtUnlikeSiblings(terminals);
    expect(terminals[1]!.doubts[0]).toEqual({
      field: 'type',
      reason: 'Taken for open-drain, but its like OUTA is output.',
      candidates: ['open-drain', 'output', 'passive'],
    });
  });
});

describe('three-state outputs that only a title tells', () => {
  const rows = () => [terminal('1OE', 'input'), terminal('1Y', 'output'), terminal('GND', 'ground')];
  it.each([
    ['Quad buffer with 3-state outputs', ['1Y']],
    ['Octal latch, tri-state', ['1Y']],
    ['Quad buffer', []],
  ])('%s', (title, names) => {
    const terminals = rows();
    doubtPlainOutputs(terminals, [title]);
    expect(asked(terminals)).toEqual(names);
  });
  it('are no matter where nothing enables outputs', () => {
    const terminals = rows().slice(1);
    doubtPlainOutputs(terminals, ['3-state']);
    expect(asked(terminals)).toEqual([]);
  });
  it('are known by the words of an enable too', () => {
    const terminals = [terminal('G', 'input', 'x', 'Output enable'), terminal('Q', 'output')];
    doubtPlainOutputs(terminals, ['three-state latch']);
    expect(asked(terminals)).toEqual(['Q']);
  });
});

describe('an output that floats, told at another terminal', () => {
  it.each<[string, string[]]>([
    ['Chip select; high makes SDO high impedance', ['SDO']],
    ['Receiver enable. SDO is in the high-impedance state when it is high', ['SDO']],
    ['Chip select; SDO is valid while it is low', []],
    ['SDO floats while it is high', ['SDO']],
    ['Q1 to Q3 float while high', ['Q2']],
    ['Q3 to Q7 float while high', []],
    ['Q0 to R3 float while high', []],
    ['High puts CLK into three-state', []],
  ])('%s', (words, names) => {
    const terminals = [terminal('CS', 'input', 'x', words), terminal('SDO', 'output'), terminal('CLK', 'input'), terminal('Q2', 'output')];
    doubtFloating(terminals);
    expect(asked(terminals)).toEqual(names);
  });
});
