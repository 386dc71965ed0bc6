import type { Plan, PlanLine } from './queries';

/** The lines in which a plan differs from the one that was looked at: why it was not accepted. */
export function WhatChanged({ before, now }: { before: Plan; now: Plan }) {
  const was = new Map(before.lines.map((line) => [line.key, line]));
  const is = new Map(now.lines.map((line) => [line.key, line]));
  const changes = [
    ...now.lines
      .filter((line) => said(line) !== said(was.get(line.key)))
      .map((line) => ({ key: line.key, words: was.has(line.key) ? `now: ${said(line)}` : `new: ${said(line)}` })),
    ...before.lines
      .filter((line) => !is.has(line.key))
      .map((line) => ({ key: line.key, words: `gone: ${said(line)}` })),
  ];
  if (changes.length === 0) return null;
  return (
    <ul className="what-changed">
      {changes.map((change) => (
        <li key={change.key}>{change.words}</li>
      ))}
    </ul>
  );
}

const said = (line: PlanLine | undefined): string =>
  line ? [line.parts.map((part) => part.text).join(''), line.note].filter(Boolean).join('; ') : '';
