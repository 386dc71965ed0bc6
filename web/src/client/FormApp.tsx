import { useEffect, useState } from 'react';
import { ProblemError, type Schema } from '../shared/api';
import { ComingRows, Trouble } from '../shared/Notice';
import '../form/form.css';
import './page.css';
import { forgetCarried } from './carry';
import { keptAs } from './draft';
import { FilledIn } from './FilledIn';
import { PublicFrame } from './PublicFrame';
import { usePersonalForm } from '../form/publicForm';
import { Thanks } from './Thanks';
import { addressOf, goTo, growWithContent, inFrame, personalLink } from './whereFrom';

/** A published form: loading, filling in, thanks; or that there is none. Times follow where it is filled in for a booking page. */
export function FormApp({ slug, booking = '' }: { slug: string; booking?: string }) {
  const [link] = useState(personalLink);
  const opened = usePersonalForm(slug, link);
  const form = { data: opened.data?.form, error: opened.error, refetch: opened.refetch };
  const [receipt, setReceipt] = useState<Schema<'Receipt'> | null>(null);
  const title = form.data ? `${receipt ? 'Thank you' : form.data.title} · ${form.data.business.name}` : 'Form';
  useEffect(() => {
    document.title = title;
  }, [title]);

  useEffect(growWithContent, []);

  if (form.data && receipt) {
    return (
      <PublicFrame form={form.data} done>
        <Thanks form={form.data} receipt={receipt} onAnother={() => setReceipt(null)} />
      </PublicFrame>
    );
  }
  if (form.data) {
    return (
      <PublicFrame form={form.data}>
        <FilledIn
          slug={slug}
          form={form.data}
          booking={booking}
          personal={{ link, who: opened.data?.who ?? null }}
          onSent={(sent) => {
            forgetCarried(keptAs(slug, link));
            if (sent.next?.kind === 'address') goTo(sent.next.to);
            else if (sent.next?.kind === 'booking') window.location.assign(inFrame(sent.next.to));
            else if (sent.next?.kind === 'form') window.location.assign(addressOf(sent.next.to, sent.next.for));
            else setReceipt(sent);
          }}
        />
      </PublicFrame>
    );
  }
  if (form.error instanceof ProblemError && form.error.status === 404) {
    return (
      <main className="public-plain">
        <h1>There is no such form</h1>
        <p>It may have been closed, or the address has a letter too many. Ask whoever gave it to you.</p>
      </main>
    );
  }
  if (form.error instanceof ProblemError && form.error.status === 410) {
    return (
      <main className="public-plain">
        <h1>This form is closed</h1>
        <p>{form.error.message}</p>
      </main>
    );
  }
  return (
    <main className="public-plain">
      {form.error ? (
        <>
          <h1>The form could not be loaded</h1>
          <Trouble title="Not loaded" again={() => void form.refetch()}>
            {form.error.message}
          </Trouble>
        </>
      ) : (
        <>
          <h1 className="unseen">Loading the form</h1>
          <ComingRows rows={5} />
        </>
      )}
    </main>
  );
}
