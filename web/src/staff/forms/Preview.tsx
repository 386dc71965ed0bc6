import { useDeferredValue } from 'react';
import { useForm } from 'react-hook-form';
import { kinds } from '../../form/kinds';
import { QuestionField } from '../../form/QuestionField';
import type { Answers } from '../../form/types';
import { Uploads } from '../../form/uploads';
import '../../form/form.css';
import { type Definition } from '../definition/design';
import { asPublic } from '../definition/asPublic';

const noFiles = new Uploads();

/** The public page as it would look on a phone. To look at only: “Try it” is for filling in. */
export function Preview({
  definition,
  today,
  chosen,
}: {
  definition: Definition;
  today: string;
  chosen: string | null;
}) {
  const form = asPublic(useDeferredValue(definition), today);
  const fields = useForm<Answers>();
  const page = form.pages.find((one) => one.questions.some((question) => question.key === chosen)) ?? form.pages[0];
  return (
    <div className="preview" inert aria-hidden="true">
      <div className="preview-page">
        <p className="preview-title serif">{form.title}</p>
        <div className="questions">
          {page?.questions
            .filter((question) => kinds[question.type].isShown)
            .map((question) => (
              <div key={question.key} className={question.key === chosen ? 'previewed chosen' : 'previewed'}>
                <QuestionField
                  question={question}
                  needed={question.required}
                  fields={fields}
                  error={null}
                  uploads={noFiles}
                  onGoing={() => undefined}
                />
              </div>
            ))}
        </div>
        <p className="preview-button">{page?.next}</p>
      </div>
    </div>
  );
}
