import { useLayoutEffect, useState, type RefObject } from 'react';
import './strings.css';

interface Props {
  frame: RefObject<HTMLElement | null>;
  answer: number | null;
  line: string | null;
  decides: boolean;
}

interface Ends {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

/** One line from an answer on the sheet to the line of the plan that uses it. */
export function Strings({ frame, answer, line, decides }: Props) {
  const [ends, setEnds] = useState<Ends | null>(null);
  useLayoutEffect(() => {
    const root = frame.current;
    if (!root) return undefined;
    let pending = 0;
    const measure = () => {
      pending = 0;
      setEnds(answer === null ? null : between(root, answer, line));
    };
    const later = () => {
      if (!pending) pending = requestAnimationFrame(measure);
    };
    measure();
    root.addEventListener('scroll', later, { capture: true, passive: true });
    window.addEventListener('resize', later);
    // Answers and plan lines come in after the frame that holds them.
    const watcher = new MutationObserver(later);
    watcher.observe(root, { childList: true, subtree: true });
    return () => {
      cancelAnimationFrame(pending);
      watcher.disconnect();
      root.removeEventListener('scroll', later, { capture: true });
      window.removeEventListener('resize', later);
    };
  }, [frame, answer, line]);
  if (!ends) return null;
  const bend = ends.x2 - 29;
  return (
    <svg className={decides ? 'string decides' : 'string'} aria-hidden="true">
      <path d={`M${ends.x1} ${ends.y1}H${bend}V${ends.y2}H${ends.x2}`} />
    </svg>
  );
}

function between(root: HTMLElement, answer: number, line: string | null): Ends | null {
  const from = root.querySelector(`[data-answer="${answer}"]`);
  const to = line
    ? root.querySelector(`[data-line="${CSS.escape(line)}"]`)
    : root.querySelector(`[data-answers~="${answer}"]`);
  const words = from?.querySelector('[data-anchor]') ?? from?.querySelector('.thumbs');
  if (!from || !to || !words) return null;
  const base = root.getBoundingClientRect();
  const rects = words.getClientRects();
  const last = rects[rects.length - 1];
  const target = to.getBoundingClientRect();
  if (!last) return null;
  const y1 = last.top + last.height / 2;
  const y2 = target.top + 16;
  if (y1 < base.top || y1 > base.bottom || y2 < base.top || y2 > base.bottom) return null;
  return { x1: last.right - base.left + 8, y1: y1 - base.top, x2: target.left - base.left + 16, y2: y2 - base.top };
}
