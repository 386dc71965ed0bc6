import { ChoiceField } from '../ChoiceField';
import { listOf } from '../held';
import { asked } from './choice';
import { one, type QuestionKind } from './kind';
import { label } from './written';

export const anyOf: QuestionKind = {
  designed: {
    words: 'any of several',
    group: 'Choices',
    also: 'choices choose select multiple checkbox checkboxes tick options pick',
    operators: asked,
    offers: true,
    counts: 'choice',
  },
  asks: true,
  isShown: true,
  canTry: true,
  offered: (question) => question.options ?? [],
  given: (question, answers) => {
    const chosen = listOf(answers, question.key);
    return chosen.length > 0 ? chosen : null;
  },
  faults: (question, answers, { needed }) =>
    one(question, needed && listOf(answers, question.key).length === 0 ? 'Choose at least one.' : null),
  text: (question, answer) =>
    (Array.isArray(answer) ? answer : [answer])
      .flatMap((value) => (typeof value === 'string' ? [label(question, value)] : []))
      .join(', '),
  Field: ({ question, fields }) => (
    <ChoiceField question={question} register={fields.register} offered={question.options} many />
  ),
};
