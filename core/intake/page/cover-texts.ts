import { readCover } from '../cover/read-cover';
import type { Cover, CoverText } from '../cover/cover';
import { linesOf, segmentsOf } from './lines';
import type { DocumentPage } from './page';
import { upright } from './upright';
import { unite } from '../table/box';
import { boxOf, wordsAndRules } from './words';

/** Gaps of so many font sizes part the texts of a title block. */
const WIDE = 1.5;
/** Pages behind the first that show its running heads; further ones that tell of ordering; the last has the small print. */
const NEXT = 2;
const ORDERING = /\border(?:ing|able)\b/i;
const MOST_ORDERING = 6;

/** The particulars that a document's pages print of its part. */
export function coverOf(pages: readonly DocumentPage[], file: string | undefined): Cover {
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
  const { page, back } = upright(given);
  return linesOf(wordsAndRules(page).words).flatMap((line) =>
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
