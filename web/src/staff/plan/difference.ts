/** Cuts a text into what it shares with another at both ends, and what differs between. */
export function difference(text: string, other: string): { before: string; middle: string; after: string } {
  const a = letters(text);
  const b = letters(other);
  const most = Math.min(a.length, b.length);
  let start = 0;
  while (start < most && a[start] === b[start]) start++;
  let end = 0;
  while (end < most - start && a[a.length - 1 - end] === b[b.length - 1 - end]) end++;
  return {
    before: a.slice(0, start).join(''),
    middle: a.slice(start, a.length - end).join(''),
    after: a.slice(a.length - end).join(''),
  };
}

const cutter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

function letters(text: string): string[] {
  return Array.from(cutter.segment(text), (part) => part.segment);
}
