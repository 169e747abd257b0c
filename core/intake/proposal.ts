import type { Cover } from './cover/cover';
import type { Doubt, ElectricalType, Origin, Problem } from '../part';

/** x, y, width, height in points. */
type Box = NonNullable<Origin['box']>;

/**
 * A terminal that a source names, before it becomes a pin of a part. `numbers` gives its number by package name;
 * a package where it is not bonded out is not in it. `because` gives the words a conclusion came from, by field.
 */
export interface Terminal {
  numbers: Record<string, string>;
  name: string;
  activeLow?: boolean;
  type: ElectricalType;
  description?: string;
  group?: string;
  alternates?: string[];
  rail?: string;
  /** The name that a drawing shows, where it is shorter: VSS for the element VSS[7] of a supply. */
  drawnName?: string;
  origin?: Origin;
  /** The row of the table that it was read from, by its line. */
  row?: number;
  because: Record<string, string>;
  doubts: Doubt[];
  /** How sure the type is, 0 to 1. */
  confidence?: number;
}

/** What a reader concluded from a source: the same shape from every format. */
export interface Proposal {
  packages: { name: string; pinCount: number }[];
  /** The package in view; the document's first unless another was asked for. */
  package: string;
  terminals: Terminal[];
  pairs: [string, string][];
  problems: Problem[];
  /** The table as it was understood, for a person to correct. */
  table?: TableView;
  /** The source's first words, which often name the part: `TF2204 quad line receiver`. */
  title?: string;
  /** The particulars of the part that the source prints. */
  cover?: Cover;
  /** All tables that look like a pinout, where the source has several. */
  tables?: TableChoice[];
}

export type ColumnRole = 'number' | 'name' | 'type' | 'description' | 'group' | 'alternates' | 'rail' | 'activeLow' | 'ignore';

export interface Column {
  role: ColumnRole;
  /** The heading as printed. */
  heading: string;
  /** For number columns: the package they count in; empty where the source does not say. */
  packageName: string;
  /** A column that only another table of the pinout has; its role is chosen at that table. */
  elsewhere?: true;
}

export interface TableView {
  columns: Column[];
  /** A ball map: its cells are names, its columns have no role to choose, and its headings are the labels over them. */
  isMap?: true;
  /**
   * Rows with the source's line; `taken` is false for rows that were left out, for headings of groups, and for what goes on
   * with the row above.
   */
  rows: { line: number; cells: string[]; taken: boolean; heading?: boolean; goesOn?: boolean; place?: RowPlace }[];
}

/** Where a row's cells stand: boxes on a page in points, or addresses on a sheet; one for each cell. */
export interface RowPlace {
  page?: number;
  sheet?: string;
  boxes?: (Origin['box'] | undefined)[];
  refs?: (string | undefined)[];
}

/** A table that was found, for a person to choose. */
export interface TableChoice {
  /** Its caption, or its headings. */
  title: string;
  page?: number;
  sheet?: string;
  rows: number;
  taken: boolean;
  /** What its columns are, with the roles that a person set. */
  columns?: Column[];
  /** On pages: where it stands on each page that it is on, with a box for each column, in points. */
  areas?: { page: number; box: Box; columns: Box[] }[];
}

/** True where a terminal's type has a doubt. */
export const isTypeAsked = (t: Terminal): boolean => t.doubts.some((d) => d.field === 'type');

/** True where a type column or a model told a terminal's type: that says more than what such terminals have in common. */
export const isTypeTold = (t: Terminal): boolean => /\btype column\b|\bcode \S+ = |^model /.test(t.because['type'] ?? '');

/** Gives a terminal a type, with what it comes from; asked with a reason and the type it had, or sure without one. */
export function giveType(
  t: Terminal,
  type: ElectricalType,
  because: string,
  reason?: string,
  others: readonly ElectricalType[] = [],
): void {
  const candidates = [...new Set([type, t.type, ...others])].filter((c) => c !== 'unspecified');
  const asked: Doubt[] = reason === undefined ? [] : [{ field: 'type', reason, candidates }];
  t.doubts = [...t.doubts.filter((d) => d.field !== 'type'), ...asked];
  t.because['type'] = because;
  t.type = type;
}

/** The terminals that a package has, in the source's order. */
export const terminalsIn = (proposal: Proposal, packageName = proposal.package): Terminal[] =>
  proposal.terminals.filter((t) => t.numbers[packageName] !== undefined);

export interface ReadOptions {
  file?: string;
  /** The package to take as the one in view. */
  package?: string;
  /** Column roles set by a person; they replace what was understood in the first table and in those with the same columns. */
  roles?: ColumnRole[];
  /** Column roles set for one of the tables that were found, by its place among them. */
  tableRoles?: Record<number, ColumnRole[]>;
  /** Which of the tables that were found to read; without it the best one. */
  tables?: number[];
  /** Rows, by line, that a person leaves out, or takes although they were left out. */
  without?: number[];
  including?: number[];
  /** The sheet or page to look at alone. */
  sheet?: string;
  page?: number;
  /** A region that a person drew around a table, in points. */
  region?: { page: number; box: Box };
}
