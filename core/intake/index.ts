export { readText } from './text';
export { decodeText } from './text/decode';
export { takeProposal } from './take';
export { terminalsIn, type Column, type ColumnRole, type Proposal, type Terminal, type TextOptions } from './proposal';
export { findPairs } from './understand/pairs';
export { packageIn } from './table/headings';
