import type { ReadOptions } from '../../core/intake';
import { problem, type Problem } from '../../core/part';
import { db } from './db';
import type { SourceFile } from './library';

interface Brought {
  file: SourceFile;
  options: ReadOptions;
}

/** Sources that were brought in and not yet taken, by part: they stay while the person looks at other stations. */
const brought = new Map<string, Brought>();

/** Brings a source for a part, or changes what is to be taken of it. It stays until it is put away, over a reload as well. */
export function bringSource(part: string, file: SourceFile, options: ReadOptions = {}): void {
  const isSame = brought.get(part)?.file === file;
  brought.set(part, { file, options });
  // Where the browser has no room for it, it stays as long as the page does.
  if (isSame) void db.waiting.update(part, { options }).catch(() => undefined);
  else void db.waiting.put({ part, ...file, options }).catch(() => undefined);
}

/** Puts away the source that a part was waiting for: it is taken, or not wanted. */
export function putSourceAway(part: string): void {
  brought.delete(part);
  void db.waiting.delete(part).catch(() => undefined);
}

export const sourceFor = (part: string): Brought | undefined => brought.get(part);

/** The source that waited for a part when the page was left; undefined where there is none, or a newer one has come. */
export async function sourceFromBefore(part: string): Promise<Brought | undefined> {
  const row = brought.has(part) ? undefined : await db.waiting.get(part).catch(() => undefined);
  if (!row || brought.has(part)) return undefined;
  const before = { file: { name: row.name, bytes: row.bytes }, options: row.options };
  brought.set(part, before);
  return before;
}

/** The names of the files that wait, by part. */
export async function namesWaiting(): Promise<Map<string, string>> {
  const keys = await db.waiting.orderBy('[part+name]').keys();
  return new Map(keys as unknown as [string, string][]);
}

/** A model file or a file of pads that waits for Join to open it, by part. */
export const broughtToJoin = new Map<string, { kind: 'model' | 'pads'; file: File }>();

const CAME = 'kite:brought';

/** Tells the station in view that something was brought for it. */
export const tellBrought = (): void => void window.dispatchEvent(new Event(CAME));

/** Calls back whenever something was brought; gives what ends that. */
export function onBrought(come: () => void): () => void {
  window.addEventListener(CAME, come);
  return () => window.removeEventListener(CAME, come);
}

/** The files that pins are read from, as a file chooser wants them. */
export const SOURCE_FILES = '.pdf,.xlsx,.xls,.ods,.csv,.tsv,.txt,.md,.html,.htm,.bsd,.bsdl,.bsm,.ibs,.ibis,text/*,application/pdf';
/** The same for models and for pads. */
export const MODEL_FILES = '.lib,.cir,.mod,.sub,.txt,.spi,.sp,.ckt';
export const PAD_FILES = '.csv,.txt,.tsv,.xml,.cvg,.ipc,.356';
/** The largest file that is opened, in MB. */
const MOST_MB = 200;

/** What stands against opening a file of this size; undefined where nothing does. */
export const tooLarge = ({ name, size }: File): Problem | undefined =>
  size > MOST_MB * 1e6 ? problem('input-large', { size: Math.round(size / 1e6), limit: MOST_MB }, { file: name }) : undefined;

const isOf = (files: string, name: string): boolean =>
  files.split(',').some((end) => end.startsWith('.') && name.toLowerCase().endsWith(end));

/** True where pins may be read from a file of this name. */
export const isSourceFile = (name: string): boolean => isOf(SOURCE_FILES, name);

/** What a file of this name is for; texts and tables are models and pads at Join, and sources elsewhere. */
export function purposeOf(name: string, isAtJoin: boolean): 'source' | 'model' | 'pads' | undefined {
  const isText = isSourceFile(name);
  if (isOf(MODEL_FILES, name) && (isAtJoin || !isText)) return 'model';
  if (isOf(PAD_FILES, name) && (isAtJoin || !isText)) return 'pads';
  return isText ? 'source' : undefined;
}

export interface Sorted {
  source?: File;
  toJoin?: { kind: 'model' | 'pads'; file: File };
  /** What is not taken, since one of its kind is, or since it is of none. */
  left: File[];
}

/** What each of several files that come together is for: one source, and one model or list of pads. */
export function sorted(files: readonly File[], isAtJoin: boolean): Sorted {
  const out: Sorted = { left: [] };
  for (const file of files) {
    const purpose = purposeOf(file.name, isAtJoin);
    if (purpose === 'source' && !out.source) out.source = file;
    else if (purpose !== undefined && purpose !== 'source' && !out.toJoin) out.toJoin = { kind: purpose, file };
    else out.left.push(file);
  }
  return out;
}

/** What stands against opening one of them; undefined where nothing does. */
export const largeIn = ({ source, toJoin }: Sorted): Problem | undefined =>
  (source && tooLarge(source)) ?? (toJoin && tooLarge(toJoin.file));

/** What is said of files that came with the one that is opened; undefined where it came alone. */
export function sayOthers({ toJoin, left }: Sorted, isAtJoin: boolean): string | undefined {
  const waits = toJoin && !isAtJoin ? `${toJoin.file.name} waits at Join.` : '';
  const names = left.map((f) => f.name).join(', ');
  const rest = left.length === 0 ? '' : `Not taken: ${names}. Drop ${left.length > 1 ? 'them one by one' : 'it by itself'}.`;
  return `${waits} ${rest}`.trim() || undefined;
}
