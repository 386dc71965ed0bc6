import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { proofFor } from './proof';

describe('the work before sending', () => {
  // Checked with the hash of Node's own library, which shares no code with ours.
  it('makes the hash begin with as many zero bits as are asked for', async () => {
    const nonce = await proofFor('text.1.mark', 'key', 11);
    const hash = createHash('sha256').update(`text.1.mark|key|${nonce}`).digest();
    expect(hash.readUInt16BE(0) >> 5).toBe(0);
  });
  it('asks for nothing where nothing is asked for', async () => expect(await proofFor('c', 'k', 0)).toBe('0'));
});
