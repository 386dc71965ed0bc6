import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { Mark, type MarkKind } from '../../shared/Mark';
import { newKey } from '../../shared/newKey';
import { ComingRows, Empty } from '../../shared/Notice';
import { shortDay } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { useToday } from '../shell/day';
import { Allowed } from '../shell/Allowed';
import { SectionRows } from '../shell/SectionRows';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import './quotes.css';

const states: Record<Schema<'AgreementState'>, { mark: MarkKind; word: string }> = {
  sent: { mark: 'waiting', word: 'sent' },
  signed: { mark: 'done', word: 'signed' },
  declined: { mark: 'stopped', word: 'declined' },
  withdrawn: { mark: 'stopped', word: 'withdrawn' },
};

/** What the client of a project was asked to sign, and the way to another. */
export function AgreementsOfProject({ id }: { id: string; name: string }) {
  const [writing, setWriting] = useState(false);
  const queries = useQueryClient();
  const toast = useToast();
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.agreements(id),
    queryFn: () => need(api.GET('/api/agreements', { params: { query: { project: id } } })),
  });
  const withdraw = useMutation({
    mutationFn: (one: string) => need(api.POST('/api/agreements/{id}/withdraw', { params: { path: { id: one } } })),
    onSettled: () => void queries.invalidateQueries(),
    onError: (error) => toast({ words: error.message }),
  });
  return (
    <>
      <SectionRows
        title="Agreements"
        small={
          <Allowed to="quotes.keep">
            <button type="button" className="link-button" aria-expanded={writing} onClick={() => setWriting(!writing)}>
              Send for signature
            </button>
          </Allowed>
        }
        list={list}
        empty={<Empty fact="Nothing to sign.">Send a text; signed, it lands here by itself.</Empty>}
      >
        {(agreements) => (
          <ul className="rows lines">
            {agreements.map((one) => (
              <li key={one.id}>
                <span className="line-top">
                  <a href={`/api/agreements/${one.id}/pdf`} target="_blank" rel="noreferrer">
                    {one.title}
                  </a>
                  <Mark kind={states[one.state].mark}>{states[one.state].word}</Mark>
                </span>
                <small>
                  {one.state === 'signed'
                    ? `by ${one.signedBy}, ${shortDay((one.answeredAt ?? one.sentAt).slice(0, 10), today)}`
                    : one.state === 'sent'
                      ? one.openedAt
                        ? 'opened'
                        : 'not opened yet'
                      : one.reason}
                  {one.state === 'sent' && (
                    <>
                      {' '}
                      <a href={`/agreement/${one.token}`} target="_blank" rel="noreferrer">
                        as the client
                      </a>{' '}
                      <button
                        type="button"
                        className="link-button"
                        disabled={withdraw.isPending}
                        onClick={() => withdraw.mutate(one.id)}
                      >
                        Withdraw<span className="unseen"> {one.title}</span>
                      </button>
                    </>
                  )}
                </small>
              </li>
            ))}
          </ul>
        )}
      </SectionRows>
      {writing && <Writing project={id} onDone={() => setWriting(false)} />}
    </>
  );
}

function Writing({ project, onDone }: { project: string; onDone: () => void }) {
  const draft = useQuery({
    queryKey: [...queryKeys.agreements(project), 'draft'],
    queryFn: () => need(api.GET('/api/agreements/draft', { params: { query: { project } } })),
    staleTime: Infinity,
  });
  if (!draft.data) return <ComingRows rows={4} />;
  return <Written key={project} project={project} draft={draft.data} onDone={onDone} />;
}

function Written({
  project,
  draft,
  onDone,
}: {
  project: string;
  draft: { title: string; text: string };
  onDone: () => void;
}) {
  const [kept, setKept, forget] = useUnsaved(`agreement.${project}`, draft);
  const { title, text } = kept;
  const [key] = useState(newKey);
  const queries = useQueryClient();
  const toast = useToast();
  const send = useMutation({
    mutationFn: () =>
      need(
        api.POST('/api/agreements', { params: { header: { 'Idempotency-Key': key } }, body: { project, title, text } }),
      ),
    onSuccess: () => {
      forget();
      toast({ words: `${title} is on its way. U takes it back.` });
      onDone();
    },
    onSettled: () => void queries.invalidateQueries(),
  });
  const violations = send.error instanceof ProblemError ? send.error.violations : [];
  const beside = (path: string) => violations.find((one) => one.path === path)?.message;
  return (
    <form
      className="agreement-form"
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate();
      }}
    >
      <StaffField
        label="Title"
        value={title}
        maxLength={200}
        error={beside('title')}
        onChange={(event) => setKept({ title: event.target.value, text })}
      />
      <label className="quote-words">
        <span className="second">What is agreed</span>
        <textarea
          rows={10}
          maxLength={50000}
          value={text}
          onChange={(event) => setKept({ title, text: event.target.value })}
        />
      </label>
      {send.error && (
        <p className="staff-field-error" role="alert">
          {beside('text') ?? beside('client') ?? beside('title') ?? send.error.message}
        </p>
      )}
      <p className="visit-buttons">
        <Button type="submit" size="small" variant="contained" disabled={send.isPending}>
          Send it
        </Button>{' '}
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            forget();
            onDone();
          }}
        >
          Leave it
        </Button>
      </p>
    </form>
  );
}
