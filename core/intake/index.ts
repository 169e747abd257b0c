export { readText } from './text';
export { inferType } from './understand/infer-type';
export { inFewWords } from './understand/in-few-words';
export { readShownText, readSourceText, shownText, textKind, type TextKind } from './read-source-text';
export { isHtmlTable, sheetsOfHtml } from './html';
export {
  findOn,
  packagePages,
  pageText,
  readPages,
  pagesWorthRuling,
  MOST_PAGES,
  type DocumentPage,
  type Hit,
  type Rule,
  type Run,
} from './page';
export { decodeText } from './text/decode';
export { cleanText } from './text/clean';
export { alignedGrid, linesOf, toGrid } from './text/layout';
export { fitToColumns } from './text/aligned';
export { plainPackage } from './package-of';
export { lostByTaking, takeProposal } from './take';
export { terminalsIn, type Column, type ColumnRole, type Proposal, type TableChoice, type Terminal, type ReadOptions } from './proposal';
export type { Cover, Said } from './cover/cover';
export { tidied } from './cover/title-block';
export { findPairs } from './understand/pairs';
export { packageIn } from './table/headings';
export { readSheets, cellRef, type Sheet } from './sheet';
export { formatOf } from './format';
export { raise } from './table/raised';
export { unite, type Box } from './table/box';
export * from './compare';
export { haveSameColumns } from './table/join-tables';
