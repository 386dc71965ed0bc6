import { lazy, Suspense } from 'react';
import { one, type QuestionKind } from './kind';

/** Fetched where files are asked for; the public page has it from the beginning. */
const FilesField = lazy(async () => ({ default: (await import('../FilesField')).FilesField }));

export const files: QuestionKind = {
  designed: {
    words: 'photographs and files',
    group: 'Files',
    also: 'photo photograph picture image upload attachment document pdf file',
    operators: ['has-word', 'has-none-of', 'contains', 'is', 'is-blank'],
  },
  asks: true,
  isShown: true,
  canTry: false,
  offered: () => [],
  given: (_, __, kept) => (kept.length > 0 ? kept.map((file) => file.id) : null),
  faults: (question, _, held) => one(question, held.needed && held.files === 0 ? 'Add at least one file.' : null),
  text: (_, answer) => {
    const count = Array.isArray(answer) ? answer.length : 0;
    return count === 0 ? '' : count === 1 ? '1 file' : `${count} files`;
  },
  Field: ({ question, uploads }) => (
    <Suspense fallback={null}>
      <FilesField question={question} uploads={uploads} />
    </Suspense>
  ),
};
