import { arrangePart } from '../arrange';
import { readText, takeProposal, terminalsIn, type Proposal, type Terminal, type ReadOptions } from '../intake';
import { familyFromName, generateLand } from '../lands';
import { joinedUnits, recordEdit } from '../spice';
import { applyEdit, DEFAULT_RULES, emptyPart, sayProblem, type Part, type Result } from '../part';

/** The value of a result that must be good; says the problems where it is not. */
export function good<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problems.map(sayProblem).join(' '));
  return result.value;
}

/** The sentences of a result that must be refused. */
export function refused(result: Result<unknown>): string[] {
  if (result.ok) throw new Error('it was taken');
  return result.problems.map(sayProblem);
}

export const read = (text: string, options?: ReadOptions): Proposal => good(readText(text, options));

/** Terminals in the package in view, by number. */
export function byNumber(proposal: Proposal): Record<string, Terminal> {
  return Object.fromEntries(terminalsIn(proposal).map((t) => [t.numbers[proposal.package]!, t]));
}

export const AMP_TABLE = `Pin,Name,Type,Description
1,OUT1,O,Output of amplifier 1
2,IN1-,I,Inverting input of amplifier 1
3,IN1+,I,Non-inverting input of amplifier 1
4,VSS,G,Ground
5,IN2+,I,Non-inverting input of amplifier 2
6,IN2-,I,Inverting input of amplifier 2
7,OUT2,O,Output of amplifier 2
8,VDD,P,Supply voltage
`;

export const AMP_MODEL = `* connections: non-inverting input
*              |  inverting input
*              |  |  positive supply
*              |  |  |  negative supply
*              |  |  |  |  output
*              |  |  |  |  |
.subckt AMP1   1  2  3  4  5
E1 5 4 1 2 1e5
R1 1 2 1meg
R3 3 4 10k
.ends AMP1
`;

/** The usual rules, with a block for every unit: its names and title stand in it. */
export const BLOCKS = { ...DEFAULT_RULES, bodies: 'blocks' } as const;

/** A part read, arranged in blocks, with a land and all required fields: nothing is open in it. */
export function provenPart(table = AMP_TABLE, packageName = 'SO-8'): Part {
  const named: Part = {
    ...emptyPart('TF0002'),
    description: 'Dual amplifier',
    maker: 'Tarnfield Devices',
    reference: 'U',
    category: 'integrated circuit',
    datasheet: { title: 'TF0002 datasheet' },
  };
  const taken = applyEdit(named, takeProposal(named, read(table)));
  const arranged = applyEdit(taken, arrangePart(taken, BLOCKS));
  const land = good(generateLand(good(familyFromName(packageName)).family));
  return applyEdit(arranged, { kind: 'setPackage', package: { ...arranged.packages[0]!, name: packageName, land } });
}

export const pinNamed = (part: Part, name: string) => part.pins.find((p) => p.name === name)!;

/** The part as if each of its joined units had passed its trial. */
export const tried = (part: Part, verdict: 'pass' | 'fail' | 'inconclusive' = 'pass'): Part =>
  part.models.reduce((p, model) => {
    const trials = joinedUnits(p, model).map((u) => ({ name: 'bench', unit: u.label || null, verdict, reason: 'As told.', measured: {} }));
    return applyEdit(p, recordEdit(p, model, trials));
  }, part);
