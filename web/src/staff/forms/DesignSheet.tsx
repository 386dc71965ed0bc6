import type { ReactNode } from 'react';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { asks } from '../../form/answers';
import { Trouble } from '../../shared/Notice';
import { AddLine } from './AddLine';
import { pageWord } from '../../form/pageWord';
import {
  dependents,
  destinationLabel,
  designed,
  questionsOf,
  type Definition,
  type DraftQuestion,
  type KnownKinds,
  type Kind,
} from '../definition/design';
import { conditionWords, numberOf } from '../definition/conditionWords';
import type { DesignedForm } from './queries';

interface Props {
  known: KnownKinds;
  form: DesignedForm;
  definition: Definition;
  chosen: string | null;
  onChoose: (key: string | null) => void;
  onPage: (key: string, part: { title: string } | { next: string }) => void;
  onRemovePage: (key: string) => void;
  removing: string | null;
  onRemove: (key: string | null) => void;
  /** What to say where somebody else saved it meanwhile. */
  overtaken: ReactNode;
  trouble: Error | null;
  /** Where a new question is being added: behind this one, or at the end for an empty text. */
  adding: string | null;
  onAdd: (kind: Kind) => void;
  onLeaveAdding: () => void;
  onMove: (key: string, over: string) => void;
}

/** The form as people read it; each question can be chosen. */
export function DesignSheet({
  known,
  form,
  definition,
  chosen,
  onChoose,
  onPage,
  onRemovePage,
  removing,
  onRemove,
  overtaken,
  trouble,
  adding,
  onAdd,
  onLeaveAdding,
  onMove,
}: Props) {
  // A click chooses; only what is pulled a little is moved. The keyboard moves with Alt and the arrows.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const lastPage = definition.pages.length - 1;
  const behind = adding !== null && questionsOf(definition).some((one) => one.key === adding) ? adding : '';
  const addLine = adding !== null && <AddLine key="add" onTake={onAdd} onLeave={onLeaveAdding} />;
  return (
    <article className="sheet-body design">
      <header className="sheet-head">
        <button type="button" className="design-title" aria-pressed={chosen === null} onClick={() => onChoose(null)}>
          <h2>{definition.title || 'Without a name'}</h2>
          <span className="second">
            {form.published
              ? `Draft beside version ${form.published.number}, which is live.`
              : 'Draft. Nobody sees it before you publish.'}
          </span>
        </button>
      </header>
      {overtaken}
      {trouble && (
        <Trouble title="Not saved yet">{trouble.message} Your edits stay in this browser until it is.</Trouble>
      )}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => over && onMove(String(active.id), String(over.id))}
      >
        <SortableContext items={questionsOf(definition).map((one) => one.key)} strategy={verticalListSortingStrategy}>
          {definition.pages.map((page, i) => (
            <section key={page.key} className="design-page">
              <div className="design-page-head">
                <span className="group-label">Page {i + 1}</span>
                <input
                  aria-label={`Title of page ${i + 1}`}
                  value={page.title}
                  maxLength={80}
                  onChange={(event) => onPage(page.key, { title: event.target.value })}
                />
                <input
                  className="page-word"
                  aria-label={`Word on the button of page ${i + 1}`}
                  placeholder={pageWord('', i === lastPage)}
                  value={pageWord(page.next, i === lastPage) === pageWord('', i === lastPage) ? '' : page.next}
                  maxLength={40}
                  onChange={(event) => onPage(page.key, { next: event.target.value })}
                />
                {page.questions.length === 0 && definition.pages.length > 1 && (
                  <button type="button" className="link-button" onClick={() => onRemovePage(page.key)}>
                    remove
                  </button>
                )}
              </div>
              <ol>
                {page.questions.flatMap((question) => [
                  <Line
                    key={question.key}
                    known={known}
                    question={question}
                    number={numberOf(definition, question.key)}
                    definition={definition}
                    chosen={chosen === question.key}
                    onChoose={onChoose}
                    removing={removing === question.key}
                    onRemove={onRemove}
                  />,
                  ...(addLine && behind === question.key ? [addLine] : []),
                ])}
                {behind === '' && i === lastPage && addLine}
              </ol>
            </section>
          ))}
        </SortableContext>
      </DndContext>
    </article>
  );
}

interface LineProps {
  known: KnownKinds;
  question: DraftQuestion;
  number: number;
  definition: Definition;
  chosen: boolean;
  onChoose: (key: string) => void;
  removing: boolean;
  onRemove: (key: string | null) => void;
}

function Line({ known, question, number, definition, chosen, onChoose, removing, onRemove }: LineProps) {
  const held = removing ? dependents(definition, question.key) : [];
  const must = question.required
    ? 'required'
    : question.requiredIf
      ? 'sometimes required'
      : !asks(question)
        ? ''
        : 'optional';
  const { setNodeRef, listeners, transform, isDragging } = useSortable({ id: question.key });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      style={transform ? { transform: `translateY(${transform.y}px)` } : undefined}
      className={['design-line', chosen ? 'chosen' : '', isDragging ? 'moving' : '', question.type]
        .filter(Boolean)
        .join(' ')}
      data-question={question.key}
    >
      <button type="button" aria-pressed={chosen} onClick={() => onChoose(question.key)}>
        <span className="margin-number">{number > 0 ? number : ''}</span>
        <span className="design-words">
          <span>
            <b>{question.wording || 'Without wording'}</b>{' '}
            {question.hint && <span className="second">{question.hint}</span>}
          </span>
          <span className="design-answer second">
            <span>
              {designed(question.type).words}
              {question.options &&
                question.options.length > 0 &&
                `: ${question.options.map((option) => option.label).join(', ')}`}
              {question.lines && `: ${question.lines.map((column) => column.wording).join(', ')}`}
              {question.showIf && <em>, only if {conditionWords(question.showIf, definition)}</em>}
              {question.staffOnly && ', staff only'}
              {question.destination && ` → ${destinationLabel(known, question.destination)}`}
            </span>
            <span>{must}</span>
          </span>
        </span>
      </button>
      {held.length > 0 && (
        <div className="trouble" role="alert">
          <span>
            {held.map((one) => `“${one.wording}”`).join(' and ')} {held.length === 1 ? 'asks' : 'ask'} about this.
            Taking it out lets go of {held.length === 1 ? 'that condition' : 'those conditions'}.
          </span>
          <button type="button" className="link-button" onClick={() => onRemove(question.key)}>
            Delete both
          </button>
          <button type="button" className="link-button" onClick={() => onRemove(null)}>
            Cancel
          </button>
        </div>
      )}
    </li>
  );
}
