/** A part's name as a file name on every system: no separators, no reserved characters, not empty, not endless. */
export function fileName(name: string): string {
  const plain = name
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}._+-]+/gu, '_')
    .replace(/^[._-]+|[._-]+$/g, '')
    .slice(0, 80);
  return plain === '' || /^(con|prn|aux|nul|com\d|lpt\d)$/i.test(plain) ? `part_${plain}` : plain;
}
