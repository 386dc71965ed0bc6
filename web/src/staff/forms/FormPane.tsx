import Checkbox from '@mui/material/Checkbox';
import { StaffField } from '../shell/StaffField';
import { ConditionEditor } from '../definition/ConditionEditor';
import { Share } from './Share';
import type { Definition, KnownKinds } from '../definition/design';
import { type DesignedForm } from './queries';

import { SettingsFields, Withdraw } from './FormSettings';

interface Props {
  form: DesignedForm;
  definition: Definition;
  /** Whom it may tell at once. */
  staff: KnownKinds['staff'];
  onChange: (part: Partial<Definition>) => void;
}

/** What the form as a whole says and promises, how it ends, where and when it stands. */
export function FormPane({ form, definition, staff, onChange }: Props) {
  const endings = definition.endings ?? [];
  const setEnding = (i: number, part: Partial<(typeof endings)[number]>) =>
    onChange({ endings: endings.map((ending, n) => (n === i ? { ...ending, ...part } : ending)) });
  return (
    <>
      <div className="pillar-head">
        <h2>The form</h2>
        <small>choose a question to change it</small>
      </div>
      <div className="particulars">
        <StaffField
          label="Title"
          value={definition.title}
          maxLength={200}
          onChange={(event) => onChange({ title: event.target.value })}
        />
        <StaffField
          label="Introduction"
          value={definition.intro}
          maxLength={500}
          onChange={(event) => onChange({ intro: event.target.value })}
        />
        <StaffField
          label="On privacy"
          value={definition.privacy}
          maxLength={500}
          onChange={(event) => onChange({ privacy: event.target.value })}
        />
        <StaffField
          label="Thanks; {{reference}} and {{name}} are filled in"
          value={definition.thanks}
          maxLength={1000}
          onChange={(event) => onChange({ thanks: event.target.value })}
        />
        <dl>
          <div>
            <dt>Promises</dt>
            <dd>
              an answer within{' '}
              <input
                aria-label="Working minutes until an answer"
                type="number"
                min={1}
                max={10_000}
                value={definition.promiseMinutes}
                onChange={(event) =>
                  onChange({
                    promiseMinutes: Math.max(1, Math.min(10_000, Math.round(Number(event.target.value)) || 1)),
                  })
                }
              />{' '}
              working minutes
            </dd>
          </div>
          <div>
            <dt>Days</dt>
            <dd>
              <select
                aria-label="How days in figures are written"
                value={definition.dayOrder}
                onChange={(event) => onChange({ dayOrder: event.target.value as Definition['dayOrder'] })}
              >
                <option value="day-first">04/05 is 4 May</option>
                <option value="month-first">04/05 is 5 April</option>
                <option value="unstated">04/05 may be either: ask in the plan</option>
              </select>
            </dd>
          </div>
          <div>
            <dt>For</dt>
            <dd>
              <select
                aria-label="What its submissions do"
                value={definition.purpose ?? ''}
                onChange={(event) => onChange({ purpose: event.target.value as NonNullable<Definition['purpose']> })}
              >
                <option value="">choose what its submissions do</option>
                <option value="open">each opens a project</option>
                <option value="add">each is added to an open project (the plan asks which)</option>
                <option value="file">each is only filed with the client</option>
              </select>
            </dd>
          </div>
          <div>
            <dt>Copy</dt>
            <dd>
              <label>
                <input
                  type="checkbox"
                  checked={definition.copy ?? false}
                  onChange={(event) => onChange({ copy: event.target.checked })}
                />{' '}
                whoever gives a mail address gets their answers by mail at once
              </label>
            </dd>
          </div>
          <div>
            <dt>Tells</dt>
            <dd>
              <select
                aria-label="Who is told at once"
                value={definition.tell ?? ''}
                onChange={(event) => onChange({ tell: event.target.value })}
              >
                <option value="">nobody by mail</option>
                {definition.tell && !staff.some((one) => one.value === definition.tell) && (
                  <option value={definition.tell}>somebody who has left</option>
                )}
                {staff.map((one) => (
                  <option key={one.value} value={one.value}>
                    {one.label}, by mail at once
                  </option>
                ))}
              </select>
            </dd>
          </div>
          <div>
            <dt>Before</dt>
            <dd>
              <label>
                <input
                  type="checkbox"
                  checked={definition.checkPage ?? false}
                  onChange={(event) => onChange({ checkPage: event.target.checked })}
                />{' '}
                all answers are shown once more before they are sent
              </label>
            </dd>
          </div>
          <div>
            <dt>Ends</dt>
            <dd>
              {endings.map((ending, i) => (
                <div key={i} className="ending">
                  <select
                    aria-label="How it ends"
                    value={ending.kind}
                    onChange={(event) =>
                      setEnding(i, { kind: event.target.value as typeof ending.kind, text: '', sendsAway: false })
                    }
                  >
                    <option value="thanks">with other thanks</option>
                    <option value="address">at another address</option>
                    <option value="form">in another form</option>
                    <option value="booking">at the times of a booking page</option>
                  </select>{' '}
                  <input
                    aria-label="Text, address or form"
                    value={ending.text}
                    placeholder={
                      {
                        thanks: 'Thank you.',
                        address: 'https://…',
                        form: 'ending of its address',
                        booking: 'page, or page/kind, or page/kind/minutes',
                      }[ending.kind]
                    }
                    onChange={(event) => setEnding(i, { text: event.target.value })}
                  />
                  <ConditionEditor
                    words="if"
                    definition={definition}
                    before=""
                    condition={ending.when}
                    onChange={(when) => setEnding(i, { when })}
                  />
                  {ending.kind === 'thanks' && (
                    <label className="sends-away">
                      <Checkbox
                        size="small"
                        sx={{ p: 0 }}
                        checked={ending.sendsAway ?? false}
                        onChange={(event) => setEnding(i, { sendsAway: event.target.checked })}
                      />{' '}
                      sends them away: nobody owes an answer
                    </label>
                  )}
                  <button
                    type="button"
                    className="link-button"
                    onClick={() => onChange({ endings: endings.filter((_, n) => n !== i) })}
                  >
                    remove
                  </button>
                </div>
              ))}
              <button
                type="button"
                className="link-button"
                onClick={() => onChange({ endings: [...endings, { kind: 'thanks', text: '' }] })}
              >
                {endings.length === 0 ? 'with thanks; end otherwise …' : 'and also'}
              </button>
            </dd>
          </div>
        </dl>
        <SettingsFields
          key={`${form.slug} ${form.settings.opensOn} ${form.settings.closesOn} ${form.settings.limit}`}
          form={form}
        />
        {form.published && <Share form={form} />}
        {form.published && <Withdraw form={form} />}
      </div>
    </>
  );
}
