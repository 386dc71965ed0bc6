/** How much a field speaks for one person: a step up doubles what speaks for it (log 2 of the likelihood ratio). */
export function weightWords(weight: number): string {
  return weight < 0 ? 'against' : weight >= 6 ? 'strong' : weight > 0 ? 'weak' : '';
}

/** The figure behind the word, for whoever asks for it. */
export function weightFigure(weight: number): string {
  return `${weight > 0 ? '+' : '−'}${Math.abs(weight).toFixed(1)}: above zero for one person, below for two; a step up doubles it`;
}
