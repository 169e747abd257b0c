import { sha256 as hash } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { canonicalFrozen, type FrozenPart, type Part } from '../part';

/** SHA-256 (FIPS 180-4) of a text's UTF-8 bytes or of bytes, in hexadecimal. */
export const sha256 = (data: string | Uint8Array): string => bytesToHex(hash(typeof data === 'string' ? utf8ToBytes(data) : data));

/** The digest that names a state of a part: SHA-256 of its canonical form without its releases. */
export const partDigest = (part: FrozenPart | Part): string => sha256(canonicalFrozen(part));
