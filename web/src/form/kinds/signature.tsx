import { lazy, Suspense } from 'react';
import { partOf } from '../held';
import { inParts } from './inParts';
import { one, type FieldProps } from './kind';

/** Fetched where one is asked for; the public page has it from the beginning. */
const SignatureField = lazy(async () => ({ default: (await import('../SignatureField')).SignatureField }));

function Field({ question, fields, error, onGoing }: FieldProps) {
  const answers = fields.getValues();
  return (
    <Suspense fallback={null}>
      <SignatureField
        question={question}
        register={fields.register}
        setValue={fields.setValue}
        how={partOf(answers, question.key, 'how')}
        kept={partOf(answers, question.key, 'image') !== ''}
        strokes={partOf(answers, question.key, 'strokes')}
        onGoing={onGoing}
        wrong={error !== null}
      />
    </Suspense>
  );
}

export const signature = inParts({
  designed: { words: 'signature', group: 'Files', also: 'sign sign-off autograph drawn' },
  parts: [{ name: 'name', label: 'Name', needed: true }],
  canTry: false,
  given: (question, answers) => {
    const part = (name: string) => partOf(answers, question.key, name);
    return part('name').trim() === '' ? null : { name: part('name'), how: part('how'), image: part('image') };
  },
  faults: (question, answers, { needed }) => {
    const part = (name: string) => partOf(answers, question.key, name).trim();
    if (part('name') === '')
      return one(
        question,
        needed || part('how') === 'drawn' ? 'Sign here: write your name, then draw or confirm it.' : null,
      );
    const done = part('how') === 'typed' || (part('how') === 'drawn' && part('image') !== '');
    return one(question, done ? null : 'Draw your signature, or say that your typed name is it.');
  },
  text: (_, answer) => {
    if (typeof answer !== 'object' || Array.isArray(answer) || !answer.name?.trim()) return '';
    return `Signed by ${answer.name.trim()}${answer.how === 'drawn' ? ', drawn' : ', by typing the name'}`;
  },
  Field,
});
