import Dexie, { type EntityTable } from 'dexie';
import type { ReadOptions } from '../../core/intake';
import type { PartRecord, Summary } from './records';

interface Setting {
  key: string;
  value: unknown;
}

/** A source's bytes by their digest. Sources kept by earlier versions have their text instead. */
interface KeptSource {
  digest: string;
  name: string;
  bytes?: Uint8Array;
  text?: string;
}

/** A source that was brought for a part and not yet taken, with what is to be taken of it. */
export interface WaitingSource {
  part: string;
  name: string;
  bytes: Uint8Array;
  options: ReadOptions;
}

/** The browser's own store: parts, what the Shelf shows of them, the sources they were read from or wait for, and settings. */
class Store extends Dexie {
  parts!: EntityTable<PartRecord, 'id'>;
  summaries!: EntityTable<Summary, 'id'>;
  sources!: EntityTable<KeptSource, 'digest'>;
  settings!: EntityTable<Setting, 'key'>;
  waiting!: EntityTable<WaitingSource, 'part'>;

  constructor() {
    super('green-kite');
    this.version(1).stores({ parts: 'id', summaries: 'id, name', sources: 'digest', settings: 'key' });
    // The names are an index, so that the Shelf need not load the files to show them.
    this.version(2).stores({ waiting: 'part, [part+name]' });
  }
}

export const db = new Store();

/** A storage failure in words that say what to do. */
export function sayStorageError(error: unknown): string {
  const name = (error as { name?: string; inner?: { name?: string } }).inner?.name ?? (error as { name?: string }).name ?? '';
  if (/quota/i.test(name)) return 'The browser has no room left to save. Download the part now, then free space.';
  if (/security|notallowed|invalidstate|missingapi|opentfailed|openfailed/i.test(name))
    return 'This browser does not let the page save. Download the part to keep it.';
  if (/versionerror/i.test(name)) return 'A newer Green Kite has used this store. Reload the page.';
  return 'Saving failed. Download the part to keep it, then reload the page.';
}
