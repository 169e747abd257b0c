export { readText } from './text';
export { decodeText } from './text/decode';
export { TEXT_LIMIT } from './text/clean';
export { takeProposal, pinsByNumber } from './take';
export { terminalsIn, type Column, type ColumnRole, type Proposal, type TableView, type Terminal, type TextOptions } from './proposal';
export { findPairs } from './understand/pairs';
export { packageIn } from './table/headings';
