import { ConditionEditor } from '../../definition/ConditionEditor';
import type { Condition } from '../../../shared/condition';
import { askable } from '../rule';
import { Choice, choices } from './Choice';
import { DueEditor } from './DueEditor';
import { WaitsEditor } from './WaitsEditor';
import { doers, doneBys, type Row } from './checklist';
import type { Item, Lists } from './queries';

interface Props {
  row: Row;
  rows: Row[];
  groups: string[];
  offers: Lists['offers'];
  faults: Record<string, string>;
  onChange: (part: Partial<Item>) => void;
}

const approvals = (offers: Lists['offers']) => [
  { value: '', label: 'no approval' },
  ...offers.roles.map(({ value, approver }) => ({ value, label: `${approver}’s approval` })),
];

/** One item, unfolded in its list. */
export function ItemEditor({ row, rows, groups, offers, faults, onChange }: Props) {
  const { item } = row;
  const whole = (text: string) => Math.max(0, Math.trunc(Number(text)) || 0);
  return (
    <div className="item-editor particulars">
      {Object.values(faults).map((fault) => (
        <p key={fault} className="question-error" role="alert">
          {fault}
        </p>
      ))}
      <dl>
        <div>
          <dt>What</dt>
          <dd>
            <input
              className="wide"
              aria-label="What is to be done"
              value={item.name}
              maxLength={200}
              placeholder="what is to be done"
              onChange={(event) => onChange({ name: event.target.value })}
            />
            <small className="second">
              {'{{client}}, {{asset}} and {{service}} are filled in, and answers by their keys'}
            </small>
          </dd>
        </div>
        <div>
          <dt>Who</dt>
          <dd>
            <Choice
              label="Who does it"
              value={item.doer}
              options={choices(doers)}
              onChange={(value) => onChange({ doer: value as Item['doer'] })}
            />{' '}
            {(item.doer === 'named' || item.doer === 'turns' || item.doer === 'fewest') && (
              <Among item={item} offers={offers} onChange={onChange} />
            )}
          </dd>
        </div>
        <div>
          <dt>Takes</dt>
          <dd>
            <input
              type="number"
              min={0}
              max={2000}
              aria-label="Working days that it takes"
              value={item.takes}
              onChange={(event) => onChange({ takes: whole(event.target.value) })}
            />{' '}
            working days,{' '}
            <input
              type="number"
              min={0}
              max={100000}
              step={5}
              aria-label="Minutes of work"
              value={item.effort}
              onChange={(event) => onChange({ effort: whole(event.target.value) })}
            />{' '}
            minutes of work
          </dd>
        </div>
        <div>
          <dt>After</dt>
          <dd>
            <WaitsEditor row={row} rows={rows} onChange={onChange} />
          </dd>
        </div>
        <div>
          <dt>Due</dt>
          <dd>
            <DueEditor row={row} rows={rows} onChange={onChange} />
          </dd>
        </div>
        <div>
          <dt>Only if</dt>
          <dd>
            {!item.if && <span className="second">always. </span>}
            <ConditionEditor
              words="only if"
              numbered={false}
              definition={askable(offers, [])}
              before=""
              condition={(item.if ?? undefined) as Condition | undefined}
              onChange={(condition) => onChange({ if: (condition ?? null) as unknown as Item['if'] })}
            />
          </dd>
        </div>
        <div>
          <dt>Steps</dt>
          <dd>
            <textarea
              aria-label="Steps to tick, one a line"
              rows={Math.max(1, item.steps.length)}
              placeholder="to tick, one a line"
              value={item.steps.join('\n')}
              onChange={(event) => onChange({ steps: event.target.value === '' ? [] : event.target.value.split('\n') })}
            />
          </dd>
        </div>
        <div>
          <dt>Done</dt>
          <dd>
            <Choice
              label="Done by itself"
              value={item.doneBy ?? ''}
              options={[{ value: '', label: 'by hand' }, ...choices(doneBys)]}
              onChange={(value) => onChange({ doneBy: (value || null) as Item['doneBy'] })}
            />
            , needs{' '}
            <Choice
              label="Who has to approve it"
              value={item.approval}
              options={approvals(offers)}
              onChange={(value) => onChange({ approval: value })}
            />
          </dd>
        </div>
        <div>
          <dt>Group</dt>
          <dd>
            <input
              aria-label="Group"
              list="item-groups"
              value={item.group}
              maxLength={60}
              placeholder="none"
              onChange={(event) => onChange({ group: event.target.value })}
            />
            <datalist id="item-groups">
              {groups.map((group) => (
                <option key={group} value={group} />
              ))}
            </datalist>{' '}
            <label>
              <input
                type="checkbox"
                checked={item.shown}
                onChange={(event) => onChange({ shown: event.target.checked })}
              />{' '}
              the client sees it
            </label>
          </dd>
        </div>
        <div>
          <dt>Words</dt>
          <dd>
            <textarea
              aria-label="Words about it"
              rows={1}
              placeholder="what whoever does it should know"
              value={item.words}
              maxLength={2000}
              onChange={(event) => onChange({ words: event.target.value })}
            />
          </dd>
        </div>
      </dl>
    </div>
  );
}

function Among({ item, offers, onChange }: Pick<Props, 'offers' | 'onChange'> & { item: Item }) {
  const name = (id: string) => offers.staff.find((one) => one.value === id)?.label ?? 'somebody who has left';
  if (item.doer === 'named')
    return (
      <Choice
        label="Who"
        value={item.among[0] ?? ''}
        options={[
          { value: '', label: 'choose who' },
          ...(item.among[0] && !offers.staff.some((one) => one.value === item.among[0])
            ? [{ value: item.among[0], label: 'somebody who has left' }]
            : []),
          ...offers.staff,
        ]}
        onChange={(value) => onChange({ among: value ? [value] : [] })}
      />
    );
  return (
    <>
      {item.among.map((id) => (
        <span key={id} className="chip">
          {name(id)}{' '}
          <button
            type="button"
            className="link-button"
            aria-label={`without ${name(id)}`}
            onClick={() => onChange({ among: item.among.filter((one) => one !== id) })}
          >
            ×
          </button>
        </span>
      ))}
      <Choice
        label="One more"
        value=""
        options={[{ value: '', label: 'and …' }, ...offers.staff.filter((one) => !item.among.includes(one.value))]}
        onChange={(value) => value && onChange({ among: [...item.among, value] })}
      />
    </>
  );
}
