import Link from '@mui/material/Link';
import { useEffect, useRef } from 'react';
import { answerText, asks, given } from '../form/answers';
import { kinds } from '../form/kinds';
import type { Answers, PublicForm, Question } from '../form/types';
import type { KeptFile } from '../form/upload';

interface Props {
  pages: { page: PublicForm['pages'][number]; questions: Question[] }[];
  answers: Answers;
  files: Record<string, KeptFile[]>;
  onChange: (page: number, key: string) => void;
}

/** All answers once more before they are sent; each can be changed. */
export function CheckPage({ pages, answers, files, onChange }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
    window.scrollTo(0, 0);
  }, []);
  return (
    <section className="check-page">
      <h2 ref={heading} tabIndex={-1}>
        Is this right?
      </h2>
      <dl>
        {pages.flatMap(({ questions }, at) =>
          questions
            .filter((question) => asks(question) && kinds[question.type].isShown)
            .map((question) => {
              const names = (files[question.key] ?? []).map((file) => file.name);
              const text = names.length > 0 ? names.join(', ') : answerText(question, given(question, answers));
              return (
                <div key={question.key}>
                  <dt>
                    <span className="question-number serif" aria-hidden="true">
                      {question.number}
                    </span>
                    {question.wording}
                  </dt>
                  <dd>
                    <span>{text === '' ? <em className="second">nothing</em> : text}</span>
                    <Link
                      component="button"
                      type="button"
                      aria-label={`Change ${question.wording}`}
                      onClick={() => onChange(at, question.key)}
                    >
                      Change
                    </Link>
                  </dd>
                </div>
              );
            }),
        )}
      </dl>
    </section>
  );
}
