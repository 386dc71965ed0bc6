import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { JSONContent } from '@tiptap/core';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { KeptFile } from '../../form/upload';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { Trouble } from '../../shared/Notice';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { useToast } from '../shell/Toast';
import { faultsOf } from '../shell/faultsOf';
import { useOnce } from '../shell/useOnce';
import { useUnsaved } from '../shell/useUnsaved';
import { Earlier } from './Earlier';
import { LetterFiles } from './LetterFiles';
import { HandText } from './HandText';
import { isPlain } from './handText';
import './messages.css';
import './templates/templates.css';
import { TextLength } from './TextLength';
import { useAddressee, useWays, type Addresses } from './useAddressee';
import { useTemplates } from './templates/queries';
import { useProject } from '../shell/asked';

interface Draft {
  id: string;
  channel: Schema<'MessageChannel'>;
  /** Where it goes, by its channel: what was typed. */
  addresses: Addresses;
  subject: string;
  text: string;
  /** With headings, lists and links; null where it is written plainly. */
  document: JSONContent | null;
  sendAt: string;
  files: string[];
  brought: KeptFile[];
  /** The template that it came from, and what that sends along. */
  template: string;
  papers: { paper: string; name: string; goes: boolean }[];
  /** Where somebody has to write what the template could not know. */
  places: string[];
}

/** The letter has its id before it is sent: the same again is one letter. */
const newId = () => newKey().replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');

/** A letter by hand: from a template or from nothing; kept as it is typed. */
export function WriteScreen() {
  const [search] = useSearchParams();
  const of = (name: string) => search.get(name) ?? '';
  const about = { named: of('client'), project: of('project'), submission: of('submission'), answers: of('answers') };
  const subject = of('subject');
  // What is typed to one is never shown under another's name.
  return <LetterByHand key={Object.values(about).join()} {...about} subject={subject} />;
}

interface About {
  named: string;
  project: string;
  submission: string;
  answers: string;
  /** What the letter is about, where whoever led here knows it. */
  subject: string;
}

function LetterByHand({ named, project, submission, answers, subject }: About) {
  const about = useProject(project);
  const client = named || (about.data?.client.id ?? '');
  const who = useAddressee(client, submission, answers);
  const [typed, setTyped, forget] = useUnsaved<Partial<Draft> & { id: string }>(
    `write.${named || project || submission || answers || 'new'}`,
    { id: newId() },
  );
  const { signature } = useSignedIn().user;
  const channel = typed.channel ?? who.channel;
  const ways = useWays(client);
  const way = ways.data?.items.find((one) => one.value === channel);
  const asText = way ? !way.isLetter : channel === 'text';
  const takesFiles = way?.takesFiles ?? !asText;
  const draft: Draft = {
    channel,
    addresses: {},
    subject: who.subject || subject,
    text: signature && !asText ? `\n\n${signature}` : '',
    document: null,
    sendAt: '',
    files: [],
    brought: [],
    template: '',
    papers: [],
    places: [],
    ...typed,
  };
  const to = draft.addresses[channel] ?? (who.to[channel] || (way?.to ?? ''));
  const newest = useRef(typed);
  useEffect(() => {
    // It may have been typed in another window.
    newest.current = typed;
  }, [typed]);
  const change = (part: Partial<Draft>) => {
    newest.current = { ...newest.current, ...part };
    setTyped(newest.current);
  };
  const address = (words: string) => change({ addresses: { ...newest.current.addresses, [channel]: words } });
  const [before, setBefore] = useState<Partial<Draft> | null>(null);
  const templates = useTemplates();
  const [fill, setFill] = useState('');
  const [bringing, setBringing] = useState(false);
  const navigate = useNavigate();
  const toast = useToast();
  const today = useToday();
  const queries = useQueryClient();
  const once = useOnce();
  const send = useMutation({
    mutationFn: () =>
      need(
        api.PUT('/api/messages/{id}', {
          params: { path: { id: draft.id } },
          body: {
            channel: draft.channel,
            to,
            ...(asText ? {} : { subject: draft.subject }),
            text: draft.text,
            ...(asText || !draft.document ? {} : { document: draft.document as Schema<'MessageDocument'> }),
            ...(draft.sendAt ? { sendAt: draft.sendAt } : {}),
            ...(takesFiles ? { files: draft.files, uploads: draft.brought.map((file) => file.id) } : {}),
            ...(draft.template && takesFiles
              ? {
                  template: draft.template,
                  papers: draft.papers.filter((one) => one.goes).map((one) => one.paper),
                }
              : {}),
            client,
            project,
            submission,
            answers,
          },
        }),
      ),
    onSuccess: (sent) => {
      forget();
      toast({ words: sent.leavesAt ? 'It leaves at its time. U takes it back until then.' : 'On its way' });
      void navigate(`/messages/${sent.id}`, { replace: true });
    },
    onError: (failed) => {
      // Another window sent it, or what was sent was changed: the next sending is a letter of its own.
      if (failed instanceof ProblemError && failed.status === 409) change({ id: newId() });
    },
    onSettled: () => queries.invalidateQueries(),
  });
  const { beside: fault, other } = faultsOf(send.error);
  const open = draft.places.filter((place) => `${draft.subject}\n${draft.text}`.includes(place));
  const template = useMutation({
    mutationFn: async (id: string) => ({
      ...(await need(
        api.POST('/api/templates/{id}/by-hand', {
          params: { path: { id } },
          body: { client, project, submission, answers },
        }),
      )),
      from: id,
    }),
    onSuccess: ({ subject, document, text: letter, textMessage, places, papers: along, from }) => {
      const text = asText ? textMessage : letter;
      if (text === '') {
        toast({ words: 'This template has no words for a text message. Write them in Templates.' });
        setFill('');
        return;
      }
      // What was typed until now can be had back.
      const {
        subject: hadSubject,
        text: hadText,
        document: hadDocument = null,
        template: had = '',
        papers: hadPapers = [],
      } = newest.current;
      if (hadText?.trim())
        setBefore({
          ...(hadSubject === undefined ? {} : { subject: hadSubject }),
          text: hadText,
          document: hadDocument,
          template: had,
          papers: hadPapers,
        });
      const papers = along.map((one) => ({ ...one, goes: true }));
      change({
        subject,
        text,
        document: asText || isPlain(document) ? null : document,
        papers,
        places,
        template: from,
      });
    },
    onError: () => setFill(''),
  });
  return (
    <Pillars
      title="Write"
      pillars={[
        {
          name: 'Letter',
          sheet: true,
          width: '640px',
          middling: '1fr',
          content: (
            <form
              className="write-letter"
              onSubmit={(event) => {
                event.preventDefault();
              }}
            >
              <div className="pillar-head">
                <h1>{who.name ? `Write to ${who.name}` : 'Write'}</h1>
                <small>{submission ? 'it answers the arrival, and stops its clock' : answers ? 'an answer' : ''}</small>
              </div>
              <label className="field-label" htmlFor="write-by">
                As
              </label>
              {ways.data && (
                <select
                  id="write-by"
                  value={channel}
                  onChange={(event) => {
                    change({ channel: event.target.value as Draft['channel'] });
                    send.reset();
                  }}
                >
                  {ways.data.items.map((one) => (
                    <option key={one.value} value={one.value}>
                      {one.label}
                    </option>
                  ))}
                </select>
              )}
              {ways.error && (
                <Trouble title="Not loaded" again={() => void ways.refetch()}>
                  {ways.error.message}
                </Trouble>
              )}
              <label className="field-label" htmlFor="write-to">
                To
              </label>
              {way?.input === 'lines' ? (
                <textarea
                  id="write-to"
                  rows={3}
                  maxLength={250}
                  value={to}
                  onChange={(event) => address(event.target.value)}
                />
              ) : (
                <input
                  id="write-to"
                  type={way?.input ?? 'email'}
                  value={to}
                  onChange={(event) => address(event.target.value)}
                />
              )}
              {fault('to')}
              <label className="field-label" htmlFor="write-template">
                From a template
              </label>
              <select
                id="write-template"
                value={fill}
                onChange={(event) => {
                  setFill(event.target.value);
                  if (event.target.value) template.mutate(event.target.value);
                }}
              >
                <option value="">from nothing</option>
                {(templates.data ?? [])
                  .filter((one) => one.purpose === 'client' && !one.retired)
                  .map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.name}
                    </option>
                  ))}
              </select>
              {template.error && (
                <p className="fault" role="alert">
                  {template.error.message}
                </p>
              )}
              {before && (
                <p className="second">
                  The template stands in place of what you had written.{' '}
                  <button
                    type="button"
                    className="link-button"
                    onClick={() => {
                      change(before);
                      setBefore(null);
                      setFill('');
                    }}
                  >
                    Put mine back
                  </button>
                </p>
              )}
              {!asText && (
                <>
                  <label className="field-label" htmlFor="write-subject">
                    Subject
                  </label>
                  <input
                    id="write-subject"
                    value={draft.subject}
                    maxLength={200}
                    onChange={(event) => change({ subject: event.target.value })}
                  />
                  {fault('subject')}
                </>
              )}
              <HandText asText={asText} text={draft.text} document={draft.document} onChange={change} />
              {fault('text')}
              {open.length > 0 && <p className="second">Still to be written: {open.join(', ')}</p>}
              {asText && <TextLength text={draft.text} />}
              {takesFiles && (
                <LetterFiles
                  client={client}
                  project={project}
                  papers={draft.papers}
                  onPapers={(papers) => change({ papers })}
                  files={draft.files}
                  brought={draft.brought}
                  onFiles={(files) => change({ files })}
                  onBrought={(brought) => change({ brought })}
                  onBusy={setBringing}
                />
              )}
              {fault('files')}
              {fault('uploads')}
              {fault('papers')}
              <label className="field-label" htmlFor="write-at">
                Send at; empty for now
              </label>
              <input
                id="write-at"
                type="datetime-local"
                value={draft.sendAt}
                onChange={(event) => change({ sendAt: event.target.value })}
              />
              {fault('sendAt')}
              {other && (
                <p className="fault" role="alert">
                  {other} What you wrote is kept.
                </p>
              )}
            </form>
          ),
          blocks: [
            {
              label: send.isPending
                ? 'Sending…'
                : bringing
                  ? 'Files are coming…'
                  : draft.sendAt
                    ? 'Send it then'
                    : (way?.act ?? 'Send'),
              keyName: 'main',
              main: true,
              disabled:
                send.isPending ||
                bringing ||
                template.isPending ||
                who.isComing ||
                !way ||
                about.isLoading ||
                !draft.text.trim(),
              act: () => once((done) => send.mutate(undefined, { onSettled: done })),
            },
            {
              label: 'Discard',
              act: () => {
                forget();
                void navigate(-1);
              },
            },
          ],
        },
        {
          name: 'Before',
          width: '1fr',
          middling: '340px',
          content: (
            <>
              {who.before && (
                <>
                  <div className="pillar-head">
                    <h2>What they wrote</h2>
                  </div>
                  <div className="letter-text write-before">{who.before}</div>
                </>
              )}
              {client && <Earlier client={client} today={today} />}
            </>
          ),
        },
      ]}
    />
  );
}
