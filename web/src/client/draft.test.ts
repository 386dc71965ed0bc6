import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyDraft, forgetDraft, keepDraft, keptDraft } from './draft';

describe('what was typed and not sent', () => {
  beforeEach(() => localStorage.clear());

  it('is kept by form', () => {
    const draft = { ...emptyDraft(), answers: { name: 'Orla' } };
    keepDraft('inquiry', draft);
    expect(keptDraft('inquiry')).toEqual(draft);
    expect(keptDraft('other').answers).toEqual({});
  });
  it('keeps its key, so that a second sending is the first', () => {
    const draft = emptyDraft();
    keepDraft('inquiry', draft);
    expect(keptDraft('inquiry').key).toBe(draft.key);
    forgetDraft('inquiry');
    expect(keptDraft('inquiry').key).not.toBe(draft.key);
    expect(emptyDraft().key).toMatch(/^[0-9a-f]{32}$/);
  });
  it('begins anew where what was kept is none of ours', () => {
    for (const text of ['', '{', '[]', '{"answers":1}', 'null']) {
      localStorage.setItem('telamon.form.inquiry', text);
      expect(keptDraft('inquiry').answers).toEqual({});
    }
  });
  it('stops nobody where the store is full', () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => keepDraft('inquiry', emptyDraft())).not.toThrow();
  });
});
