import type { Designed, QuestionKind } from './kind';

/** A kind that only tells. */
export function telling(designed: Omit<Designed, 'operators' | 'group'>): QuestionKind {
  return {
    designed: { operators: [], group: 'More', ...designed },
    asks: false,
    isShown: true,
    canTry: true,
    offered: () => [],
    given: () => null,
    faults: () => [],
    text: () => '',
  };
}
