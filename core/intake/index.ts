export { readText } from './text';
export { readPages, pagesWorthRuling, MOST_PAGES, type DocumentPage, type Rule, type Run } from './page';
export { decodeText } from './text/decode';
export { takeProposal } from './take';
export { terminalsIn, type Column, type ColumnRole, type Proposal, type Terminal, type ReadOptions } from './proposal';
export { findPairs } from './understand/pairs';
export { packageIn } from './table/headings';
export { readSheets, type Sheet } from './sheet';
export { formatOf, type SourceFormat } from './format';
