import { tidied } from '../intake';

/** A name that nobody chose: the source may give the part its own. */
export const isPlaceholder = (name: string): boolean => /^NEW-\d+$/.test(name);

/**
 * The part's number that a title's first line begins with, as printed, and what it says of the part: `TF2204 quad Schmitt
 * line receiver, SO-14` gives the number and “Quad Schmitt line receiver”. Undefined where none does.
 */
export function numberIn(title: string): { number: string; rest: string } | undefined {
  const first =
    title
      .replace(/^\uFEFF/, '')
      .split(/\r?\n/)
      .find((l) => l.trim() !== '')
      ?.replace(/^[#*\s"]+|["\s,;]+$/g, '') ?? '';
  const match = /^([A-Z]{2,}[A-Z0-9-]*\d[A-Z0-9-]*)\b[\s:,–-]*(.*)$/i.exec(first);
  return match ? { number: match[1]!, rest: tidied(match[2]!) } : undefined;
}

/** The name of a part read from a file: the file's own without its ending, in capitals, unless it has no figure and the title begins with a part's number. */
export const nameOfFile = (stem: string, title: string): string =>
  (/\d/.test(stem) ? undefined : numberIn(title)?.number) ?? stem.toUpperCase();
