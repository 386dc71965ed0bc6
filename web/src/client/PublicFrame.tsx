import type { ReactNode } from 'react';
import { Drawing } from '../shared/Drawing';
import type { PublicForm } from '../form/types';
import { Branded } from './Branded';

/** What a public page stands in: the business above, what this is about at the left, the sheet at the right. */
export function PublicFrame({
  form,
  done = false,
  children,
}: {
  form: PublicForm;
  done?: boolean;
  children: ReactNode;
}) {
  const { business } = form;
  return (
    <Branded business={business} className="public">
      <div className="public-pillars">
        <aside className={done ? 'public-about done' : 'public-about'}>
          {done ? <p className="public-title serif">{form.title}</p> : <h1 className="public-title">{form.title}</h1>}
          <p className="public-intro">{form.intro}</p>
          <div className="public-drawing">
            <Drawing name={business.drawing} width={332} />
          </div>
          <Promises form={form} />
        </aside>
        <main className="public-sheet">{children}</main>
      </div>
      <footer className="public-below">
        <Promises form={form} />
      </footer>
    </Branded>
  );
}

/** What happens next, and what becomes of the answers: beside the form, or beneath it where there is no room. */
function Promises({ form }: { form: PublicForm }) {
  const { business } = form;
  return (
    <>
      <dl className="public-steps">
        {form.steps.map((step) => (
          <div key={step.when}>
            <dt className="serif">{step.when}</dt>
            <dd>{step.what}</dd>
          </div>
        ))}
      </dl>
      <div className="public-privacy">
        {form.privacy && (
          <p>
            <b>Your answers stay here.</b> {form.privacy}
          </p>
        )}
        <p>{business.address}</p>
      </div>
    </>
  );
}
