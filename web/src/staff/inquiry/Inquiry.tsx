import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { collected, shownPages } from '../../form/answers';
import '../../form/form.css';
import { kinds } from '../../form/kinds';
import { QuestionField } from '../../form/QuestionField';
import type { Answers } from '../../form/types';
import { keptFiles, unfinishedFiles, Uploads, useUploads } from '../../form/uploads';
import { ProblemError, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { newKey } from '../../shared/newKey';
import { PlanView } from '../plan/PlanView';
import { Pillars } from '../shell/Pillars';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import { emptyDraft, isOnFile, withOnFile, type InquiryDraft } from './draft';
import { From } from './From';
import './inquiry.css';
import { usePlanSoFar, useSaveInquiry, useSheet, type InquiryEdit } from './queries';
import { useSettled } from './useSettled';

interface Props {
  forms: Schema<'Offer'>[];
  /** Whom it is from, where the page of a client led here. */
  from: Schema<'RecordRef'> | null;
}

/** The sheet of an inquiry, in any order, kept as typed; beside it who it is from and the plan so far. */
export function Inquiry({ forms, from }: Props) {
  const [begun] = useState(() => emptyDraft(from && { id: from.id, label: from.label }));
  const [draft, setDraft, forget] = useUnsaved<InquiryDraft>(`inquiry.${from?.id ?? 'new'}`, begun);
  const slug = forms.some((form) => form.value === draft.form) ? draft.form : (forms[0]?.value ?? '');
  const sheet = useSheet(slug, draft.client?.id ?? '');
  const form = sheet.data?.form;
  const [uploads] = useState(() => new Uploads(draft.files, {}));
  const chosen = useUploads(uploads);
  const files = useMemo(() => keptFiles(chosen), [chosen]);
  const [going, setGoing] = useState<Record<string, boolean>>({});
  const fields = useForm<Answers>({ defaultValues: draft.answers, shouldUnregister: false });
  const save = useSaveInquiry();
  const saving = useRef(false);
  const toast = useToast();
  const navigate = useNavigate();
  const [part, setPart] = useState(1);

  const latest = useRef(draft);
  useEffect(() => {
    latest.current = draft;
  });
  const change = useCallback((part: Partial<InquiryDraft>) => setDraft({ ...latest.current, ...part }), [setDraft]);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/incompatible-library -- the subscription, not a value, is used
    const watching = fields.watch((answers) => {
      if (!saving.current) change({ answers: { ...answers } });
    });
    return () => watching.unsubscribe();
  }, [fields, change]);
  // What is on file comes into the fields that nobody has written in.
  useEffect(() => {
    if (!sheet.data || sheet.isPlaceholderData) return;
    const now = sheet.data.answers as Answers;
    if (JSON.stringify(now) === JSON.stringify(latest.current.onFile)) return;
    const answers = withOnFile(fields.getValues(), latest.current.onFile, now);
    for (const [key, value] of Object.entries(answers)) fields.setValue(key, value);
    setDraft({ ...latest.current, answers, onFile: now });
  }, [sheet.data, sheet.isPlaceholderData, fields, setDraft]);

  const questions = form ? shownPages(form, draft.answers).flatMap((page) => page.questions) : [];
  const asked = questions.filter((question) => question.type !== 'signature');
  const said: InquiryEdit = {
    form: slug,
    ...(form ? { version: form.version } : {}),
    answers: collected(asked, draft.answers, files),
    sent: Object.fromEntries(Object.entries(draft.onFile).filter(([key]) => asked.some((one) => one.key === key))),
    channel: draft.channel,
    client: draft.client?.id ?? null,
    answered: draft.answered,
  };
  const settled = JSON.parse(useSettled(JSON.stringify(said), 400)) as InquiryEdit;
  const plan = usePlanSoFar(settled);
  const written = Object.keys(said.answers).length > 0;
  const onTheirWay = Object.values(unfinishedFiles(chosen)).flat().length > 0 || Object.values(going).some(Boolean);
  const violations = save.error instanceof ProblemError ? save.error.violations : [];
  const faultOf = (key: string) => violations.find(({ path }) => path.split('.')[0] === key)?.message ?? null;
  const loose = save.error && !violations.some(({ path }) => asked.some((one) => one.key === path.split('.')[0]));

  const carryOut = () => {
    if (saving.current || !written || onTheirWay) return;
    saving.current = true;
    save.mutate(
      { key: draft.key, said },
      {
        onSuccess: ({ id, number }) => {
          forget();
          toast({ words: `${number} written down. U takes it back.` });
          void navigate(`/arrivals/${id}`);
        },
        onError: (error) => {
          // What was saved before its answer was lost is there; this is something else by now.
          if (error instanceof ProblemError && error.status === 409) change({ key: newKey() });
          const path = error instanceof ProblemError ? error.violations[0]?.path.split('.')[0] : undefined;
          setPart(1);
          if (path) setTimeout(() => document.getElementById(`q-${path}`)?.focus());
        },
        onSettled: () => {
          saving.current = false;
        },
      },
    );
  };
  const drop = () => {
    forget();
    // A page of its own begins anew: nothing of what was typed stays in the fields.
    saving.current = true;
    void navigate(from ? `/clients/${from.id}` : '/arrivals');
  };

  return (
    <Pillars
      title="Inquiry"
      shown={part}
      onShow={setPart}
      pillars={[
        {
          name: 'From',
          width: '236px',
          middling: '236px',
          content: <From draft={draft} forms={forms} slug={slug} assets={sheet.data?.assets ?? []} onChange={change} />,
          blocks: [{ label: 'Discard', act: drop }],
        },
        {
          name: 'Sheet',
          sheet: true,
          width: '492px',
          middling: '1fr',
          wide: '620px',
          content: (
            <div className="sheet-body inquiry">
              <div className="sheet-head">
                <h2>{form?.title ?? 'Inquiry'}</h2>
                <p>
                  In any order; kept as typed.
                  {draft.client && (
                    <>
                      {' '}
                      From <Link to={`/clients/${draft.client.id}`}>{draft.client.label}</Link>.
                    </>
                  )}
                </p>
              </div>
              {sheet.error && (
                <Trouble title="Not loaded" again={() => void sheet.refetch()}>
                  {sheet.error.message}
                </Trouble>
              )}
              {loose && <Trouble title="Not saved">{violations[0]?.message ?? save.error.message}</Trouble>}
              {!form && !sheet.error && <ComingRows rows={8} />}
              {form && (
                <div className="questions">
                  {asked
                    .filter((question) => kinds[question.type].isShown)
                    .map((question) => (
                      <div key={question.key} className={isOnFile(draft, question.key) ? 'asked on-file' : 'asked'}>
                        <QuestionField
                          question={question}
                          at={form}
                          needed={false}
                          fields={fields}
                          error={faultOf(question.key)}
                          lineErrors={Object.fromEntries(
                            violations.map(({ path, message }) => [path.slice(question.key.length + 1), message]),
                          )}
                          uploads={uploads}
                          onGoing={(is) =>
                            setGoing((all) => (all[question.key] === is ? all : { ...all, [question.key]: is }))
                          }
                        />
                        {isOnFile(draft, question.key) && <small className="second">on file</small>}
                      </div>
                    ))}
                </div>
              )}
            </div>
          ),
        },
        {
          name: 'Plan',
          width: '1fr',
          middling: '380px',
          tally: plan.data && written ? plan.data.lines.length : undefined,
          content:
            written && plan.data ? (
              <div className={plan.isFetching ? 'plan-so-far old' : 'plan-so-far'}>
                <PlanView plan={plan.data} heading="So far, saving would" onDecide={() => undefined} />
              </div>
            ) : plan.error ? (
              <Trouble title="No plan">{plan.error.message}</Trouble>
            ) : (
              <p className="second plan-nothing">The plan grows here as you write.</p>
            ),
          blocks: [
            {
              label: save.isPending ? 'Saving…' : onTheirWay ? 'Files are on their way…' : 'Save the inquiry',
              keyName: 'main',
              main: true,
              disabled: save.isPending || !written || onTheirWay,
              act: carryOut,
            },
          ],
        },
      ]}
    />
  );
}
