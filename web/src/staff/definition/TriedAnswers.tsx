import type { UseFormReturn } from 'react-hook-form';
import { isNeeded } from '../../form/answers';
import { kinds } from '../../form/kinds';
import type { Answers, PublicForm, Question } from '../../form/types';
import { QuestionField } from '../../form/QuestionField';
import { Uploads } from '../../form/uploads';

interface Props {
  form: PublicForm;
  shown: Question[];
  answers: Answers;
  fields: UseFormReturn<Answers>;
  faults: { path: string; message: string }[];
}

const noFiles = new Uploads();

/** The questions of a form to fill in for a trial: without files and signatures, which nobody sends. */
export function TriedAnswers({ form, shown, answers, fields, faults }: Props) {
  return (
    <div className="questions">
      {shown
        .filter((question) => kinds[question.type].canTry && kinds[question.type].isShown)
        .map((question) => (
          <QuestionField
            key={question.key}
            question={question}
            needed={isNeeded(form, question, answers)}
            fields={fields}
            lineErrors={Object.fromEntries(
              faults.map((fault) => [fault.path.slice(question.key.length + 1), fault.message]),
            )}
            error={faults.find((fault) => fault.path === question.key)?.message ?? null}
            uploads={noFiles}
            onGoing={() => undefined}
          />
        ))}
    </div>
  );
}
