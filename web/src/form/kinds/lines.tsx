import { lazy, Suspense } from 'react';
import { linesOf } from '../held';
import type { Answers, Question } from '../types';
import type { QuestionKind } from './kind';

/** Fetched where a table is asked for; the public page has it from the beginning. */
const LinesField = lazy(async () => ({ default: (await import('../LinesField')).LinesField }));

type Of = (type: Question['type']) => QuestionKind;

function row(of: Of, columns: Question[], line: Answers): Record<string, string> {
  return Object.fromEntries(
    columns.flatMap((column) => {
      const answer = of(column.type).given(column, line, []);
      return answer === null ? [] : [[column.key, answer as string]];
    }),
  );
}

/** A table: the same things asked once a line, each by its own kind. */
export function lines(of: Of): QuestionKind {
  return {
    designed: {
      words: 'a table of lines',
      group: 'More',
      also: 'table rows list repeat several grid items',
      operators: ['more-than', 'at-most', 'is-blank'],
    },
    asks: true,
    isShown: true,
    canTry: true,
    offered: () => [],
    given: (question, answers) => {
      const given = linesOf(answers, question.key)
        .map((line) => row(of, question.lines, line))
        .filter((line) => Object.keys(line).length > 0);
      return given.length > 0 ? given : null;
    },
    faults: (question, answers, { needed, at }) => {
      const all = linesOf(answers, question.key);
      if (all.length === 0) return needed ? [{ path: question.key, message: 'Add at least one line.' }] : [];
      return all.flatMap((line, i) =>
        question.lines.flatMap((column) =>
          of(column.type)
            .faults(column, line, { files: 0, needed: column.required, at })
            .map((fault) => ({ ...fault, path: `${question.key}.${i}.${fault.path}` })),
        ),
      );
    },
    text: (question, answer) =>
      (Array.isArray(answer) ? answer : [])
        .map((line) =>
          question.lines
            .flatMap((column) => {
              const text = typeof line === 'object' ? of(column.type).text(column, line[column.key] ?? '') : '';
              return text.trim() === '' ? [] : [`${column.wording}: ${text}`];
            })
            .join(', '),
        )
        .join('\n')
        .trim(),
    Field: ({ question, fields, lineErrors }) => (
      <Suspense fallback={null}>
        <LinesField
          question={question}
          control={fields.control}
          register={fields.register}
          errors={lineErrors}
          offered={(column) => of(column.type).offered(column)}
          isLong={(column) => of(column.type).isLong === true}
        />
      </Suspense>
    ),
  };
}
