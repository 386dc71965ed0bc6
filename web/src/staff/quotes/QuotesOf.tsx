import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newKey } from '../../shared/newKey';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { Allowed } from '../shell/Allowed';
import { SectionRows } from '../shell/SectionRows';
import { useToast } from '../shell/Toast';
import { useDraft, useQuotesOf, useTemplates } from './queries';
import { money, states } from './states';

export function QuotesOfClient({ id, name }: { id: string; name: string }) {
  return <QuotesOf of="client" id={id} name={name} />;
}

export function QuotesOfProject({ id, name }: { id: string; name: string }) {
  return <QuotesOf of="project" id={id} name={name} />;
}

/** The quotes of a client or a project, and the way to another. */
function QuotesOf({ of, id, name }: { of: 'client' | 'project'; id: string; name: string }) {
  const list = useQuotesOf(of, id);
  const draft = useDraft();
  const navigate = useNavigate();
  const toast = useToast();
  const templates = useTemplates().data?.items ?? [];
  const [key] = useState(newKey);
  const write = (template?: string) =>
    draft.mutate(
      // Each beginning is a sending of its own: one after the other makes two quotes, the same twice makes one.
      { key: `${key} ${template ?? ''}`, [of]: id, ...(template ? { template } : {}) },
      {
        onSuccess: (quote) => void navigate(`/quotes/${quote.id}`),
        onError: (error) => toast({ words: error.message }),
      },
    );
  const begin = templates.length > 0 && (
    <p className="second quote-templates">
      From a template:{' '}
      {templates.map((one) => (
        <button
          key={one.id}
          type="button"
          className="link-button"
          disabled={draft.isPending}
          onClick={() => write(one.id)}
        >
          {one.name}
        </button>
      ))}
    </p>
  );
  return (
    <>
      <SectionRows
        title="Quotes"
        small={
          <Allowed to="quotes.keep">
            <button type="button" className="link-button" disabled={draft.isPending} onClick={() => write()}>
              Write a quote
            </button>
          </Allowed>
        }
        list={list}
        empty={<Empty fact="No quote yet.">Write one for {name}: its lines come from the answers.</Empty>}
      >
        {(quotes) => (
          <ul className="rows lines">
            {quotes.map((quote) => (
              <li key={quote.id}>
                <span className="line-top">
                  <Link to={`/quotes/${quote.id}`}>{quote.number}</Link>
                  <Mark kind={states[quote.state].mark}>{states[quote.state].word}</Mark>
                </span>
                <small>
                  {money(quote.total)} {quote.currency}
                  {quote.next.words && `, ${quote.next.words.toLowerCase()}`}
                </small>
              </li>
            ))}
          </ul>
        )}
      </SectionRows>
      {begin}
    </>
  );
}
