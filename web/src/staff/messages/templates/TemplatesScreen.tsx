import { lazy, Suspense, useEffect, useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { ProblemError } from '../../../shared/api';
import { ComingRows, Trouble } from '../../../shared/Notice';
import { when } from '../../../shared/words';
import { useKey } from '../../keys';
import { useToday } from '../../shell/day';
import { Pillars } from '../../shell/Pillars';
import { PillarsWaiting } from '../../shell/PillarsWaiting';
import { NotFound } from '../../shell/Plain';
import { useToast } from '../../shell/Toast';
import { useOnce } from '../../shell/useOnce';
import { AlsoWriting } from '../../shell/AlsoWriting';
import { Behind } from '../../shell/Behind';
import '../messages.css';
import { Encloses } from './Encloses';
import { Fields } from './fields';
import {
  fetchVersion,
  useExamples,
  useKeepTemplate,
  usePreview,
  useRetireTemplate,
  useTemplate,
  useTemplates,
  useTestTemplate,
  type Draft,
  type Template,
  type TemplateRow,
} from './queries';
import { groups } from './groups';
import { Reading } from './Reading';
import { TemplateList } from './TemplateList';
import './templates.css';
import { freeName, useVersioned } from '../useVersioned';

/** The editor is fetched when the first template is opened. */
const FieldLine = lazy(async () => ({ default: (await import('./FieldLine')).FieldLine }));
const LetterEditor = lazy(async () => ({ default: (await import('./LetterEditor')).LetterEditor }));

/** Message templates: what is said, with which fields, and how that reads. */
export function TemplatesScreen() {
  const { id } = useParams();
  const list = useTemplates();
  const rows = groups.flatMap(([purpose]) => (list.data ?? []).filter((one) => one.purpose === purpose));
  const row = rows.find((one) => one.id === id || one.key === id) ?? (id ? undefined : rows[0]);
  const template = useTemplate(row?.id);
  if (!list.data) return <PillarsWaiting title="Templates" query={list} />;
  if (id && !row) return <NotFound what="template" />;
  return <OneTemplate key={row?.id} rows={rows} row={row} template={template.data} error={template.error} />;
}

const along = { papers: [], answersTo: '', consent: '', textFirst: false, asks: 'decision' as const };

const asks = [
  { value: 'decision', label: 'a yes or a no' },
  { value: 'other', label: 'something else' },
  { value: 'nothing', label: 'nothing' },
] as const;

const nothing: Draft = { name: '', subject: '', document: { type: 'doc', content: [] }, textMessage: '', ...along };

const draftOf = ({
  name,
  subject,
  document,
  textMessage,
  papers,
  answersTo,
  consent,
  textFirst,
  asks: asked,
}: Draft): Draft => ({
  name,
  subject,
  document,
  textMessage,
  papers,
  answersTo,
  consent,
  textFirst,
  asks: asked,
});

interface Props {
  rows: TemplateRow[];
  row: TemplateRow | undefined;
  template: Template | undefined;
  error: Error | null;
}

function OneTemplate({ rows, row, template, error }: Props) {
  const navigate = useNavigate();
  const toast = useToast();
  const today = useToday();
  const keep = useKeepTemplate();
  const retire = useRetireTemplate();
  const test = useTestTemplate();
  const once = useOnce();
  const work = useVersioned<Draft, Template>(`template.${row?.id ?? ''}`, template, draftOf, nothing, keep);
  const { draft, edited } = work;
  const place = rows.findIndex((one) => one.id === row?.id);
  const go = (to: number) => {
    const next = rows[to];
    if (next) void navigate(`/messages/templates/${next.id}`);
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const add = () =>
    once((done) =>
      keep.mutate(
        { id: undefined, version: 0, draft: newDraft(rows) },
        {
          onSettled: done,
          onSuccess: (made) => void navigate(`/messages/templates/${made.id}`),
          onError: (error) => toast({ words: error.message }),
        },
      ),
    );
  const [record, setRecord] = useState('');
  return (
    <Pillars
      title={draft.name ? `${draft.name}, Templates` : 'Templates'}
      pillars={[
        {
          name: 'Templates',
          width: '252px',
          middling: '220px',
          folds: true,
          tally: rows.length,
          content: <TemplateList rows={rows} at={row?.id} onAdd={add} />,
        },
        {
          name: 'Text',
          sheet: true,
          width: '560px',
          middling: '1fr',
          wide: '720px',
          content: template ? (
            <Editing
              template={template}
              work={work}
              today={today}
              onBring={(version) =>
                void fetchVersion(template.id, version).then(
                  (was) => {
                    work.change(draftOf(was));
                    toast({ words: `Version ${version} is here. Save it to bring it back.` });
                  },
                  (error: unknown) => toast({ words: error instanceof Error ? error.message : 'Not loaded' }),
                )
              }
              record={record}
            />
          ) : error ? (
            <Trouble title="Not loaded">{error.message}</Trouble>
          ) : (
            <ComingRows rows={8} />
          ),
          blocks: template
            ? [
                {
                  label: keep.isPending ? 'Saving…' : `Save version ${template.version + 1}`,
                  keyName: 'main',
                  main: true,
                  disabled: keep.isPending || !edited || work.behind,
                  act: work.save,
                },
                ...(edited ? [{ label: 'Discard', act: work.discard }] : []),
                ...(template.shipped
                  ? []
                  : [
                      {
                        label: template.retired ? 'Bring back' : 'Put away',
                        disabled: retire.isPending,
                        act: () =>
                          retire.mutate(
                            { id: template.id, retired: !template.retired },
                            {
                              onSuccess: (now) =>
                                toast({
                                  words: `${now.name} ${now.retired ? 'put away' : 'is back'}. U takes it back.`,
                                }),
                              onError: (failed) =>
                                toast({
                                  words:
                                    failed instanceof ProblemError
                                      ? (failed.violations[0]?.message ?? failed.message)
                                      : failed.message,
                                }),
                            },
                          ),
                      },
                    ]),
              ]
            : [],
        },
        {
          name: 'Reads',
          width: '1fr',
          middling: '360px',
          content: template && <ReadBeside template={template} draft={draft} record={record} onRecord={setRecord} />,
          blocks: template
            ? [
                {
                  label: test.isPending ? 'Sending…' : 'Send me one',
                  keyName: 'tryIt',
                  disabled: test.isPending,
                  act: () =>
                    once((done) =>
                      test.mutate(
                        { id: template.id, draft, record },
                        {
                          onSettled: done,
                          onSuccess: ({ to }) => toast({ words: `A test is on its way to ${to}` }),
                          onError: (failed) => toast({ words: failed.message }),
                        },
                      ),
                    ),
                },
              ]
            : [],
        },
      ]}
    />
  );
}

/** A name that nobody has yet, and words to begin with. */
function newDraft(rows: TemplateRow[]): Draft {
  const paragraph = (...content: Record<string, unknown>[]) => ({ type: 'paragraph', content });
  const field = (of: string, or: string | null) => ({ type: 'field', attrs: { field: of, or } });
  return {
    name: freeName(
      'New template',
      rows.map((one) => one.name),
    ),
    subject: 'About your {{asset|inquiry}}',
    document: {
      type: 'doc',
      content: [
        paragraph({ type: 'text', text: 'Hello ' }, field('first_name', 'there'), { type: 'text', text: ',' }),
        paragraph({ type: 'text', text: 'thank you for writing to us.' }),
        paragraph(field('signature', null)),
      ],
    },
    textMessage: '',
    ...along,
  };
}

interface EditingProps {
  template: Template;
  work: ReturnType<typeof useVersioned<Draft, Template>>;
  today: string;
  record: string;
  onBring: (version: number) => void;
}

function Editing({ template, work, today, record, onBring }: EditingProps) {
  const { draft, faults, change } = work;
  const preview = usePreview(template.id, useLater(draft, 400), record);
  const shown = preview.data;
  // What would be wrong on saving is said while one types.
  const ahead =
    preview.error instanceof ProblemError
      ? Object.fromEntries(preview.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  const wrong = { ...ahead, ...faults };
  return (
    <Fields
      value={{
        fields: template.fields,
        gaps: shown?.gaps.map((one) => one.name) ?? [],
        values: shown?.values ?? {},
      }}
    >
      <div className="pillar-head">
        <h1>
          <input
            className="title-field"
            aria-label="Name"
            value={draft.name}
            maxLength={100}
            onChange={(event) => change({ name: event.target.value })}
          />
        </h1>
        <small>
          version {template.version}
          {work.edited && ', not saved'}
        </small>
      </div>
      {wrong.name && (
        <p className="fault" role="alert">
          {wrong.name}
        </p>
      )}
      {work.trouble && <Trouble title="Not saved">{work.trouble}</Trouble>}
      <AlsoWriting name={`template.${template.id}`} />
      {work.behind && (
        <Behind version={template.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
      )}
      <p className="second template-used">
        {template.sentWhen && <>Goes {template.sentWhen}. </>}
        {template.usedBy.length > 0 && (
          <>
            Used by{' '}
            {template.usedBy.map((one, i) => (
              <span key={one.path}>
                {i > 0 && ', '}
                <NavLink to={one.path}>{one.label}</NavLink>
              </span>
            ))}
            .
          </>
        )}
        {!template.sentWhen && template.usedBy.length === 0 && (
          <>
            Nothing sends it yet: choose it in a <NavLink to="/rules/new">rule</NavLink>.
          </>
        )}
      </p>
      <Suspense fallback={<ComingRows rows={6} />}>
        <p className="field-label" aria-hidden="true">
          Subject
        </p>
        <FieldLine
          label="Subject"
          oneLine
          value={draft.subject}
          onChange={(subject) => change({ subject })}
          fault={wrong.subject}
        />
        <p className="field-label" aria-hidden="true">
          Text
        </p>
        <LetterEditor
          template={template.id}
          document={draft.document}
          onChange={(document) => change({ document: document as Draft['document'] })}
          fault={wrong.document}
        />
        <p className="second">Type {'{'} and a few letters to put in a field.</p>
        <p className="field-label" aria-hidden="true">
          As a text message, if it should go as one too
        </p>
        <FieldLine
          label="Text message"
          value={draft.textMessage}
          onChange={(textMessage) => change({ textMessage })}
          fault={wrong.textMessage}
        />
        {template.purpose === 'visit' && draft.textMessage.trim() !== '' && (
          <label className="second">
            <input
              type="checkbox"
              checked={draft.textFirst}
              onChange={(event) => change({ textFirst: event.target.checked })}
            />{' '}
            instead of the mail, where the client has a number
          </label>
        )}
      </Suspense>
      {template.purpose !== 'staff' && (
        <div className="template-asks">
          <label>
            It asks for{' '}
            <select value={draft.asks} onChange={(event) => change({ asks: event.target.value as Draft['asks'] })}>
              {asks.map((one) => (
                <option key={one.value} value={one.value}>
                  {one.label}
                </option>
              ))}
            </select>
          </label>
          <p className="second">Other answers wait for a person to read them.</p>
        </div>
      )}
      <Encloses template={template} draft={{ ...along, ...draft }} faults={wrong} change={change} />
      {template.versions.length > 0 && (
        <details className="template-versions">
          <summary>
            {template.versions.length === 1 ? '1 earlier version' : `${template.versions.length} earlier versions`}
          </summary>
          <ul className="rows">
            {template.versions.map((one) => (
              <li key={one.version}>
                <span className="line-top">
                  <span>
                    Version {one.version}, until {when(one.until, today)}
                    {one.by && ` when ${one.by} changed it`}
                  </span>
                  <button type="button" className="link-button" onClick={() => onBring(one.version)}>
                    Look at it
                  </button>
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Fields>
  );
}

interface BesideProps {
  template: Template;
  draft: Draft;
  record: string;
  onRecord: (record: string) => void;
}

function ReadBeside({ template, draft, record, onRecord }: BesideProps) {
  const examples = useExamples(template.id);
  const records = examples.data ?? [];
  const first = records[0]?.id ?? '';
  useEffect(() => {
    if (record === '' && first !== '') onRecord(first);
  }, [record, first, onRecord]);
  const preview = usePreview(template.id, useLater(draft, 400), record);
  return (
    <Reading
      preview={preview.data}
      stale={preview.isPlaceholderData || preview.isError}
      records={records}
      record={record}
      onRecord={onRecord}
    />
  );
}

/** A value once it has stood still for a while. */
function useLater<T>(value: T, milliseconds: number): T {
  const [later, setLater] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLater(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return later;
}
