/**
 * What tells the doubt of one type from another's, in the few words that a row of a table has room for: without what the row
 * says anyway. A reason in other words is given as it is.
 */
export const inFewWords = (reason: string): string =>
  reason
    .replace(/^(?:Neither column nor wording tells; |(?:Taken for|It reads as) [\w-]+, (?:but |since ))/, '')
    .replace(/^most terminals (?:with )?(.*?) are ([\w-]+)\.$/, '$1: mostly $2')
    .replace(/^(.*?) (?:is|are) (?:more )?often said of ([\w-]+) terminals\.$/, '$1: often $2')
    .replace(/^like it:/, 'such words:')
    .replace(/“(name [^”]+)”/, '$1')
    .replace(/^The type is empty, and neither name nor description tells\.$/, 'nothing tells');
