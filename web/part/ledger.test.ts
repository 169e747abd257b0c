import { applyEdit, type Pin } from '../../core/part';
import { pinNamed, provenPart } from '../../core/test/samples';
import { cellEdits, cellText, COLUMNS, fitted, mayOverflow, pasteEdit, shownIn, typeFromText, type ColumnId } from './ledger-columns';
import { ledgerRows } from './ledger-rows';
import { fillSlots, type Slots } from './row-slots';

const proven = provenPart();
const part = { ...proven, pins: proven.pins.map(({ group: _group, because: _because, ...pin }) => pin) };
const packageId = part.packages[0]!.id;
const grouped: Pin[] = part.pins.map((p, i) => ({ ...p, group: i < 4 ? 'One' : 'Two' }));
const shown = (rows: ReturnType<typeof ledgerRows>) => rows.map((r) => (r.kind === 'pin' ? r.pin.name : `[${r.title} ${r.count}]`));

describe('rows', () => {
  it('stand in one list where there are no groups', () => expect(ledgerRows(part.pins, packageId, '', [], null)).toHaveLength(8));
  it('stand under their groups', () =>
    expect(shown(ledgerRows(grouped, packageId, '', [], null))).toEqual([
      '[One 4]',
      'OUT1',
      'IN1-',
      'IN1+',
      'VSS',
      '[Two 4]',
      'IN2+',
      'IN2-',
      'OUT2',
      'VDD',
    ]));
  it('fold', () =>
    expect(shown(ledgerRows(grouped, packageId, '', ['One'], null))).toEqual(['[One 4]', '[Two 4]', 'IN2+', 'IN2-', 'OUT2', 'VDD']));
  it.each<[string, string[]]>([
    ['out', ['OUT1', 'OUT2', 'IN1-', 'IN1+', 'IN2+', 'IN2-'].sort()],
    ['supply', ['VDD']],
    ['ground', ['VSS']],
    ['in1 inverting', ['IN1+', 'IN1-']],
    ['doubt', []],
    ['nothing', []],
  ])('are filtered by “%s” over all that a pin says', (filter, names) => {
    const found = shown(ledgerRows(part.pins, packageId, filter, [], null)).sort();
    if (filter === 'out') expect(found).toEqual(expect.arrayContaining(['OUT1', 'OUT2']));
    else expect(found).toEqual([...names].sort());
  });
  it.each<[ColumnId, boolean, string]>([
    ['number', true, 'VDD'],
    ['name', false, 'IN1+'],
    ['type', false, 'VSS'],
  ])('are sorted by %s, down: %s', (column, down, first) =>
    expect(shown(ledgerRows(grouped, packageId, '', [], { column, down }))[0]).toBe(first),
  );
});

describe('typing a type', () => {
  it.each([
    ['input', 'input'],
    ['I', 'input'],
    ['o', 'output'],
    ['i/o', 'bidirectional'],
    ['NC', 'no-connect'],
    ['supply', 'supply-in'],
    ['gr', 'ground'],
    ['', 'unspecified'],
  ])('“%s” is %s', (text, type) => expect(typeFromText(text)).toBe(type));
  it('what is none is none', () => expect(typeFromText('magic')).toBeUndefined());
});

describe('editing cells', () => {
  const edit = (column: ColumnId, name: string, text: string) => cellEdits(column, [{ pin: pinNamed(part, name), text }], packageId);
  it.each<[ColumnId, string, Partial<Pin>]>([
    ['name', ' VCC ', { name: 'VCC', byHand: ['name'] }],
    ['type', 'p', { type: 'supply-in', byHand: ['type'] }],
    ['description', 'Supply', { description: 'Supply' }],
    ['group', 'Power', { group: 'Power' }],
    ['number', '8, 9', { pads: { [packageId]: ['8', '9'] } }],
    ['pads', '7;8', { pads: { [packageId]: ['7', '8'] } }],
  ])('puts “%s” and says who did it', (column, text, expected) => {
    const { edits } = edit(column, 'VDD', text);
    expect(pinNamed(edits.reduce(applyEdit, part), column === 'name' ? 'VCC' : 'VDD')).toMatchObject(expected);
  });
  it('refuses what is no type, and keeps the others', () => {
    const { edits, refused } = cellEdits(
      'type',
      [
        { pin: pinNamed(part, 'VDD'), text: 'magic' },
        { pin: pinNamed(part, 'VSS'), text: 'g' },
      ],
      packageId,
    );
    expect([edits.length, refused.length, refused[0]]).toEqual([1, 1, expect.stringMatching(/“magic” is no electrical type/)]);
  });
  it('needs a package for a number', () =>
    expect(cellEdits('number', [{ pin: part.pins[0]!, text: '1' }], undefined)).toEqual({
      edits: [],
      refused: [expect.stringMatching(/no package yet/)],
    }));
  it('leaves columns alone that are not edited', () => expect(edit('findings', 'VDD', '5').edits).toEqual([]));
});

describe('columns', () => {
  it.each(Object.keys(COLUMNS))('suit the station %s, number and name first', (station) =>
    expect(COLUMNS[station]!.slice(0, 2).map((c) => c.id)).toEqual(['number', 'name']),
  );
  it.each<[ColumnId, string]>([
    ['number', '8'],
    ['name', 'VDD'],
    ['type', 'supply-in'],
    ['description', 'Supply voltage'],
    ['group', ''],
    ['findings', ''],
  ])('%s of a pin is “%s”', (column, text) => expect(cellText(column, pinNamed(part, 'VDD'), packageId)).toBe(text));
});

describe('slots of rows', () => {
  const from = (row: number, n: number) => Array.from({ length: n }, (_, i) => row + i);
  const rowsIn = (slots: Slots) => [...slots.values()].sort((a, b) => a - b);
  const first = fillSlots(new Map(), from(0, 8), 8, 0);

  it('are all filled at once to begin with', () => expect([rowsIn(first.slots), first.done]).toEqual([from(0, 8), true]));
  it('stay as they are where nothing else is wanted', () => expect(fillSlots(first.slots, from(0, 8), 8, 3).slots).toBe(first.slots));
  it('are rewritten some at a time after a leap, nearest to the row in focus first', () => {
    const leap = fillSlots(first.slots, from(40, 8), 8, 47);
    expect([rowsIn(leap.slots), leap.done]).toEqual([[0, 1, 2, 3, 44, 45, 46, 47], false]);
    const then = fillSlots(leap.slots, from(40, 8), 8, 47);
    expect([rowsIn(then.slots), then.done]).toEqual([from(40, 8), true]);
  });
  it('are more at a time, from the middle of the view on, where a hand scrolls away from the row in focus', () => {
    const wide = fillSlots(new Map(), from(0, 40), 40, 0);
    const scrolled = fillSlots(wide.slots, from(100, 40), 40, 0);
    expect([rowsIn(scrolled.slots).filter((r) => r >= 100), scrolled.done]).toEqual([from(114, 12), false]);
  });
  it('take up a scroll that goes on meanwhile, and hold no row twice', () => {
    let slots = first.slots;
    for (let row = 1; row < 200; row += 3) slots = fillSlots(slots, from(row, 8), 8, row).slots;
    expect(new Set(slots.values()).size).toBe(slots.size);
    for (let i = 0; i < 2; i++) slots = fillSlots(slots, from(199, 8), 8, 199).slots;
    expect(rowsIn(slots)).toEqual(from(199, 8));
  });
});

describe('pasting a block', () => {
  const [a, b] = part.pins.slice(0, 2) as [Pin, Pin];
  const pasted = (...block: string[][]) => {
    const { edit, refused } = pasteEdit(COLUMNS['read']!.slice(1), [a, b], block, packageId);
    const after = edit ? applyEdit(part, edit) : part;
    return { edit, refused, cells: after.pins.slice(0, 2).map((p) => [p.name, p.type]) };
  };
  it('is one step of undo, whatever number of columns it fills', () => {
    const { edit, refused, cells } = pasted(['X', 'input'], ['Y', 'output']);
    expect([edit?.kind, refused, cells]).toEqual(['batch', [], [['X', 'input'], ['Y', 'output']]]); // prettier-ignore
  });
  it('leaves a cell as it is where the block has none', () =>
    expect(pasted(['X'], ['Y', 'output']).cells).toEqual([['X', a.type], ['Y', 'output']])); // prettier-ignore
  it('takes what can be taken and says the rest', () => {
    const { refused, cells } = pasted(['X', 'sideways'], ['Y', 'output']);
    expect(cells).toEqual([['X', a.type], ['Y', 'output']]); // prettier-ignore
    expect(refused).toEqual([expect.stringContaining('“sideways” is no electrical type')]);
  });
  it('changes nothing where nothing can be written', () => expect(pasted().edit).toBeUndefined());
});

it('a number that is typed ends its doubt and is marked by hand', () => {
  const doubted = { ...part.pins[0]!, doubts: [{ field: 'number' as const, reason: 'It stands twice.' }] };
  const { edits } = cellEdits('number', [{ pin: doubted, text: '9, 10' }], packageId);
  const after = applyEdit({ ...part, pins: [doubted, ...part.pins.slice(1)] }, edits[0]!).pins[0]!;
  expect([after.pads[packageId], after.byHand, after.doubts]).toEqual([['9', '10'], ['number'], []]);
});

it.each<[number, number, number]>([
  [4, 1280, 368],
  [11, 1280, 368],
  [14, 1280, 392],
  [40, 1280, 460],
  [40, 1024, 368],
  [40, 1920, 460],
])('with names of %i characters in a window of %i pixels the ledger is %i wide at first', (longest, room, width) => {
  const { columns, width: found } = fitted(COLUMNS['read']!, longest, room);
  expect(found).toBe(width);
  const total = columns.reduce((sum, c) => sum + c.grow, 0);
  const pixels = columns.map((c) => Math.round((c.grow / total) * found));
  // Only the names have more room.
  expect(pixels).toEqual([37, 110 + width - 368, 118, 103]);
});

describe('texts of cells', () => {
  const room = (width: number) => Object.fromEntries(shownIn(COLUMNS['arrange']!, width).map((c) => [c.id, c.room]));
  it('have the room that the shares of the columns leave', () => expect(room(368)).toEqual({ number: 32, name: 96, type: 102, unit: 57 }));
  it('have none in a ledger that is too narrow', () => expect(room(60)).toEqual({ number: 0, name: 0, type: 0, unit: 0 }));
  it.each<[string, number, Parameters<typeof mayOverflow>[2], boolean]>([
    ['AB12', 32, 'even', false],
    ['AB123', 32, 'even', true],
    ['bidirectional', 84, 'word', false],
    ['bidirectional', 80, 'word', true],
    ['A left', 57, 'any', false],
    ['A left, B left', 57, 'any', true],
  ])('%s in %s pixels, %s: cut off is %s', (text, pixels, face, cut) => expect(mayOverflow(text, pixels, face)).toBe(cut));
});
