import Link from '@mui/material/Link';
import { useEffect, useRef } from 'react';
import type { Schema } from '../shared/api';
import { Mark } from '../shared/Mark';
import type { PublicForm } from '../form/types';

export function Thanks({
  form,
  receipt,
  onAnother,
}: {
  form: PublicForm;
  receipt: Schema<'Receipt'>;
  onAnother: () => void;
}) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
    window.scrollTo(0, 0);
  }, []);
  return (
    <div className="thanks">
      <Mark kind="done">sent</Mark>
      <h1 ref={heading} tabIndex={-1}>
        We have it
      </h1>
      <p className="thanks-words">{receipt.message}</p>
      <dl className="thanks-number">
        <dt>Your number</dt>
        <dd>{receipt.reference}</dd>
      </dl>
      <p>
        Keep it for when you call{form.business.phone && <> {form.business.phoneText}</>}. You need not send anything
        again.
      </p>
      <p>
        <Link component="button" type="button" onClick={onAnother}>
          Send another
        </Link>
      </p>
    </div>
  );
}
