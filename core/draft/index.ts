import { arrangePart } from '../arrange';
import { readSourceText, takeProposal, textKind, type Proposal, type ReadOptions } from '../intake';
import { applyEdit, DEFAULT_RULES, emptyPart, ok, type HouseRules, type Part, type Result, type Source } from '../part';
import { sha256 } from '../release';
import { particularsOf, withParticulars } from './particulars';
import { nameOfFile } from './title';

export { ofAnother, particularsOf, titleOfDocument, type Particular } from './particulars';

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

/** A part from what was read: named by its source's particulars, taken and arranged. `name` is what it is called without them. */
export function draftFrom(proposal: Proposal, name: string, source: Source, rules: HouseRules = DEFAULT_RULES): Part {
  const empty = emptyPart(name);
  const titled = withParticulars(empty, particularsOf(empty, proposal, source));
  const taken = applyEdit(titled, takeProposal(titled, proposal, source));
  return applyEdit(taken, arrangePart(taken, rules));
}

/** The name of a part that a file starts: the file's, in capitals, unless it has no figure and the document says its part's. */
export const nameOfSource = (stem: string, { cover, title }: Proposal): string =>
  /\d/.test(stem) || !cover?.number ? nameOfFile(stem, title ?? '') : cover.number.value;
