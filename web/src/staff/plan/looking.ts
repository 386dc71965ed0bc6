import { createContext, useContext } from 'react';

/** The answer and the plan line that somebody points at, so that the other end can show itself. */
export interface Looking {
  answer: number | null;
  line: string | null;
}

export const LookingContext = createContext<{ at: Looking; deciding: number | null; look: (at: Looking) => void }>({
  at: { answer: null, line: null },
  deciding: null,
  look: () => undefined,
});

export function useLooking() {
  return useContext(LookingContext);
}

export const nowhere: Looking = { answer: null, line: null };

/** Brings an answer of the sheet into sight. */
export function showAnswer(answer: number | null): void {
  document.querySelector(`[data-answer="${answer}"]`)?.scrollIntoView({ block: 'nearest' });
}
