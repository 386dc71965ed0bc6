import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { asks } from '../../form/answers';
import { ComingRows } from '../../shared/Notice';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { ChoiceNote } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import '../shell/side-list.css';
import '../shell/sheet.css';
import {
  addPage,
  addQuestion,
  changePage,
  changeQuestion,
  dependents,
  moveQuestion,
  moveTo,
  ofKind,
  questionsOf,
  removePage,
  removeQuestion,
  type KnownKinds,
  type Kind,
} from '../definition/design';
import { numberOf } from '../definition/conditionWords';
import { DesignSheet } from './DesignSheet';
import { useDraft } from './draftState';
import { FormList } from './FormList';
import { FormPane } from './FormPane';
import '../definition/forms.css';
import { Overtaken } from './Overtaken';
import { usePublish, type DesignedForm } from './queries';
import { QuestionPane } from './QuestionPane';

// What draws questions as the public sees them comes behind the designer itself.
const Preview = lazy(async () => ({ default: (await import('./Preview')).Preview }));
const TryIt = lazy(async () => ({ default: (await import('./TryIt')).TryIt }));

interface Props {
  known: KnownKinds;
  form: DesignedForm;
  beginning: boolean;
  onBegin: (is: boolean) => void;
  onBegun: (id: string) => void;
}

export function Designer({ known, form, beginning, onBegin, onBegun }: Props) {
  const draft = useDraft(form);
  const { definition, change } = draft;
  const [chosen, setChosen] = useState<string | null>(null);
  const [removing, setRemoving] = useState<string | null>(null);
  const [trying, setTrying] = useState(false);
  const [adding, setAdding] = useState<string | null>(null);
  const [part, setPart] = useState(1);
  const publish = usePublish();
  const toast = useToast();
  const today = useToday();
  const wording = useRef<HTMLInputElement>(null);
  const questions = questionsOf(definition);
  const question = questions.find((one) => one.key === chosen);

  useEffect(() => {
    if (chosen) document.querySelector(`[data-question="${chosen}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);

  const add = () => setAdding(chosen ?? '');
  // What is added next lands on the new page, not behind the question that was looked at.
  const newPage = () => {
    change(addPage(definition));
    setChosen(null);
    setAdding(null);
  };
  const take = (kind: Kind) => {
    const empty = { key: '', type: kind, wording: '' };
    const added = addQuestion(definition, adding, { ...empty, ...ofKind(known, empty, kind) });
    // Drawn at once: letters that are typed on without a pause belong to the new question's wording.
    flushSync(() => {
      setAdding(null);
      change(added.definition);
      setChosen(added.key);
    });
    wording.current?.focus();
  };
  const remove = (key: string | null, sure = false) => {
    if (key === null) {
      setRemoving(null);
    } else if (!sure && dependents(definition, key).length > 0) {
      setRemoving(key);
    } else {
      const place = questions.findIndex((one) => one.key === key);
      change(removeQuestion(definition, key));
      setRemoving(null);
      setChosen((questions[place + 1] ?? questions[place - 1])?.key ?? null);
    }
  };
  const carryOut = async () => {
    let version: number;
    try {
      version = await draft.settle();
    } catch (error) {
      toast({ words: `Not published: ${error instanceof Error ? error.message : 'the draft could not be kept.'}` });
      return;
    }
    publish.mutate(
      { id: form.id, version },
      {
        onSuccess: (done) =>
          toast({
            words: `Version ${done.published?.number ?? ''} is live at /f/${done.slug}. Take it offline under “The form”.`,
          }),
        onError: (error) => toast({ words: error.message }),
      },
    );
  };
  const tryIt = () => {
    draft.settle().then(
      () => setTrying(true),
      (error: unknown) => toast({ words: error instanceof Error ? error.message : 'The draft could not be kept.' }),
    );
  };
  const next = (form.published?.number ?? 0) + 1;
  /** To what a fault is about: a question by its number, or else the form as a whole. */
  const goTo = (fault: string) => {
    const number = Number(/^Question (\d+)/.exec(fault)?.[1] ?? 0);
    const about = questions.find((one) => numberOf(definition, one.key) === number);
    setChosen(about?.key ?? null);
    setPart(2);
  };
  return (
    <>
      <Pillars
        note={
          form.problems[0] === undefined ? undefined : (
            <ChoiceNote
              words={`Not to be published yet: ${form.problems[0]}`}
              onGo={() => goTo(form.problems[0] ?? '')}
            />
          )
        }
        undo={{
          label: 'Undo',
          second: draft.undo ? 'the last edit of this draft' : 'Nothing edited here yet',
          undo: draft.undo,
          redo: draft.redo,
        }}
        title={`${definition.title}, Forms`}
        shown={part}
        onShow={setPart}
        pillars={[
          {
            name: 'Forms',
            width: '236px',
            folds: true,
            content: <FormList form={form} beginning={beginning} onBegun={onBegun} onLeave={() => onBegin(false)} />,
          },
          {
            name: 'Sheet',
            sheet: true,
            width: '444px',
            middling: '1fr',
            tally: questions.filter(asks).length,
            content: (
              <DesignSheet
                known={known}
                form={form}
                adding={adding}
                onAdd={take}
                onLeaveAdding={() => setAdding(null)}
                onMove={(key, over) => change(moveTo(definition, key, over))}
                definition={definition}
                chosen={chosen}
                onChoose={setChosen}
                onPage={(key, part_) => change(changePage(definition, key, part_))}
                onRemovePage={(key) => change(removePage(definition, key))}
                removing={removing}
                onRemove={(key) => remove(key, true)}
                trouble={draft.overtaken ? null : draft.trouble}
                overtaken={draft.overtaken && <Overtaken id={form.id} mine={definition} onTheirs={draft.takeTheirs} />}
              />
            ),
            blocks: [
              {
                label: publish.isPending ? 'Publishing…' : `Publish version ${next}`,
                keyName: 'main',
                main: true,
                act: () => void carryOut(),
                disabled: publish.isPending || form.problems.length > 0,
              },
              { label: 'Try it', keyName: 'tryIt', act: tryIt },
            ],
          },
          {
            name: 'Question',
            width: '336px',
            content: question ? (
              <QuestionPane
                key={question.key}
                known={known}
                onNext={add}
                definition={definition}
                question={question}
                number={numberOf(definition, question.key)}
                onChange={(change_) => change(changeQuestion(definition, question.key, change_))}
                wordingRef={wording}
              />
            ) : (
              <FormPane
                form={form}
                definition={definition}
                staff={known.staff}
                onChange={(change_) => change({ ...definition, ...change_ })}
              />
            ),
            blocks: [
              { label: 'Add', keyName: 'add', act: add },
              ...(question ? [{ label: 'Remove', keyName: 'takeOut' as const, act: () => remove(question.key) }] : []),
            ],
          },
          {
            name: 'On a phone',
            width: '1fr',
            folds: true,
            content: (
              <>
                <div className="pillar-head">
                  <h2>On a phone</h2>
                  <small role="status">{draft.isKept ? 'saved' : draft.trouble ? 'not saved yet' : 'saving …'}</small>
                </div>
                <Suspense
                  fallback={
                    // As large as what comes: nothing below it moves under somebody's hand.
                    <div className="preview">
                      <ComingRows rows={3} />
                    </div>
                  }
                >
                  <Preview definition={definition} today={today} chosen={chosen} />
                </Suspense>
                <p className="design-tools">
                  <button type="button" className="link-button" disabled={!draft.undo} onClick={draft.undo}>
                    Undo
                  </button>{' '}
                  <button type="button" className="link-button" disabled={!draft.redo} onClick={draft.redo}>
                    Redo
                  </button>{' '}
                  <button type="button" className="link-button" onClick={() => newPage()}>
                    Add a page
                  </button>{' '}
                  <button type="button" className="link-button" onClick={() => onBegin(true)}>
                    New form
                  </button>
                </p>
              </>
            ),
            blocks: question
              ? [
                  { label: 'Up', keyName: 'up', act: () => change(moveQuestion(definition, question.key, -1)) },
                  { label: 'Down', keyName: 'down', act: () => change(moveQuestion(definition, question.key, 1)) },
                ]
              : [],
          },
        ]}
      />
      {trying && (
        <Suspense fallback={null}>
          <TryIt id={form.id} definition={definition} today={today} onClose={() => setTrying(false)} />
        </Suspense>
      )}
    </>
  );
}
