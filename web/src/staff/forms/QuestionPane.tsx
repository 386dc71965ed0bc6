import type { Ref } from 'react';
import { asks } from '../../form/answers';
import { kinds } from '../../form/kinds';
import { StaffField } from '../shell/StaffField';
import { AnswerParticulars } from './AnswerParticulars';
import { ConditionEditor } from '../definition/ConditionEditor';
import {
  destinationLabel,
  destinationsFor,
  designed,
  isUnwritten,
  likelyFor,
  ofKind,
  type Definition,
  type DraftQuestion,
  type KnownKinds,
  type Kind,
} from '../definition/design';
import { LinesEditor } from './LinesEditor';
import { OffersEditor } from './OffersEditor';
import { PictureEditor } from './PictureEditor';
import { canCount, PointsEditor } from './PointsEditor';

interface Props {
  known: KnownKinds;
  definition: Definition;
  question: DraftQuestion;
  number: number;
  onChange: (part: Partial<DraftQuestion>) => void;
  /** Enter in the wording asks the next question. */
  onNext: () => void;
  wordingRef: Ref<HTMLInputElement>;
}

/** The particulars of one question, each line a sentence. */
export function QuestionPane({ known, definition, question, number, onChange, onNext, wordingRef }: Props) {
  const offers = designed(question.type).offers ?? false;
  const tells = !asks(question);
  return (
    <>
      <div className="pillar-head">
        <h2>{number > 0 ? `Question ${number}` : question.type === 'section' ? 'A heading' : 'A text'}</h2>
        <small>{question.key}</small>
      </div>
      <div className="particulars">
        <StaffField
          label={tells ? 'Text' : 'Wording'}
          ref={wordingRef}
          value={question.wording}
          maxLength={500}
          onChange={(event) => onChange({ wording: event.target.value })}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.ctrlKey || event.metaKey) return;
            event.preventDefault();
            onNext();
          }}
        />
        {(question.type !== 'statement' || question.picture) && (
          <StaffField
            label={
              question.type === 'statement'
                ? 'What the picture shows'
                : tells
                  ? 'Beneath it'
                  : 'Help, beside the wording'
            }
            value={question.hint ?? ''}
            maxLength={300}
            onChange={(event) => onChange({ hint: event.target.value })}
          />
        )}
        <dl>
          <div>
            <dt>Kind</dt>
            <dd>
              <select
                aria-label="Kind"
                value={question.type}
                onChange={(event) => onChange(ofKind(known, question, event.target.value as Kind))}
              >
                {Object.entries(kinds).map(([kind, one]) => (
                  <option key={kind} value={kind}>
                    {one.designed.words}
                  </option>
                ))}
              </select>
            </dd>
          </div>
          {question.type === 'statement' && <PictureEditor question={question} onChange={onChange} />}
          {offers && (
            <OffersEditor definition={definition} question={question} onChange={onChange} services={known.services} />
          )}
          {question.type === 'lines' && (
            <LinesEditor definition={definition} known={known} question={question} onChange={onChange} />
          )}
          {!tells && kinds[question.type].isShown && (
            <AnswerParticulars definition={definition} question={question} onChange={onChange} />
          )}
          {canCount(question.type) && <PointsEditor question={question} onChange={onChange} />}
          {question.type === 'hidden' && (
            <div>
              <dt>From</dt>
              <dd>
                the address parameter{' '}
                <input
                  aria-label="Address parameter"
                  value={question.parameter ?? ''}
                  maxLength={40}
                  placeholder="campaign"
                  onChange={(event) => onChange({ parameter: event.target.value })}
                />
              </dd>
            </div>
          )}
          <div>
            <dt>Shown</dt>
            <dd>
              {!question.showIf && <span>always. </span>}
              <ConditionEditor
                words="only if"
                definition={definition}
                before={question.key}
                condition={question.showIf}
                onChange={(showIf) => onChange({ showIf })}
              />
              <p>
                <label>
                  <input
                    type="checkbox"
                    checked={question.staffOnly ?? false}
                    onChange={(event) => onChange({ staffOnly: event.target.checked })}
                  />{' '}
                  to staff only
                </label>
              </p>
              {!tells && (
                <p>
                  on{' '}
                  <select
                    aria-label="How wide"
                    value={question.third ? 'third' : question.half ? 'half' : 'whole'}
                    onChange={(event) =>
                      onChange({ half: event.target.value === 'half', third: event.target.value === 'third' })
                    }
                  >
                    <option value="whole">a line of its own</option>
                    <option value="half">half a line</option>
                    <option value="third">a third of a line</option>
                  </select>
                </p>
              )}
            </dd>
          </div>
          <GoesTo known={known} question={question} onChange={onChange} />
        </dl>
      </div>
    </>
  );
}

/** Where the answer goes: only places that fit the kind, the likely one said. */
export function GoesTo({
  known,
  question,
  onChange,
  none = 'the submission, told in the project’s notes',
}: {
  known: KnownKinds;
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
  none?: string;
}) {
  const fits = destinationsFor(known, question.type);
  const likely = likelyFor(known, question.type, question.wording);
  const chosen = question.destination ?? '';
  if (fits.length === 0) return null;
  // A question about the service offers the services, unless somebody has written choices already.
  const isBlank = question.options?.every(isUnwritten) ?? false;
  const goTo = (destination: string) =>
    onChange(
      destination === 'project.service' && isBlank && known.services.length > 0
        ? { destination, options: [...known.services, { value: 'other', label: 'Something else' }] }
        : { destination },
    );
  return (
    <div>
      <dt>Goes to</dt>
      <dd>
        <select aria-label="Goes to" value={chosen} onChange={(event) => goTo(event.target.value)}>
          <option value="">{none}</option>
          {[...new Set([...fits, ...(chosen ? [chosen] : [])])].map((fit) => (
            <option key={fit} value={fit}>
              {destinationLabel(known, fit)}
            </option>
          ))}
        </select>
        {!chosen && likely && likely !== 'project.notes' && (
          <button type="button" className="link-button" onClick={() => goTo(likely)}>
            likely: {destinationLabel(known, likely)}
          </button>
        )}
      </dd>
    </div>
  );
}
