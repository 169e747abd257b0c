import { readCover } from '../cover/read-cover';
import type { Cover, CoverText } from '../cover/cover';
import { segmentsOf } from './lines';
import { onPaper, type DocumentPage } from './page';
import { linesOn } from './page-texts';
import { unite } from '../table/box';
import { boxOf } from './words';

/** Gaps of so many font sizes part the texts of a title block. */
const WIDE = 1.5;
/** Pages behind the first that show its running heads; further ones that tell of ordering; the last has the small print. */
const NEXT = 2;
const ORDERING = /\border(?:ing|able)\b/i;
const MOST_ORDERING = 6;

/** A document is read anew with every role that a person chooses; its cover stays what it is. */
const covers = new WeakMap<readonly DocumentPage[], Cover>();

/** The particulars that a document's pages print of its part. */
export function coverOf(given: readonly DocumentPage[], file: string | undefined): Cover {
  const known = covers.get(given) ?? coverIn(given.map(onPaper), file);
  covers.set(given, known);
  return known;
}

function coverIn(pages: readonly DocumentPage[], file: string | undefined): Cover {
  const at = Math.max(
    0,
    pages.findIndex((p) => p.runs.some((r) => r.text.trim() !== '')),
  );
  const behind = pages.slice(at + 1);
  const ordering = behind.filter((p) => p.runs.some((r) => ORDERING.test(r.text))).slice(0, MOST_ORDERING);
  const later = new Set([...behind.slice(0, NEXT), ...ordering, ...behind.slice(-1)]);
  return readCover(pages.slice(at, at + 1).flatMap(textsOf), behind.filter((p) => later.has(p)).flatMap(textsOf), file);
}

function textsOf(given: DocumentPage): CoverText[] {
  const { lines, back } = linesOn(given);
  return lines.flatMap((line) =>
    segmentsOf(line, WIDE).map(({ text, words, x0, x1 }) => ({
      text,
      size: words[0]!.size,
      x0,
      x1,
      base: line.base,
      page: given.number,
      box: back(unite(words.map(boxOf))!),
    })),
  );
}
