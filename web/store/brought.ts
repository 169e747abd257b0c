import type { ReadOptions } from '../../core/intake';
import { problem, type Problem } from '../../core/part';
import type { SourceFile } from './library';

/** Sources that were brought in and not yet taken, by part: they stay while the person looks at other stations. */
export const brought = new Map<string, { file: SourceFile; options: ReadOptions }>();

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
