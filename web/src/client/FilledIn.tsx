import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { ProblemError, type Schema } from '../shared/api';
import { Mark, MarkShape } from '../shared/Mark';
import { Trouble } from '../shared/Notice';
import { fault } from './checks';
import { emptyDraft, forgetDraft, keepDraft, keptDraft } from './draft';
import { QuestionField } from './QuestionField';
import { isNeeded, listOf, shownPages, textOf } from './answers';
import { carriedKeys, carryOn, withHidden } from './carry';
import { useSend, type Answers, type PublicForm } from './queries';
import type { KeptFile } from './uploads';

interface Props {
  slug: string;
  form: PublicForm;
  onSent: (receipt: Schema<'Receipt'>) => void;
}

/** The pages of a form. What is typed is kept in the browser until it has been sent. */
export function FilledIn({ slug, form, onSent }: Props) {
  const [draft] = useState(() => withHidden(form, keptDraft(slug)));
  const [carried] = useState(() => carriedKeys(slug));
  const [began] = useState(() => Date.now());
  const [unseen, setUnseen] = useState('');
  const [files, setFiles] = useState(draft.files);
  const [key, setKey] = useState(draft.key);
  const [at, setAt] = useState(0);
  const [going, setGoing] = useState<Record<string, boolean>>({});
  const [summed, setSummed] = useState(false);
  const [lookAt, setLookAt] = useState<string | null>(null);
  const send = useSend(slug);
  // Known at once, unlike state, which a second click in the same moment would not see.
  const sending = useRef(false);
  const heading = useRef<HTMLOListElement>(null);
  const fields = useForm<Answers>({ defaultValues: draft.answers, shouldUnregister: false });
  const { errors } = fields.formState;
  const answers = fields.watch();
  const shown = shownPages(form, answers);
  const page = shown[at];
  // Pages on which nothing is asked are passed over.
  const asked = (one: (typeof shown)[number] | undefined) =>
    (one?.questions ?? []).some((question) => question.type !== 'hidden' && !carried.includes(question.key));
  const onwardTo = shown.findIndex((one, i) => i > at && asked(one));
  const last = onwardTo < 0;

  const keep = useCallback(
    () => keepDraft(slug, { answers: fields.getValues(), files, key }),
    [slug, fields, files, key],
  );
  useEffect(() => {
    keep();
    // eslint-disable-next-line react-hooks/incompatible-library -- the subscription, not a value, is used
    const watching = fields.watch(keep);
    return () => watching.unsubscribe();
  }, [fields, keep]);
  const dirty = fields.formState.isDirty || Object.values(files).some((list) => list.length > 0);
  useEffect(() => {
    if (!dirty) return undefined;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [dirty]);

  // The field may be on a page that has yet to be drawn.
  useEffect(() => {
    if (lookAt === null) return;
    document.getElementById(`q-${lookAt}`)?.focus();
    setLookAt(null);
  }, [lookAt]);

  if (!page) return null;

  const complain = (violations: { path: string; message: string }[]) => {
    fields.clearErrors();
    for (const violation of violations) fields.setError(violation.path, { message: violation.message });
    setSummed(violations.length > 1);
    const first = form.pages.findIndex((one) => one.questions.some((question) => question.key === violations[0]?.path));
    if (first >= 0) setAt(first);
    setLookAt(violations[0]?.path ?? null);
  };

  const faults = (pages: typeof shown) =>
    pages.flatMap((one) =>
      one.questions.flatMap((question) => {
        const message = fault(question, answers, files[question.key]?.length ?? 0, isNeeded(form, question, answers));
        return message ? [{ path: question.key, message }] : [];
      }),
    );

  const turn = (to: number) => {
    setAt(to);
    setSummed(false);
    setTimeout(() => {
      heading.current?.focus();
      window.scrollTo({ top: 0 });
    });
  };

  const onward = () => {
    if (sending.current) return;
    const found = faults(last ? shown : [page]);
    if (found.length > 0) {
      complain(found);
      return;
    }
    fields.clearErrors();
    if (!last) {
      turn(onwardTo);
      return;
    }
    const sent: Record<string, string | string[]> = {};
    for (const question of shown.flatMap((one) => one.questions)) {
      const list =
        question.type === 'files'
          ? (files[question.key] ?? []).map((file) => file.id)
          : question.type === 'any-of'
            ? listOf(answers, question.key)
            : [];
      const text = textOf(answers, question.key);
      if (list.length > 0) sent[question.key] = list;
      else if (text.trim() !== '') sent[question.key] = text;
    }
    sending.current = true;
    send.mutate(
      { answers: sent, key, seconds: Math.round((Date.now() - began) / 1000), unseen },
      {
        onSuccess: (receipt) => {
          forgetDraft(slug);
          fields.reset({});
          setFiles({});
          setKey(emptyDraft().key);
          if (receipt.next?.kind === 'form') carryOn(receipt.next.to, sent);
          onSent(receipt);
        },
        onSettled: () => {
          sending.current = false;
        },
        onError: (error) => {
          if (error instanceof ProblemError && error.status === 422) complain(error.violations);
        },
      },
    );
  };

  const sendWords = form.pages.at(-1)?.next ?? 'Send';
  const busy = Object.values(going).some(Boolean);
  const known = shown.flatMap((one) => one.questions);
  const wrong = known.filter((question) => errors[question.key]);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onward();
      }}
    >
      <ol className="public-course" ref={heading} tabIndex={-1} aria-label={`Page ${at + 1} of ${form.pages.length}`}>
        {form.pages.map((one, i) => (
          <li
            key={one.key}
            className={i === at ? 'now' : i < at ? 'done' : 'later'}
            aria-current={i === at ? 'step' : undefined}
          >
            <Mark kind={i < at ? 'done' : 'new'}>{i < at ? `${one.title}, done` : one.title}</Mark>
          </li>
        ))}
      </ol>
      {send.error && !(send.error instanceof ProblemError && send.error.status === 422) && (
        <Trouble title="Not sent" again={onward}>
          {send.error.message}
        </Trouble>
      )}
      {summed && wrong.length > 0 && (
        <div className="public-sum" role="alert">
          <MarkShape kind="choose" />
          <div>
            <b>{wrong.length} answers need another look</b>
            <ul>
              {wrong.map((question) => (
                <li key={question.key}>
                  <Link
                    component="button"
                    type="button"
                    onClick={() => {
                      const to = form.pages.findIndex((one) => one.questions.includes(question));
                      setAt(to);
                      setLookAt(question.key);
                    }}
                  >
                    {question.wording}
                  </Link>
                </li>
              ))}
            </ul>
          </div>
        </div>
      )}
      {carried.length > 0 && at === 0 && (
        <p className="carried second">What you told us just now is here already, and not asked again.</p>
      )}
      <p className="unseen" aria-hidden="true">
        <label>
          Leave this empty{' '}
          <input tabIndex={-1} autoComplete="off" value={unseen} onChange={(event) => setUnseen(event.target.value)} />
        </label>
      </p>
      <div className="questions">
        {page.questions
          .filter((question) => question.type !== 'hidden' && !carried.includes(question.key))
          .map((question) => (
            <QuestionField
              key={question.key}
              question={question}
              needed={isNeeded(form, question, answers)}
              register={fields.register}
              error={errors[question.key]?.message ?? null}
              files={files[question.key] ?? []}
              onFiles={(list: KeptFile[]) => setFiles((all) => ({ ...all, [question.key]: list }))}
              onGoing={(is) => setGoing((all) => (all[question.key] === is ? all : { ...all, [question.key]: is }))}
            />
          ))}
      </div>
      <div className="public-foot">
        <Button type="submit" variant="contained" disabled={send.isPending || (last && busy)}>
          {send.isPending ? 'Sending…' : last ? sendWords : page.page.next}
        </Button>
        {at > 0 && (
          <Link
            component="button"
            type="button"
            onClick={() =>
              turn(
                Math.max(
                  0,
                  shown.findLastIndex((one, i) => i < at && asked(one)),
                ),
              )
            }
          >
            Back
          </Link>
        )}
        <span className="second">
          {last ? (busy ? 'Wait until the files are through.' : 'You get a copy by email.') : 'Nothing is sent yet.'}
        </span>
      </div>
    </form>
  );
}
