import type { RefObject } from 'react';
import type { PublicForm } from '../form/types';
import { Mark } from '../shared/Mark';

interface Props {
  form: PublicForm;
  at: number;
  checking: boolean;
  heading: RefObject<HTMLOListElement | null>;
}

/** The pages of a form: those that are done, the one that is open, those to come. */
export function PageCourse({ form, at, checking, heading }: Props) {
  return (
    <ol
      className="public-course"
      ref={heading}
      tabIndex={-1}
      aria-label={checking ? 'Check your answers' : `Page ${at + 1} of ${form.pages.length}`}
    >
      {form.pages.map((one, i) => {
        const done = i < at || checking;
        return (
          <li
            key={one.key}
            className={done ? 'done' : i === at ? 'now' : 'later'}
            aria-current={i === at && !checking ? 'step' : undefined}
          >
            <Mark kind={done ? 'done' : 'new'}>{done ? `${one.title}, done` : one.title}</Mark>
          </li>
        );
      })}
    </ol>
  );
}
