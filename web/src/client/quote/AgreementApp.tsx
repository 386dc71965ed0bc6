import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Branded } from '../Branded';
import { LinkPage } from '../LinkPage';
import { useKept } from '../useKept';
import { SignPad } from './SignPad';
import './quote.css';

type Page = Schema<'AgreementPage'>;

/** An agreement for the client, by the link in their mail: read it, sign it, or say no. */
export function AgreementApp({ token }: { token: string }) {
  const page = useQuery({
    queryKey: ['agreement', token],
    queryFn: () => need(api.GET('/api/public/agreements/{token}', { params: { path: { token } } })),
    staleTime: 60_000,
    refetchOnWindowFocus: false,
  });
  const is = page.data !== undefined;
  useEffect(() => {
    if (is) void api.POST('/api/public/agreements/{token}/opened', { params: { path: { token } } });
  }, [is, token]);
  if (page.data) return <TheAgreement page={page.data} token={token} />;
  return <LinkPage query={page} failed="It could not be loaded" />;
}

function TheAgreement({ page, token }: { page: Page; token: string }) {
  const { agreement, business } = page;
  const cache = useQueryClient();
  const [name, setName] = useKept(`agreement-name ${token}`);
  const [drawing, setDrawing] = useState('');
  const [refusing, setRefusing] = useState(false);
  const params = { path: { token } };
  const shown = {
    onSuccess: (next: Page) => cache.setQueryData(['agreement', token], next),
    onError: () => void cache.invalidateQueries({ queryKey: ['agreement', token] }),
  };
  const sign = useMutation({
    mutationFn: () => need(api.POST('/api/public/agreements/{token}/sign', { params, body: { name, drawing } })),
    ...shown,
  });
  const decline = useMutation({
    mutationFn: () => need(api.POST('/api/public/agreements/{token}/decline', { params, body: { reason: '' } })),
    ...shown,
  });
  useEffect(() => {
    document.title = `${agreement.title} · ${business.name}`;
  }, [agreement.title, business.name]);
  const violations = sign.error instanceof ProblemError ? sign.error.violations : [];
  const trouble = violations[0]?.message ?? sign.error?.message ?? decline.error?.message;
  return (
    <Branded business={business} className="public quote-page">
      <main className="quote-sheet">
        <div className="quote-body">
          <header>
            <h1>{agreement.title}</h1>
          </header>
          <div className="agreement-text">{agreement.text}</div>
          <p>
            <a href={`/api/public/agreements/${token}/agreement.pdf`}>The same as a PDF file</a>
            {agreement.state === 'signed' && (
              <>
                {' · '}
                <a href={`/api/public/agreements/${token}/evidence.json`}>its record</a>
                {' · '}
                <a href="/check">Is this what was signed?</a>
              </>
            )}
          </p>
          <aside className="quote-yes" aria-label="Sign it">
            <h2>{agreement.over ? 'How it stands' : 'Sign it'}</h2>
            {agreement.byOffice ? (
              <p className="quote-over" role="status">
                <Mark kind="stopped">the office looks</Mark> This is what your client sees. It does not count as opened,
                and only they can answer here.
              </p>
            ) : agreement.over ? (
              <div className="quote-over" role="status">
                <Mark kind={agreement.state === 'signed' ? 'done' : 'stopped'}>{agreement.state}</Mark>
                <p>{agreement.over}</p>
              </div>
            ) : (
              <form
                className="quote-answer"
                onSubmit={(event) => {
                  event.preventDefault();
                  if (!sign.isPending) sign.mutate();
                }}
              >
                <label>
                  <b>Your full name</b>
                  <input
                    value={name}
                    maxLength={200}
                    autoComplete="name"
                    aria-invalid={violations.some((one) => one.path === 'name')}
                    onChange={(event) => setName(event.target.value)}
                  />
                </label>
                <b>Your signature</b>
                <SignPad onDrawn={setDrawing} />
                <p className="second">Without a drawing, your typed name is your signature.</p>
                {trouble && (
                  <p className="quote-wrong" role="alert">
                    {trouble}
                  </p>
                )}
                <Button type="submit" variant="contained" size="large" fullWidth disabled={sign.isPending}>
                  {sign.isPending ? 'One moment …' : 'Sign it'}
                </Button>
                <p className="quote-ways">
                  {refusing ? (
                    <>
                      <span>We are told, and the link is over. Is that so?</span>{' '}
                      <button
                        type="button"
                        className="link"
                        disabled={decline.isPending}
                        onClick={() => decline.mutate()}
                      >
                        Yes, say no to it
                      </button>
                      <button type="button" className="link" autoFocus onClick={() => setRefusing(false)}>
                        Go on
                      </button>
                    </>
                  ) : (
                    <button type="button" className="link" onClick={() => setRefusing(true)}>
                      I do not sign it
                    </button>
                  )}
                </p>
              </form>
            )}
          </aside>
        </div>
      </main>
    </Branded>
  );
}
