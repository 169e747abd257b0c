import { ELECTRICAL_TYPES, padNumbers, padsIn, plural, type Edit, type ElectricalType, type Pin } from '../../core/part';

export type ColumnId = 'number' | 'name' | 'type' | 'description' | 'origin' | 'unit' | 'side' | 'pads' | 'node' | 'findings' | 'group';

export interface LedgerColumn {
  id: ColumnId;
  title: string;
  /** Width as a share of the ledger's. */
  grow: number;
  editable: boolean;
}

/** A column as wide as it is shown. */
export interface ShownColumn extends LedgerColumn {
  /** Room for the text of a cell, in pixels. */
  room: number;
}

const column = (id: ColumnId, title: string, grow: number, editable = false): LedgerColumn => ({
  id,
  title,
  grow,
  editable,
});
const NUMBER = column('number', 'No.', 10, true);
const NAME = column('name', 'Name', 30, true);
const TYPE = column('type', 'Type', 32, true);

/** The columns that suit each station. */
export const COLUMNS: Record<string, LedgerColumn[]> = {
  read: [NUMBER, NAME, TYPE, column('description', 'Description', 28, true)],
  arrange: [NUMBER, NAME, TYPE, column('unit', 'Drawn', 18)],
  join: [NUMBER, NAME, column('pads', 'Pads', 20, true), column('node', 'Node', 28)],
  prove: [NUMBER, NAME, TYPE, column('findings', 'Findings', 16)],
  release: [NUMBER, NAME, TYPE, column('group', 'Group', 22, true)],
};

/** The ledger's width at first, in pixels, of which the name column shows so many characters; the advance of one. */
const [WIDTH, SHOWN, ADVANCE] = [368, 11, 8];
/** How much wider the ledger becomes for long names at most, in pixels, and what share of the window it takes at most. */
const [MOST_WIDER, SHARE] = [92, 0.36];

/**
 * The columns with room for names of so many characters, and the ledger's width with them, in pixels: two names that differ
 * at their ends are to be told apart. `room` is the window's width.
 */
export function fitted(columns: readonly LedgerColumn[], longest: number, room: number): { columns: LedgerColumn[]; width: number } {
  const wider = Math.max(0, Math.min(MOST_WIDER, (longest - SHOWN) * ADVANCE, Math.floor(room * SHARE) - WIDTH));
  const share = (wider * 100) / WIDTH;
  return { columns: columns.map((c) => (c.id === 'name' ? { ...c, grow: c.grow + share } : c)), width: WIDTH + wider };
}

/** The padding of a cell at both its ends and what a scroll bar may take of the ledger, in pixels. */
const [PADDING, SCROLL_BAR] = [16, 16];

/** The columns with the room that each has in a ledger of a width in pixels. */
export function shownIn(columns: readonly LedgerColumn[], width: number): ShownColumn[] {
  const all = columns.reduce((sum, c) => sum + c.grow, 0);
  const share = Math.max(0, width - SCROLL_BAR - PADDING * columns.length) / all;
  return columns.map((c) => ({ ...c, room: Math.floor(c.grow * share) }));
}

/** What a character takes, in pixels: of the ledger's even face, of a word in small letters, and of any other text at most. */
const ADVANCES = { even: ADVANCE, word: 6.3, any: 9.5 };

/**
 * Whether a text may be too long for its room in pixels, and is cut off there. Only then has it a clip of its own: some hundreds
 * of them in view cost every frame of the stage beside them.
 */
export const mayOverflow = (text: string, room: number, face: keyof typeof ADVANCES): boolean => text.length * ADVANCES[face] > room;

/** The types that a typed text can mean: the word itself, its start, or a usual code. */
export function typeFromText(text: string): ElectricalType | undefined {
  const plain = text.trim().toLowerCase();
  const codes: Record<string, ElectricalType> = {
    i: 'input',
    o: 'output',
    io: 'bidirectional',
    'i/o': 'bidirectional',
    b: 'bidirectional',
    p: 'supply-in',
    g: 'ground',
    nc: 'no-connect',
    od: 'open-drain',
    z: 'three-state',
    a: 'passive',
    po: 'supply-out',
  };
  if (plain === '') return 'unspecified';
  return ELECTRICAL_TYPES.find((t) => t === plain) ?? codes[plain] ?? ELECTRICAL_TYPES.find((t) => t.startsWith(plain));
}

/** Says of a text that it is no type, and what is. */
export const noType = (text: string): string => `“${text}” is no electrical type. ${ELECTRICAL_TYPES.join(', ')} are known.`;

/** The edits that put texts into a column of pins; texts that the column cannot take are given back. */
export function cellEdits(
  column: ColumnId,
  cells: { pin: Pin; text: string }[],
  packageId: string | undefined,
): { edits: Edit[]; refused: string[] } {
  const refused: string[] = [];
  if (column === 'number' || column === 'pads') {
    if (packageId === undefined) return { edits: [], refused: ['There is no package yet. Add one in Join.'] };
    const joins = cells.map(({ pin, text }) => ({ pin: pin.id, pads: padNumbers(text) }));
    return { edits: [{ kind: 'joinPads', package: packageId, joins, byHand: true }], refused };
  }
  const changes = cells.flatMap(({ pin, text }): Extract<Edit, { kind: 'changePins' }>['changes'] => {
    const value = text.trim();
    if (column === 'type') {
      const type = typeFromText(value);
      if (!type) refused.push(noType(value));
      return type ? [{ id: pin.id, set: { type } }] : [];
    }
    if (column === 'name') return [{ id: pin.id, set: { name: value } }];
    if (column === 'description') return [{ id: pin.id, set: { description: value } }];
    if (column === 'group') return [{ id: pin.id, set: { group: value } }];
    return [];
  });
  return { edits: changes.length > 0 ? [{ kind: 'changePins', changes, byHand: true }] : [], refused };
}

/**
 * What puts a block of copied cells into pins from a column on, as one step of undo. A row without a cell leaves that one as
 * it is; so do columns that cannot be written.
 */
export function pasteEdit(
  columns: readonly LedgerColumn[],
  pins: readonly Pin[],
  block: readonly string[][],
  packageId: string | undefined,
): { edit?: Edit; refused: string[] } {
  const outcomes = columns.map(({ id, editable }, c) => {
    const cells = pins.flatMap((pin, i) => (block[i]?.[c] === undefined ? [] : [{ pin, text: block[i][c] }]));
    return editable && cells.length > 0 ? cellEdits(id, cells, packageId) : { edits: [], refused: [] };
  });
  const edits = outcomes.flatMap((o) => o.edits);
  const refused = outcomes.flatMap((o) => o.refused);
  if (edits.length < 2) return { ...(edits[0] ? { edit: edits[0] } : {}), refused };
  return { edit: { kind: 'batch', title: `paste into ${plural(pins.length, 'pin')}`, edits }, refused };
}

/** What a cell shows as text, for editing, copying and sorting. */
export function cellText(column: ColumnId, pin: Pin, packageId: string | undefined): string {
  switch (column) {
    case 'number':
    case 'pads':
      return padsIn(pin, packageId).join(', ');
    case 'name':
      return pin.name;
    case 'type':
      return pin.type;
    case 'description':
      return pin.description ?? '';
    case 'group':
      return pin.group ?? '';
    default:
      return '';
  }
}
