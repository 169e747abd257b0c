import type { ReadOptions } from '../../core/intake';
import type { SourceFile } from './library';

/** What was brought in and not yet taken, by part: it stays while the person looks at other stations. */
export const brought = new Map<string, { file: SourceFile; options: ReadOptions }>();

/** The files that pins are read from, as a file chooser wants them. */
export const SOURCE_FILES = '.pdf,.xlsx,.xls,.ods,.csv,.tsv,.txt,.md,.html,.htm,.bsd,.bsdl,.bsm,.ibs,.ibis,text/*,application/pdf';
/** The largest file that is opened, in MB. */
export const MOST_MB = 200;

/** True where pins may be read from a file of this name. */
export const isSourceFile = (name: string): boolean =>
  SOURCE_FILES.split(',').some((end) => end.startsWith('.') && name.toLowerCase().endsWith(end));
