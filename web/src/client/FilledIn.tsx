import { useCallback, useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { ProblemError, type Schema } from '../shared/api';
import { pageWord } from '../form/pageWord';
import { besideOthers, collected, isNeeded, shownPages } from '../form/answers';
import { carriedTo, carryOn, withBeginnings } from './carry';
import { Carried } from './Carried';
import { CheckPage } from './CheckPage';
import { textOf } from '../form/held';
import { kinds } from '../form/kinds';
import { forgetDraft, keepDraft, keptAs, keptDraft } from './draft';
import { ErrorSum } from './ErrorSum';
import { ForWhom } from './ForWhom';
import { PageCourse } from './PageCourse';
import { PublicFoot } from './PublicFoot';
import { QuestionField } from '../form/QuestionField';
import type { Answers, PublicForm } from '../form/types';
import { keptFiles, unfinishedFiles, Uploads, useUploads } from '../form/uploads';
import { consecutive, under } from './filled';
import { useSending } from './useSending';

interface Props {
  slug: string;
  form: PublicForm;
  /** The booking page that it is filled in for. */
  booking?: string;
  /** The link of their own that it was opened by, and whose: null where it does not hold any more. */
  personal?: { link: string; who: string | null };
  onSent: (receipt: Schema<'Receipt'>) => void;
}

/** The pages of a form. What is typed is kept in the browser until it has been sent. */
export function FilledIn({ slug, form, booking = '', personal = { link: '', who: '' }, onSent }: Props) {
  const kept = keptAs(slug, personal.link);
  const [draft] = useState(() => withBeginnings(form, keptDraft(kept)));
  const [before] = useState(() => carriedTo(kept));
  const [carried, setCarried] = useState(before.keys);
  const [began] = useState(() => Date.now());
  const [unseen, setUnseen] = useState('');
  const [uploads] = useState(() => new Uploads(draft.files, draft.unfinished));
  const chosen = useUploads(uploads);
  const files = keptFiles(chosen);
  const key = useRef(draft.key);
  // Once sent, nothing is kept any more: the next inquiry from this browser begins anew.
  const isSent = useRef(false);
  const [at, setAt] = useState(0);
  const [checking, setChecking] = useState(false);
  const [going, setGoing] = useState<Record<string, boolean>>({});
  const [lines, setLines] = useState<Record<string, string>>({});
  const [summed, setSummed] = useState(false);
  const [lookAt, setLookAt] = useState<string | null>(null);
  const send = useSending(slug, form, key, booking, personal.who ? personal.link : '');
  const heading = useRef<HTMLOListElement>(null);
  const fields = useForm<Answers>({ defaultValues: draft.answers, shouldUnregister: false });
  const { errors } = fields.formState;
  const answers = fields.watch();
  const shown = shownPages(form, answers);
  const page = shown[at];
  // Pages on which nothing is asked are passed over.
  const asked = (one: (typeof shown)[number] | undefined) =>
    (one?.questions ?? []).some((question) => kinds[question.type].isShown && !carried.includes(question.key));
  const onwardTo = shown.findIndex((one, i) => i > at && asked(one));
  const last = onwardTo < 0;

  const keep = useCallback(() => {
    if (isSent.current) return;
    keepDraft(kept, {
      answers: fields.getValues(),
      files: keptFiles(chosen),
      unfinished: unfinishedFiles(chosen),
      key: key.current,
    });
  }, [kept, fields, chosen]);
  useEffect(() => {
    keep();
    // eslint-disable-next-line react-hooks/incompatible-library -- the subscription, not a value, is used
    const watching = fields.watch(keep);
    return () => watching.unsubscribe();
  }, [fields, keep]);
  const dirty = fields.formState.isDirty || Object.values(chosen).some((list) => list.length > 0);
  useEffect(() => {
    if (!dirty) return undefined;
    const warn = (event: BeforeUnloadEvent) => {
      if (!isSent.current) event.preventDefault();
    };
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

  const look = (to: number, path: string) => {
    if (to >= 0) setAt(to);
    setChecking(false);
    setLookAt(path);
  };
  const pageOf = (question: string | undefined) =>
    form.pages.findIndex((one) => one.questions.some((each) => each.key === question));

  const complain = (violations: { path: string; message: string }[]) => {
    fields.clearErrors();
    const wrong = violations.map((violation) => violation.path.split('.')[0] ?? '');
    // What came over and does not fit here is asked after all.
    setCarried((keys) => keys.filter((one) => !wrong.includes(one)));
    setLines(Object.fromEntries(violations.map((violation) => [violation.path, violation.message])));
    for (const [i, violation] of violations.entries()) {
      const inTable = violation.path.includes('.');
      fields.setError(wrong[i] ?? '', {
        message: inTable ? 'A line needs another look.' : violation.message,
      });
    }
    setSummed(new Set(wrong).size > 1);
    look(pageOf(wrong[0]), violations[0]?.path ?? '');
  };

  const faults = (pages: typeof shown) =>
    pages.flatMap((one) =>
      one.questions.flatMap((question) =>
        kinds[question.type].faults(question, answers, {
          files: files[question.key]?.length ?? 0,
          needed: isNeeded(form, question, answers),
          at: form,
        }),
      ),
    );

  const turn = (to: number) => {
    setAt(to);
    setChecking(false);
    setSummed(false);
    setTimeout(() => {
      heading.current?.focus();
      window.scrollTo({ top: 0 });
    });
  };

  const onward = () => {
    if (send.going.current) return;
    const found = faults(last ? shown : [page]);
    if (found.length > 0) {
      complain(found);
      return;
    }
    fields.clearErrors();
    setLines({});
    if (last && left.length > 0) {
      const where = shown.findIndex((one) =>
        one.questions.some((question) => (chosen[question.key] ?? []).some((file) => file.state === 'failed')),
      );
      const question = shown[where]?.questions.find((one) => (chosen[one.key] ?? []).some((f) => f.state === 'failed'));
      look(where, question?.key ?? '');
      return;
    }
    if (!last) {
      turn(onwardTo);
      return;
    }
    setSummed(false);
    if (form.checkPage && !checking) {
      setChecking(true);
      return;
    }
    void sendIt();
  };

  const sendIt = async () => {
    const questions = shown.flatMap((one) => one.questions);
    const sent = collected(questions, answers, files);
    const seconds = Math.round((Date.now() - began) / 1000);
    try {
      const receipt = await send.begin({ answers: sent, seconds, unseen, continues: before.continues });
      if (receipt === null) return;
      isSent.current = true;
      forgetDraft(kept);
      if (receipt.next?.kind === 'form')
        carryOn(keptAs(receipt.next.to, receipt.next.for), receipt.carried, receipt.continues);
      onSent(receipt);
    } catch (error) {
      keep();
      if (error instanceof ProblemError && error.status === 422) complain(error.violations);
    }
  };

  const sendWords = pageWord(form.pages.at(-1)?.next ?? '', true);
  const asking = page.questions.filter((question) => kinds[question.type].isShown && !carried.includes(question.key));
  const ofShown = shown.flatMap((one) => one.questions.flatMap((question) => chosen[question.key] ?? []));
  const onTheirWay = ofShown.filter((file) => file.state === 'waiting' || file.state === 'sending').length;
  const left = ofShown.filter((file) => file.state === 'failed');
  const busy = onTheirWay > 0 || Object.values(going).some(Boolean);
  const wrong = shown.flatMap((one) => one.questions).filter((question) => errors[question.key]);
  const beside = besideOthers(asking);
  const numbered = consecutive(shown.flatMap((one) => one.questions));
  const mainWords = send.isPending
    ? 'Sending…'
    : !last
      ? pageWord(page.page.next, false)
      : form.checkPage && !checking
        ? 'Look it over'
        : sendWords;
  const back = () =>
    turn(
      checking
        ? at
        : Math.max(
            0,
            shown.findLastIndex((one, i) => i < at && asked(one)),
          ),
    );
  const email = form.pages.flatMap((one) => one.questions).find((question) => question.type === 'email');
  const copied = form.copy && email !== undefined && textOf(answers, email.key).trim() !== '';
  const whatNext =
    last && busy
      ? `Wait until the files are through${onTheirWay > 0 ? `: ${onTheirWay} to go` : ''}.`
      : !last || (form.checkPage && !checking)
        ? 'Nothing is sent yet.'
        : copied
          ? 'You get a copy by email.'
          : '';
  const failed = send.error && !(send.error instanceof ProblemError && send.error.status === 422) ? send.error : null;
  const trouble = failed
    ? { title: 'Not sent', text: failed.message, again: onward }
    : last && left.length > 0
      ? {
          title: 'Not all files are through',
          text: `${left.map((file) => file.name).join(', ')}: try again, or remove ${left.length > 1 ? 'them' : 'it'}.`,
          again: null,
        }
      : null;
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onward();
      }}
    >
      <PageCourse form={form} at={at} checking={checking} heading={heading} />
      {summed && wrong.length > 0 && (
        <ErrorSum wrong={wrong} onGo={(question) => look(pageOf(question.key), question.key)} />
      )}
      {personal.link !== '' && at === 0 && !checking && <ForWhom who={personal.who} slug={slug} />}
      {carried.length > 0 && at === 0 && !checking && (
        <Carried
          form={form}
          keys={carried}
          answers={answers}
          onChange={(key) => setCarried((all) => all.filter((one) => one !== key))}
        />
      )}
      <p className="unseen" aria-hidden="true">
        <label>
          Leave this empty{' '}
          <input tabIndex={-1} autoComplete="off" value={unseen} onChange={(event) => setUnseen(event.target.value)} />
        </label>
      </p>
      {checking ? (
        <CheckPage pages={shown} answers={answers} files={files} onChange={look} />
      ) : (
        <div className="questions">
          {asking.map((question) => (
            <QuestionField
              key={question.key}
              question={numbered.get(question.key) ?? question}
              at={form}
              needed={isNeeded(form, question, answers)}
              fields={fields}
              error={errors[question.key]?.message?.toString() ?? null}
              lineErrors={under(lines, question.key)}
              beside={beside.has(question.key)}
              uploads={uploads}
              onGoing={(is) => setGoing((all) => (all[question.key] === is ? all : { ...all, [question.key]: is }))}
            />
          ))}
        </div>
      )}
      <PublicFoot
        words={mainWords}
        disabled={send.isPending || (last && busy)}
        what={whatNext}
        onBack={at > 0 || checking ? back : null}
        trouble={trouble}
      />
    </form>
  );
}
