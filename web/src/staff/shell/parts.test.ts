import { describe, expect, it } from 'vitest';
import { partsOf, partText, partWords, taking } from './parts';

const base = { content: { intro: 'Hello', terms: 'T', lines: [1, 2] }, validUntil: '2026-12-01' };

describe('what somebody else has changed meanwhile', () => {
  it('is told part by part, with those that were written here too', () => {
    const mine = { content: { intro: 'Mine', terms: 'T', lines: [1, 2, 3] }, validUntil: '2026-12-01' };
    const theirs = { content: { intro: 'Hello', terms: 'New terms', lines: [1] }, validUntil: '2026-12-01' };
    expect(partsOf(base, mine, theirs)).toEqual([
      { path: 'content.terms', both: false, mine: 'T', theirs: 'New terms' },
      { path: 'content.lines', both: true, mine: [1, 2, 3], theirs: [1] },
    ]);
  });

  it('is no question where both came to the same, or only one wrote', () => {
    const changed = { ...base, validUntil: '2026-12-24' };
    expect(partsOf(base, changed, changed)).toEqual([]);
    expect(partsOf(base, changed, base)).toEqual([]);
  });

  it('is everything that differs where nobody knows what it was before', () => {
    expect(partsOf(undefined, { a: 1, b: 2 }, { a: 1, b: 3 })).toEqual([{ path: 'b', both: true, mine: 2, theirs: 3 }]);
    expect(partsOf(undefined, 'Mine', 'Theirs')).toEqual([{ path: '', both: true, mine: 'Mine', theirs: 'Theirs' }]);
  });

  it('knows a part that one of them did not have', () => {
    expect(partsOf({ a: 1 }, { a: 1 }, { a: 1, b: 2 })).toEqual([
      { path: 'b', both: true, mine: undefined, theirs: 2 },
    ]);
  });
});

describe('items of a list that have names', () => {
  const line = (key: string, name: string, price: string) => ({ key, name, price });
  const base = { lines: [line('a', 'Felt', '4'), line('b', 'String', '5')] };
  const mine = { lines: [line('a', 'Felt of mine', '4'), line('b', 'String', '5')] };
  const theirs = { lines: [line('a', 'Felt of theirs', '6'), line('b', 'String', '5')] };

  it('are told item by item while they are the same items', () => {
    const parts = partsOf(base, mine, theirs);
    expect(parts.map(({ path, both }) => [path, both, partWords(path)])).toEqual([
      ['lines.0.name', true, 'Lines 1, name'],
      ['lines.0.price', false, 'Lines 1, price'],
    ]);
    expect(taking(mine, parts.slice(1))).toEqual({
      lines: [line('a', 'Felt of mine', '6'), line('b', 'String', '5')],
    });
  });

  it('are one part where one came or went', () => {
    const fewer = { lines: theirs.lines.slice(0, 1) };
    expect(partsOf(base, mine, fewer).map(({ path, both }) => [path, both])).toEqual([['lines', true]]);
    expect(partWords('lines.1')).toBe('Lines 2');
  });
});

describe('taking some of theirs', () => {
  it('leaves the rest as it is written here, and the record that was given', () => {
    const mine = { content: { intro: 'Mine', terms: 'T' }, days: [1] };
    const parts = partsOf(undefined, mine, { content: { intro: 'Theirs', terms: 'T' }, days: [2] });
    expect(taking(mine, parts.slice(0, 1))).toEqual({ content: { intro: 'Theirs', terms: 'T' }, days: [1] });
    expect(taking(mine, parts)).toEqual({ content: { intro: 'Theirs', terms: 'T' }, days: [2] });
    expect(mine.content.intro).toBe('Mine');
    expect(taking('Mine', partsOf(undefined, 'Mine', 'Theirs'))).toBe('Theirs');
  });
});

describe('a part in words', () => {
  it('is read as people read it', () => {
    expect([partWords('content.validUntil'), partWords('')]).toEqual(['Valid until', 'All of it']);
    expect([
      partText(''),
      partText(null),
      partText(false),
      partText(4),
      partText([1]),
      partText([1, 2]),
      partText({}),
    ]).toEqual(['nothing', 'nothing', 'no', '4', 'one of them', '2 of them', 'something else']);
  });
});
