import Link from '@mui/material/Link';
import { answerText, given } from '../form/answers';
import type { Answers, PublicForm } from '../form/types';

interface Props {
  form: PublicForm;
  /** The questions that are not asked again. */
  keys: string[];
  answers: Answers;
  onChange: (key: string) => void;
}

/** What came over from the form before: not asked again, yet seen, and asked after all where somebody wants to change it. */
export function Carried({ form, keys, answers, onChange }: Props) {
  const questions = form.pages.flatMap((page) => page.questions).filter((question) => keys.includes(question.key));
  return (
    <div className="carried second">
      <p>What you told us just now, and need not tell again:</p>
      <dl>
        {questions.map((question) => (
          <div key={question.key}>
            <dt>{question.wording}</dt>
            <dd>
              {answerText(question, given(question, answers))}{' '}
              <Link
                component="button"
                type="button"
                aria-label={`Change ${question.wording}`}
                onClick={() => onChange(question.key)}
              >
                Change
              </Link>
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
