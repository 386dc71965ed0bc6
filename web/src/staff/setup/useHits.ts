import { useEffect, useState, type RefObject } from 'react';

const name = 'setup-found';

const marks = () => (typeof CSS === 'undefined' ? undefined : (CSS.highlights as HighlightRegistry | undefined));

/** Where a text stands below an element. */
function rangesIn(element: HTMLElement, words: string): Range[] {
  const ranges: Range[] = [];
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const text = (node.textContent ?? '').toLowerCase();
    for (let at = text.indexOf(words); at >= 0; at = text.indexOf(words, at + words.length)) {
      const range = document.createRange();
      range.setStart(node, at);
      range.setEnd(node, Math.min(at + words.length, text.length));
      ranges.push(range);
    }
  }
  return ranges;
}

/** Counts where a text stands in each section of a sheet, and marks it there (CSS Custom Highlight API, where the browser has it). */
export function useHits(sheet: RefObject<HTMLElement | null>): [Record<string, number>, (wanted: string) => void] {
  const [hits, setHits] = useState<Record<string, number>>({});
  useEffect(() => () => void marks()?.delete(name), []);
  const look = (wanted: string) => {
    const words = wanted.trim().toLowerCase();
    const sections = [...(sheet.current?.querySelectorAll<HTMLElement>('[data-section]') ?? [])];
    const found = words
      ? sections.map((section) => ({ key: section.dataset.section ?? '', ranges: rangesIn(section, words) }))
      : [];
    const ranges = found.flatMap((one) => one.ranges);
    if (ranges.length) marks()?.set(name, new Highlight(...ranges));
    else marks()?.delete(name);
    setHits(
      Object.fromEntries(found.filter((one) => one.ranges.length > 0).map((one) => [one.key, one.ranges.length])),
    );
  };
  return [hits, look];
}
