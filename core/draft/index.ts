import { arrangePart } from '../arrange';
import { readSourceText, takeProposal, textKind, type Proposal, type ReadOptions } from '../intake';
import { applyEdit, DEFAULT_RULES, emptyPart, ok, type HouseRules, type Part, type Result, type Source } from '../part';
import { sha256 } from '../release';

export interface Draft {
  part: Part;
  proposal: Proposal;
}

/** A part from a text in one go: read, taken, arranged. */
export function draftPart(
  text: string,
  name: string,
  fileName: string,
  options: ReadOptions = {},
  rules: HouseRules = DEFAULT_RULES,
): Result<Draft> {
  const read = readSourceText(text, { ...options, file: options.file ?? fileName });
  if (!read.ok) return read;
  const source = { digest: sha256(text), name: fileName, kind: textKind(text) };
  return ok({ part: draftFrom(read.value, name, source, rules), proposal: read.value });
}

/**
 * A part from what was read: taken and arranged. `name` is the part's name unless the source's title starts with it in
 * another case; a description that follows it there is taken too.
 */
export function draftFrom(proposal: Proposal, name: string, source: Source, rules: HouseRules = DEFAULT_RULES): Part {
  const titled = withDatasheet(fromTitle(emptyPart(name), proposal.title ?? ''), source);
  const taken = applyEdit(titled, takeProposal(titled, proposal, source));
  return applyEdit(taken, arrangePart(taken, rules));
}

/** A document that pins are read from is the part's datasheet until a person names another; a list or a model file is none. */
export const withDatasheet = (part: Part, source: Source): Part =>
  part.datasheet?.title || source.kind !== 'pdf'
    ? part
    : { ...part, datasheet: { ...part.datasheet, title: source.name, source: source.digest } };

/** A name that nobody chose: the source may give the part its own. */
const PLACEHOLDER = /^NEW-\d+$/;

/** The part's number that a title's first line begins with, as printed, and what follows it; undefined where none does. */
function numberIn(title: string): { number: string; rest: string } | undefined {
  const first =
    title
      .replace(/^\uFEFF/, '')
      .split(/\r?\n/)
      .find((l) => l.trim() !== '')
      ?.replace(/^[#*\s"]+|["\s,;]+$/g, '') ?? '';
  const match = /^([A-Z]{2,}[A-Z0-9-]*\d[A-Z0-9-]*)\b[\s:,–-]*(.*)$/i.exec(first);
  return match ? { number: match[1]!, rest: match[2]! } : undefined;
}

/** The name of a part read from a file: the file's own without its ending, in capitals, unless it has no figure and the title begins with a part's number. */
export const nameOfFile = (stem: string, title: string): string =>
  (/\d/.test(stem) ? undefined : numberIn(title)?.number) ?? stem.toUpperCase();

/**
 * A part with the name and the description that a source's title gives it; where nobody named the part and no title does,
 * with the name of its file, if that has a figure: `datasheet.pdf` and `pasted text` name nothing.
 */
export function named(part: Part, file: string, title: string): Part {
  const titled = fromTitle(part, title);
  if (!PLACEHOLDER.test(titled.name)) return titled;
  const stem = file.replace(/\.[^.]*$/, '').trim();
  const name = numberIn(stem)?.number ?? (/\d/.test(stem) && !/\s/.test(stem) ? stem : titled.name);
  return { ...titled, name: name.toUpperCase() };
}

/** "TF2204 quad Schmitt line receiver, SO-14" as a first line gives the name as printed and the description. */
export function fromTitle(part: Part, text: string): Part {
  const titled = numberIn(text);
  if (!titled || (titled.number.toLowerCase() !== part.name.toLowerCase() && !PLACEHOLDER.test(part.name))) return part;
  const description = titled.rest.split(/[,;.]/)[0]!.trim();
  return {
    ...part,
    name: titled.number,
    ...(description && part.description === '' ? { description: description[0]!.toUpperCase() + description.slice(1) } : {}),
  };
}
