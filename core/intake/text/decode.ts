import { strFromU8 } from 'fflate';

/** Windows code page 1252 where it differs from Latin-1: the dashes and quotes of old exports. */
const CP1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/** Text of a file's bytes: UTF-8, UTF-16 with a byte order mark, or else Windows-1252, which never fails. */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return utf16(bytes, 0);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return utf16(bytes, 1);
  if (isUtf8(bytes)) return strFromU8(bytes).replace(/^\uFEFF/, '');
  return strFromU8(bytes, true).replace(/[\u0080-\u009f]/g, (c) => CP1252[c.charCodeAt(0) - 0x80]!);
}

function utf16(bytes: Uint8Array, high: 0 | 1): string {
  const parts: string[] = [];
  for (let i = 2; i + 1 < bytes.length; i += 2) parts.push(String.fromCharCode((bytes[i + 1 - high]! << 8) | bytes[i + high]!));
  return parts.join('');
}

/** True where every byte sequence is one that RFC 3629 allows, as far as lengths and lead bytes tell. */
function isUtf8(bytes: Uint8Array): boolean {
  for (let i = 0; i < bytes.length; i++) {
    const lead = bytes[i]!;
    const more = lead < 0x80 ? 0 : lead >= 0xc2 && lead < 0xe0 ? 1 : lead >= 0xe0 && lead < 0xf0 ? 2 : lead >= 0xf0 && lead < 0xf5 ? 3 : -1;
    if (more < 0) return false;
    for (let k = 0; k < more; k++) if ((bytes[++i]! & 0xc0) !== 0x80) return false;
  }
  return true;
}
