/** The kinds of source that are told apart by their first bytes; all others are text. */
export type SourceFormat = 'pdf' | 'workbook' | 'text';

/** What a file is, by its bytes and not by its name: a PDF may have some bytes before its mark (ISO 32000-1, Annex H.3.4.1). */
export function formatOf(bytes: Uint8Array): SourceFormat {
  const head = String.fromCharCode(...bytes.subarray(0, 1024));
  if (head.includes('%PDF-')) return 'pdf';
  if (head.startsWith('PK\u0003\u0004') || head.startsWith('\u00d0\u00cf\u0011\u00e0')) return 'workbook';
  return 'text';
}
