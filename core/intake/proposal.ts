import type { Doubt, ElectricalType, Origin, Problem } from '../part';

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
  origin?: Origin;
  because: Record<string, string>;
  doubts: Doubt[];
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
}

export type ColumnRole = 'number' | 'name' | 'type' | 'description' | 'group' | 'alternates' | 'rail' | 'activeLow' | 'ignore';

export interface Column {
  role: ColumnRole;
  /** The heading as printed. */
  heading: string;
  /** For number columns: the package they count in; empty where the source does not say. */
  packageName: string;
}

export interface TableView {
  columns: Column[];
  /** Rows with the source's line; `taken` is false for headings and rows that were left out. */
  rows: { line: number; cells: string[]; taken: boolean }[];
}

/** The terminals that a package has, in the source's order. */
export const terminalsIn = (proposal: Proposal, packageName = proposal.package): Terminal[] =>
  proposal.terminals.filter((t) => t.numbers[packageName] !== undefined);

export interface TextOptions {
  /** The package to take as the one in view. */
  package?: string;
  /** Column roles set by a person; they replace what was understood. */
  roles?: ColumnRole[];
  file?: string;
}
