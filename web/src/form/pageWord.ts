/** Words that only say where a page stands: they follow from that, whatever stood there before. */
const ofPlace = ['', 'Next', 'Send'];

/** What the button of a page says: its own word where somebody wrote one, else what pressing it does. */
export function pageWord(own: string, isLast: boolean): string {
  return ofPlace.includes(own.trim()) ? (isLast ? 'Send' : 'Next') : own;
}
