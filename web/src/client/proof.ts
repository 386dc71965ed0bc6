import { sha256 } from '@noble/hashes/sha2.js';
import { utf8ToBytes } from '@noble/hashes/utils.js';

const AT_ONCE = 2000;

/**
 * A nonce so that the hash of “challenge|key|nonce” begins with this many zero bits. The page stays responsive.
 * Browsers offer a hash of their own only on secure pages, so the library does it everywhere.
 */
export async function proofFor(challenge: string, key: string, bits: number): Promise<string> {
  for (let from = 0; ; from += AT_ONCE) {
    for (let nonce = from; nonce < from + AT_ONCE; nonce++) {
      if (zeroBits(sha256(utf8ToBytes(`${challenge}|${key}|${nonce}`))) >= bits) return String(nonce);
    }
    await new Promise((resolve) => setTimeout(resolve));
  }
}

function zeroBits(bytes: Uint8Array): number {
  let bits = 0;
  for (const byte of bytes) {
    if (byte !== 0) return bits + Math.clz32(byte) - 24;
    bits += 8;
  }
  return bits;
}
