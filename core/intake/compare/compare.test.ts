import { applyEdit, emptyPart, sayProblem, type Part, type Pin } from '../../part';
import { pinNamed, read } from '../../test/samples';
import {
  compareWithSource,
  differenceOf,
  listedOf,
  listedOfPart,
  lostByTaking,
  packagesBeside,
  reviseEdit,
  revisionOf,
  takeProposal,
  type Listed,
  type Proposal,
} from '..';

const HEAD = 'Pin,Name,Type,Description,SO\n';
const of = (...rows: string[]): Proposal => read(`TF1 part, SO-4\nPin,Name,Type,Description\n${rows.join('\n')}\n`);
const OLD = of('1,VDD,P,Supply', '2,CLK,I,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground');
const partOf = (proposal: Proposal): Part => applyEdit(emptyPart('TF1'), takeProposal(emptyPart('TF1'), proposal));
const part = partOf(OLD);
const set = (p: Part, name: string, fields: Partial<Pin>): Part =>
  applyEdit(p, { kind: 'changePins', byHand: true, changes: [{ id: pinNamed(p, name).id, set: fields }] });
const changes = (p: Part, proposal: Proposal) => revisionOf(p, proposal).map((c) => `${c.kind} ${c.number} ${c.from}>${c.to}`);
const take = (p: Part, proposal: Proposal, ids?: string[]) =>
  applyEdit(
    p,
    reviseEdit(p, proposal, new Set(ids ?? revisionOf(p, proposal).map((c) => c.id)), { digest: 'new', name: 'b.pdf', kind: 'pdf' }),
  );

describe('the difference of two lists', () => {
  const t = (number: string, name: string, type: Listed['type'] = 'input', activeLow = false): Listed => ({
    number,
    name,
    type,
    activeLow,
  });
  it.each<[string, Listed[], Listed[], object]>([
    ['nothing', [t('1', 'A')], [t('1', 'A')], { added: [], removed: [], renamed: [], retyped: [], moved: [], levels: [] }],
    ['one more', [t('1', 'A')], [t('1', 'A'), t('2', 'B')], { added: ['2'], removed: [] }],
    ['one less', [t('1', 'A'), t('2', 'B')], [t('1', 'A')], { added: [], removed: ['2'] }],
    ['a name', [t('1', 'A')], [t('1', 'B')], { renamed: [{ number: '1', from: 'A', to: 'B' }], moved: [] }],
    ['a type', [t('1', 'A')], [t('1', 'A', 'output')], { retyped: [{ number: '1', from: 'input', to: 'output' }] }],
    ['a level', [t('1', 'A')], [t('1', 'A', 'input', true)], { levels: [{ number: '1', from: 'active high', to: 'active low' }] }],
    ['a place', [t('1', 'A')], [t('2', 'A')], { added: ['2'], removed: ['1'], moved: [{ name: 'A', from: '1', to: '2' }] }],
    ['places of a name that stands twice, which nobody can tell', [t('1', 'V'), t('2', 'V')], [t('3', 'V'), t('4', 'V')], { moved: [] }],
  ])('%s', (_what, old, fresh, found) => expect(differenceOf(old, fresh)).toMatchObject(found));
  it('lists proposals and parts alike', () => expect(listedOfPart(part)).toEqual(listedOf(OLD)));
});

describe('a new revision', () => {
  it.each<[string, Proposal, string[]]>([
    ['the same', OLD, []],
    ['renamed', of('1,VDD,P,Supply', '2,SCK,I,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground'), ['renamed 2 CLK>SCK']],
    [
      'retyped',
      of('1,VDD,P,Supply', '2,CLK,I/O,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground'),
      ['retyped 2 input>bidirectional'],
    ],
    ['moved', of('1,VDD,P,Supply', '3,CLK,I,Clock input', '2,OUT,O,Result output', '4,GND,G,Ground'), ['moved 3 2>3', 'moved 2 3>2']],
    ['added', of('1,VDD,P,Supply', '2,CLK,I,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground', '5,EN,I,Enable'), ['added 5 >EN']],
    ['removed', of('1,VDD,P,Supply', '2,CLK,I,Clock input', '4,GND,G,Ground'), ['removed 3 OUT>']],
    [
      'described',
      of('1,VDD,P,Supply 3 V', '2,CLK,I,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground'),
      ['described 1 Supply>Supply 3 V'],
    ],
    [
      'moved and renamed at once, known by what it does',
      of('1,VDD,P,Supply', '2,OUT,O,Result output', '3,SCK,I,Clock input', '4,GND,G,Ground'),
      ['moved 2 3>2', 'moved 3 2>3', 'renamed 3 CLK>SCK'],
    ],
  ])('%s', (_what, fresh, found) => expect(changes(part, fresh)).toEqual(found));

  const fresh = of('1,VDD,P,Supply', '2,SCK,I/O,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground', '5,EN,I,Enable');
  it('is taken as a whole: the part then says what the source says', () => {
    const taken = take(part, fresh);
    expect(listedOfPart(taken)).toEqual(listedOf(fresh));
    expect(revisionOf(taken, fresh)).toEqual([]);
    expect(taken.sources.map((s) => s.name)).toEqual(['b.pdf']);
  });
  it('is taken in parts: what is not chosen stays', () => {
    const id = pinNamed(part, 'CLK').id;
    const taken = take(part, fresh, [`renamed ${id}`]);
    expect(taken.pins.map((p) => `${p.name} ${p.type}`)).toEqual(['VDD supply-in', 'SCK input', 'OUT output', 'GND ground']);
    expect(pinNamed(taken, 'SCK').id).toBe(id);
  });
  it('keeps what a person set by hand, and says of each change whether it touches that', () => {
    const by = set(set(part, 'CLK', { type: 'passive' }), 'OUT', { group: 'Mine' });
    const found = revisionOf(by, fresh);
    expect(found.filter((c) => c.byHand).map((c) => c.kind)).toEqual(['retyped']);
    const taken = take(
      by,
      fresh,
      found.filter((c) => !c.byHand).map((c) => c.id),
    );
    expect(pinNamed(taken, 'SCK').type).toBe('passive');
    expect(pinNamed(taken, 'OUT').group).toBe('Mine');
  });
  it('points a changed pin to its place in the new source, and leaves others where they are', () => {
    const taken = take(part, fresh);
    expect([pinNamed(taken, 'SCK').origin!.source, pinNamed(taken, 'OUT').origin!.source]).toEqual(['new', undefined]);
  });
  it('removes a pin only when that is taken', () => {
    const less = of('1,VDD,P,Supply', '2,CLK,I,Clock input', '4,GND,G,Ground');
    expect(take(part, less, []).pins).toHaveLength(4);
    expect(take(part, less).pins.map((p) => p.name)).toEqual(['VDD', 'CLK', 'GND']);
  });
  it('takes a changed level with its doubt', () => {
    const low = of('1,VDD,P,Supply', '2,CLK,I,"Clock input, active low"', '3,OUT,O,Result output', '4,GND,G,Ground');
    expect(pinNamed(take(part, low), 'CLK').activeLow).toBe(true);
  });
});

/** A part in two packages, which have their terminals in other places; EP is only in the second. */
const PACKED = 'TF2 part\nSO-4,QFN-4,Name,Type,Description\n';
const PLACES = ['1,2,VDD,P,Supply', '2,1,CLK,I,Clock input', '3,4,OUT,O,Result output', '4,3,GND,G,Ground', '-,5,PAD,G,Exposed pad'];
const packed = (change: Record<number, string> = {}, ...more: string[]): Proposal =>
  read(`${PACKED}${PLACES.map((row, i) => change[i + 1] ?? row).concat(more).join('\n')}\n`); // prettier-ignore

describe('a new revision of a part in two packages', () => {
  const both = partOf(packed());
  it.each<[string, Proposal, string[]]>([
    ['the same', packed(), []],
    [
      'moved in the second package only',
      packed({ 2: '2,4,CLK,I,Clock input', 3: '3,1,OUT,O,Result output' }),
      ['moved 4 QFN-4 1>QFN-4 4', 'moved 1 QFN-4 4>QFN-4 1'],
    ],
    ['moved where only the second package has it', packed({ 5: '-,6,PAD,G,Exposed pad' }), ['moved 6 QFN-4 5>QFN-4 6']],
    ['bonded out in the first package too', packed({ 5: '5,5,PAD,G,Exposed pad' }), ['moved 5 >SO-4 5']],
    ['no longer bonded out in the first', packed({ 3: '-,4,OUT,O,Result output' }), ['moved 3 SO-4 3>']],
    ['gone from both', packed({ 3: '' }), ['removed 3 OUT>']],
    ['renamed', packed({ 2: '2,1,SCK,I,Clock input' }), ['renamed 2 CLK>SCK']],
    ['one more, in both', packed({}, '5,6,EN,I,Enable'), ['added 5 >EN']],
  ])('%s', (_what, fresh, found) => {
    expect(changes(both, fresh)).toEqual(found);
    const taken = take(both, fresh);
    expect(revisionOf(taken, fresh)).toEqual([]);
    for (const { name } of fresh.packages) {
      const said = fresh.terminals.flatMap((t) => (t.numbers[name] === undefined ? [] : [`${t.numbers[name]} ${t.name}`]));
      expect(listedOfPart(taken, name).map((t) => `${t.number} ${t.name}`).sort()).toEqual(said.sort()); // prettier-ignore
    }
  });
  it('says which packages only the revision has', () => {
    expect(packagesBeside(both, packed())).toEqual([]);
    expect(packagesBeside(part, packed())).toEqual(['QFN-4']);
  });
  it('and a second source is compared in both', () => {
    const other = compareWithSource(both, packed({ 2: '2,4,CLK,I,Clock input', 3: '3,1,OUT,O,Result output' }), 'x.csv');
    expect([other.agreed, other.disagreed]).toEqual([3, 2]);
    expect(pinNamed(applyEdit(both, other.edit!), 'CLK').doubts[0]!.reason).toBe('x.csv says “OUT” at QFN-4 1; the part says “CLK”.');
  });
});

const ROWS = ['1,VSS,G,Ground', '2,D1,I/O,Data bit 1', '3,D0,I/O,Data bit 0', '4,VSS,G,Ground', '5,VSS,G,Ground', '6,CLK,I,Clock input'];
const six = (change: Record<number, string> = {}): Proposal => of(...ROWS.map((row, i) => change[i + 1] ?? row));
/** VSS as one pin of three pads, and D1 and D0 as one bus. */
const bundled = (() => {
  const plain = partOf(six());
  const ids = (name: string) => plain.pins.filter((p) => p.name === name).map((p) => p.id);
  const one = applyEdit(plain, { kind: 'bundlePins', pins: ids('VSS') });
  return applyEdit(one, { kind: 'bundlePins', pins: [...ids('D1'), ...ids('D0')], bus: { name: 'D[1:0]' } });
})();

const byNumber = (list: Listed[]) => [...list].sort((a, b) => Number(a.number) - Number(b.number));

describe('a new revision of a part with bundles', () => {
  it.each<[string, Record<number, string>, string[]]>([
    ['the same', {}, []],
    ['a pad of the bundle goes elsewhere', { 5: '7,VSS,G,Ground' }, ['moved 1, 4, 7 1, 4, 5>1, 4, 7']],
    ['a pad of the bundle is another terminal', { 4: '4,EN,I,Enable' }, ['moved 1, 5 1, 4, 5>1, 5', 'added 4 >EN']],
    ['the whole bundle is renamed', { 1: '1,GND,G,Ground', 4: '4,GND,G,Ground', 5: '5,GND,G,Ground' }, ['renamed 1 VSS>GND']],
    ['a bit is renamed', { 3: '3,DX,I/O,Data bit 0' }, ['renamed 3 D0>DX']],
    ['both bits are retyped', { 2: '2,D1,O,Data bit 1', 3: '3,D0,O,Data bit 0' }, ['retyped 2 bidirectional>output']],
    ['bits change places', { 2: '2,D0,I/O,Data bit 0', 3: '3,D1,I/O,Data bit 1' }, ['moved 3, 2 2, 3>3, 2']],
    [
      'a bit is gone',
      { 3: '3,NC,NC,No connection' },
      ['renamed 3 D0>NC', 'retyped 3 bidirectional>no-connect', 'described 3 Data bit 0>No connection'],
    ],
    ['one pad is retyped', { 4: '4,VSS,I,Level strap' }, ['retyped 4 ground>input', 'described 4 Ground>Level strap']],
  ])('%s', (_what, change, found) => {
    const fresh = six(change);
    expect(changes(bundled, fresh)).toEqual(found);
    const taken = take(bundled, fresh);
    expect(byNumber(listedOfPart(taken))).toEqual(byNumber(listedOf(fresh)));
    expect(revisionOf(taken, fresh)).toEqual([]);
  });
  it('doubts the name of a bus whose bits are called otherwise', () =>
    expect(pinNamed(take(bundled, six({ 3: '3,DX,I/O,Data bit 0' })), 'D[1:0]')).toMatchObject({
      bits: ['D1', 'DX'],
      doubts: [{ field: 'name', reason: 'Its bits are called D1, DX now.' }],
    }));
  it('and a second source agrees with it terminal by terminal', () => {
    expect(compareWithSource(bundled, six(), 'x').disagreed).toBe(0);
    const other = compareWithSource(bundled, six({ 3: '3,DX,I/O,Data bit 0' }), 'other.csv');
    expect(pinNamed(applyEdit(bundled, other.edit!), 'D[1:0]').doubts).toEqual([
      { field: 'name', reason: 'other.csv says “DX” at 3; the part says “D0”. To take that, split D[1:0] first.' },
    ]);
  });
});

describe('a source that is taken as a whole', () => {
  const ids = (p: Part) => Object.fromEntries(p.pins.map((x) => [x.name, x.id]));
  const was = ids(part);
  it.each<[string, string[], Record<string, string | undefined>]>([
    ['that moved', ['1,VDD,P,Supply', '3,CLK,I,Clock input', '2,OUT,O,Result output', '4,GND,G,Ground'], was],
    [
      'that was renamed',
      ['1,VDD,P,Supply', '2,SCK,I,Clock input', '3,OUT,O,Result output', '4,GND,G,Ground'],
      { VDD: was['VDD'], SCK: was['CLK'], OUT: was['OUT'], GND: was['GND'] },
    ],
  ])('keeps a pin %s, with its place', (_how, lines, after) => {
    const fresh = of(...lines);
    expect(ids(applyEdit(part, takeProposal(part, fresh)))).toEqual(after);
  });
  const BUS: [string, string[]] = ['D[1:0]', ['2', '3']];
  it.each<[string, Record<number, string>, [string, string[]][]]>([
    ['that are the same', {}, [['VSS', ['1', '4', '5']], BUS]],
    ['of which a pad is elsewhere', { 5: '7,VSS,G,Ground' }, [['VSS', ['1', '4', '7']], BUS]],
    [
      'whose bits change places',
      { 2: '2,D0,I/O,Data bit 0', 3: '3,D1,I/O,Data bit 1' },
      [
        ['VSS', ['1', '4', '5']],
        ['D[1:0]', ['3', '2']],
      ],
    ],
    ['of another name', { 1: '1,GND,G,Ground', 4: '4,GND,G,Ground', 5: '5,GND,G,Ground' }, [['GND', ['1', '4', '5']], BUS]],
  ])('keeps bundles %s', (_how, change, found) => {
    const after = applyEdit(bundled, takeProposal(bundled, six(change)));
    expect(after.pins.filter((p) => p.members).map((p) => [p.name, Object.values(p.pads)[0]])).toEqual(found);
    expect(pinNamed(after, 'D[1:0]').bits).toEqual(['D1', 'D0']);
    expect(ids(after)).toEqual(found[0]![0] === 'VSS' ? ids(bundled) : { ...ids(bundled), VSS: undefined, GND: ids(bundled)['VSS'] });
    expect(revisionOf(after, six(change))).toEqual([]);
  });
});

describe('what taking a source as a whole would lose', () => {
  const names = (p: Part, proposal: Proposal) => lostByTaking(p, proposal).map((x) => x.name);
  it('is nothing where it says the same', () => expect(names(part, OLD)).toEqual([]));
  it('is pins that it has not', () => {
    expect(names(part, of('1,VDD,P,Supply', '2,CLK,I,Clock input', '3,OUT,O,Result output'))).toEqual(['GND']);
    expect(names(bundled, six({ 6: '' }))).toEqual(['CLK']);
  });
});

describe('a second source', () => {
  const other = of('1,VDD,P,Supply', '2,SCK,I,Clock input', '3,OUT,I/O,Result', '9,EXTRA,I,More');
  const found = compareWithSource(part, other, 'other.csv');
  const compared = applyEdit(part, found.edit!);
  it('agrees where it says the same, and raises a doubt that shows both where it does not', () => {
    expect([found.agreed, found.disagreed]).toEqual([1, 3]);
    expect(compared.pins.map((p) => p.doubts.map((d) => [d.field, d.candidates]))).toEqual([
      [],
      [['name', ['CLK', 'SCK']]],
      [['type', ['output', 'bidirectional']]],
      [['number', undefined]],
    ]);
    expect(pinNamed(compared, 'CLK').doubts[0]!.reason).toBe('other.csv says “SCK” at 2; the part says “CLK”.');
  });
  it('tells what only it has', () => expect(found.problems.map(sayProblem)).toEqual(['Only other.csv has terminal 9, EXTRA.']));
  it('raises each doubt once', () => expect(compareWithSource(compared, other, 'other.csv').edit).toBeUndefined());
  it.each<[string, string]>([
    ['D3', 'D[3]'],
    ['AIN1+', 'AIN1_P'],
    ['AIN1-', 'AIN1_N'],
    ['PA0/ADC0', 'PA0'],
    ['SPI_CLK', 'spi_clk'],
  ])('takes %s and %s for one name', (mine, theirs) => {
    const own = partOf(of(`1,${mine},I,Input`, '2,B,I,Input'));
    expect(compareWithSource(own, of(`1,${theirs},I,Input`, '2,B,I,Input'), 'x').disagreed).toBe(0);
  });
  it('takes what a source leaves unsaid for no disagreement', () => {
    const silent = read(`${HEAD.replace(',Type', '').replace(',SO', '')}1,VDD,Supply\n2,CLK,\n3,OUT,\n4,GND,Ground\n`);
    expect(compareWithSource(part, silent, 'x').disagreed).toBe(0);
  });
});
