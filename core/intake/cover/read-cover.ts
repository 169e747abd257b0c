import { saidAt, type Cover, type CoverText, type Said } from './cover';
import { findMaker } from './makers';
import { findOrderCodes } from './order-codes';
import { findDescription, findNumbers, titleBlock, usualSize } from './title-block';

/**
 * The particulars that a document prints of its part: number, what it is, maker, revision and order codes, each with its
 * place. `first` is the first page from the top, with its running head and foot; `later` other pages that name the part or
 * tell how it is ordered. What the document says in two ways is left to a person.
 */
export function readCover(first: readonly CoverText[], later: readonly CoverText[], file = ''): Cover {
  const block = titleBlock(first);
  const all = [...first, ...later];
  const [number, ...others] = findNumbers(
    block,
    all.map((t) => t.text),
    file,
  );
  const maker = findMaker(all);
  const description = findDescription(
    block.map((t) => (maker ? { ...t, text: t.text.replace(maker.value, ' ').trim() } : t)),
    number?.value,
    usualSize(first),
  );
  const revision = findRevision(first) ?? findRevision(later);
  return {
    ...(number ? { number } : {}),
    ...(others.length > 0 ? { others: others.map((n) => n.value) } : {}),
    ...(description ? { description } : {}),
    ...(maker ? { maker } : {}),
    ...(revision ? { revision } : {}),
    orderCodes: number ? findOrderCodes(all, number.value) : [],
  };
}

/** `Rev. C`, `revision 1.2`, `Version 3.0`, `Issue 2`: what follows is a letter or a number of its own. */
const REVISION =
  /\b(?:rev(?:ision)?|version|issue)\b\.?\s*(?:no\.?|:)?\s*([A-Z]{1,2}\d?|\d{1,2}(?:\.\d{1,2}){0,2}[A-Z]?)(?![\w/])(?!\s+(?:date|history|of)\b)/i;

/** `REVISED MAY 2026`: the month stands for the revision. */
const REVISED = /\brevised:?\s+([A-Z][a-z]+ \d{4}|[A-Z]+ \d{4})\b/i;

/** The revision of the document, where its texts name one and no other. */
function findRevision(texts: readonly CoverText[]): Said | undefined {
  const found = new Map<string, Said>();
  for (const text of texts) {
    const value = REVISION.exec(text.text)?.[1] ?? REVISED.exec(text.text)?.[1];
    if (value && !/^(?:is|of|to|in|on|or|by|as|a|an|no)$/.test(value) && !found.has(value)) found.set(value, saidAt(value, text));
  }
  return found.size === 1 ? [...found.values()][0] : undefined;
}
