import Button from '@mui/material/Button';
import { DateTime } from 'luxon';
import { useEffect, useState } from 'react';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Trouble } from '../../shared/Notice';
import { fileSize } from '../../shared/numbers';
import { Branded } from '../Branded';
import { LinkPage } from '../LinkPage';
import { useKept } from '../useKept';
import { QuoteLines } from './QuoteLines';
import { SignPad } from './SignPad';
import { sayOpened, useQuote, useQuoteActs, useSums, type Page } from './queries';
import './quote.css';

/** A quote for the client, by the link in their mail: read it, choose, ask, say no, or accept and sign. */
export function QuoteApp({ token }: { token: string }) {
  const page = useQuote(token);
  const is = page.data !== undefined;
  useEffect(() => {
    if (is) sayOpened(token);
  }, [is, token]);
  if (page.data) return <TheQuote page={page.data} token={token} />;
  return <LinkPage query={page} failed="The quote could not be loaded" />;
}

function day(iso: string): string {
  return DateTime.fromISO(iso).setLocale('en-IE').toFormat('cccc d MMMM yyyy');
}

function TheQuote({ page, token }: { page: Page; token: string }) {
  const { quote, business } = page;
  useEffect(() => {
    document.title = `Quote ${quote.number} · ${business.name}`;
  }, [quote.number, business.name]);
  return (
    <Branded business={business} className="public quote-page">
      <main className="quote-sheet">
        <div className="quote-body">
          <header>
            <h1>Your quote{quote.first ? `, ${quote.first}` : ''}</h1>
            <p className="quote-facts">
              Quote {quote.number}
              {quote.sent && `, sent ${day(quote.sent)}`}
              <br />
              Good until {day(quote.validUntil)}
            </p>
          </header>
          {quote.changed.length > 0 && (
            <details className="quote-changed" open>
              <summary>What changed since the one before</summary>
              <ul>
                {quote.changed.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </details>
          )}
          {quote.intro && <p className="quote-intro serif">{quote.intro}</p>}
          <Open page={page} token={token} />
        </div>
      </main>
    </Branded>
  );
}

function Open({ page, token }: { page: Page; token: string }) {
  const { quote } = page;
  const over = quote.over !== '';
  const choices = quote.lines.filter((line) => line.choice);
  const first = choices.filter((line) => line.ticked).map((one) => one.key);
  // What is chosen outlives whatever is learned of the quote meanwhile, a reload too; what is agreed is as it was agreed.
  const [kept, setKept] = useKept(`quote-ticked ${quote.number} ${token}`);
  const chosen = kept === '' ? first : choices.map((one) => one.key).filter((key) => kept.split(' ').includes(key));
  const ticked = over ? first : chosen;
  const setTicked = (keys: string[]) => setKept(`- ${keys.join(' ')}`);
  const changed = [...ticked].sort().join(' ') !== [...first].sort().join(' ');
  const asked = useSums(token, ticked, changed);
  const sums = changed ? asked.data : quote.totals;
  return (
    <>
      <QuoteLines
        lines={quote.lines}
        nets={sums?.lines ?? quote.totals.lines}
        ticked={ticked}
        onTick={over ? undefined : setTicked}
      />
      <p className="second">
        Prices in {quote.currency}, {quote.gross ? 'with VAT' : 'without VAT until the total'}. {quote.reason}
      </p>
      {quote.terms && (
        <details className="quote-terms">
          <summary>Terms</summary>
          <p>{quote.terms}</p>
        </details>
      )}
      <p>
        <a href={`/api/public/quotes/${token}/quote.pdf`}>
          {quote.signed ? 'What was signed, as a PDF file' : 'The same as a PDF file'}
        </a>
        {quote.signed && (
          <>
            {' · '}
            <a href={`/api/public/quotes/${token}/evidence.json`}>its record</a>
            {' · '}
            <a href="/check">Is this what was signed?</a>
          </>
        )}
      </p>
      {quote.questions.length > 0 && (
        <section className="quote-asked" aria-label="What you asked">
          <h2>What you asked</h2>
          <dl>
            {quote.questions.map((one, i) => (
              <div key={i}>
                <dt>{one.words}</dt>
                <dd>{one.answer || <span className="second">We answer you soon.</span>}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {quote.files.length > 0 && (
        <section className="quote-files" aria-label="Files with it">
          <h2>Files with it</h2>
          <ul>
            {quote.files.map((file) => (
              <li key={file.id}>
                <a href={`/api/public/quotes/${token}/files/${file.id}`} target="_blank" rel="noreferrer">
                  {file.isImage && (
                    <img
                      src={`/api/public/quotes/${token}/files/${file.id}`}
                      alt=""
                      loading="lazy"
                      width="96"
                      height="72"
                    />
                  )}
                  {file.name}
                </a>{' '}
                <small className="second">
                  {fileSize(file.size)}
                  {file.note && `, ${file.note}`}
                </small>
              </li>
            ))}
          </ul>
        </section>
      )}
      <aside className="quote-yes" aria-label="What you say yes to">
        <h2>{over ? 'What it comes to' : 'What you say yes to'}</h2>
        <dl className={sums ? '' : 'old'} aria-live="polite">
          {(sums ?? quote.totals).sums.map((one, i) => (
            <Row key={`${i}${one.label}`} label={one.label} value={sums ? one.value : '…'} total={one.total} />
          ))}
        </dl>
        {(sums ?? quote.totals).payments.length > 0 && (
          <>
            <h3>How it is paid</h3>
            <dl className={sums ? '' : 'old'}>
              {(sums ?? quote.totals).payments.map((one, i) => (
                <Row key={`${i}${one.label}`} label={one.label} value={sums ? one.value : '…'} />
              ))}
            </dl>
          </>
        )}
        {changed && asked.error && (
          <Trouble title="Not added up" again={() => void asked.refetch()}>
            {asked.error.message}
          </Trouble>
        )}
        {quote.byOffice ? (
          <Looking />
        ) : over ? (
          <Over page={page} />
        ) : (
          <Answer token={token} ticked={ticked} total={sums?.total ?? ''} totalText={sums?.totalText ?? ''} />
        )}
      </aside>
    </>
  );
}

/** In the place of what the client can do: whoever looks here from the office leaves no trace. */
function Looking() {
  return (
    <p className="quote-over" role="status">
      <Mark kind="stopped">the office looks</Mark> This is what your client sees. It does not count as opened, and only
      they can answer here: open the link in a private window where they sit beside you.
    </p>
  );
}

function Row({ label, value, total = false }: { label: string; value: string; total?: boolean }) {
  return (
    <div className={total ? 'total' : ''}>
      <dt>{label}</dt>
      <dd className={total ? 'serif' : ''}>{value}</dd>
    </div>
  );
}

function Over({ page: { quote, business } }: { page: Page }) {
  return (
    <div className="quote-over" role="status">
      <Mark kind={quote.state === 'accepted' ? 'done' : 'stopped'}>
        {quote.state === 'accepted' ? 'agreed' : quote.state === 'declined' ? 'declined' : 'not open'}
      </Mark>
      <p>{quote.over}</p>
      {quote.signed && (
        <p>
          Signed by {quote.signed.name} on {day(quote.signed.at)}. A copy is on its way to you by mail.
        </p>
      )}
      {business.phone && (
        <p>
          <a href={`tel:${business.phone}`}>Ring us, {business.phoneText}</a>
        </p>
      )}
    </div>
  );
}

function Answer({
  token,
  ticked,
  total,
  totalText,
}: {
  token: string;
  ticked: string[];
  total: string;
  totalText: string;
}) {
  const { ask, decline, accept } = useQuoteActs(token);
  const [name, setName] = useKept(`quote-name ${token}`);
  const [drawing, setDrawing] = useState('');
  const [doing, setDoing] = useState<'sign' | 'ask' | 'decline'>('sign');
  const [words, setWords] = useKept(`quote-words ${token}`);
  const wrong = accept.error instanceof ProblemError ? accept.error.violations : [];
  const beside = (path: string) => wrong.find((one) => one.path === path)?.message;
  const trouble = [accept, ask, decline].find((one) => one.error && wrong.length === 0)?.error;
  return (
    <div className="quote-answer">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!accept.isPending && total !== '') accept.mutate({ ticked, total, name, drawing });
        }}
      >
        <label>
          <b>Your full name</b>
          <input
            value={name}
            maxLength={200}
            autoComplete="name"
            aria-invalid={beside('name') !== undefined}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        {beside('name') && (
          <p className="quote-wrong" role="alert">
            {beside('name')}
          </p>
        )}
        <b id="signature">Your signature</b>
        <SignPad onDrawn={setDrawing} />
        <p className="second">Without a drawing, your typed name is your signature.</p>
        {beside('drawing') && (
          <p className="quote-wrong" role="alert">
            {beside('drawing')}
          </p>
        )}
        {trouble && (
          <p className="quote-wrong" role="alert">
            {trouble.message}
          </p>
        )}
        <Button type="submit" variant="contained" size="large" fullWidth disabled={accept.isPending || total === ''}>
          <span>{accept.isPending ? 'One moment …' : 'Accept and sign'}</span>{' '}
          <span className="figures">{totalText}</span>
        </Button>
      </form>
      <p className="quote-ways">
        <button type="button" className="link" onClick={() => setDoing(doing === 'ask' ? 'sign' : 'ask')}>
          Ask a question
        </button>
        <button type="button" className="link" onClick={() => setDoing(doing === 'decline' ? 'sign' : 'decline')}>
          No, thank you
        </button>
      </p>
      {ask.isSuccess && doing === 'sign' && (
        <p role="status">
          <Mark kind="done">asked</Mark> We answer you soon. The quote stays open.
        </p>
      )}
      {doing !== 'sign' && (
        <form
          className="quote-words"
          onSubmit={(event) => {
            event.preventDefault();
            const after = {
              onSuccess: () => {
                setWords('');
                setDoing('sign');
              },
            };
            if (doing === 'ask') ask.mutate(words, after);
            else decline.mutate(words, after);
          }}
        >
          <label>
            <b>{doing === 'ask' ? 'What would you like to know?' : 'Why not? It helps us, and may stay empty.'}</b>
            <textarea
              rows={3}
              maxLength={doing === 'ask' ? 2000 : 500}
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </label>
          <Button
            type="submit"
            variant="outlined"
            disabled={ask.isPending || decline.isPending || (doing === 'ask' && words.trim() === '')}
          >
            {doing === 'ask' ? 'Send the question' : 'Say no to this quote'}
          </Button>
        </form>
      )}
    </div>
  );
}
