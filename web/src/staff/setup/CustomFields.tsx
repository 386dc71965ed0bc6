import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { useSignedIn } from '../session';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import { useAddField, useChangeField, type CustomField } from './queries';

const kinds: Record<CustomField['kind'], string> = {
  text: 'text',
  number: 'a number',
  day: 'a day',
  choice: 'a choice',
  'yes-no': 'yes or no',
};
const records = ['client', 'asset', 'project'] as const;

/** The fields that the business added to clients, assets and projects; answers can go to them like to any other. */
export function CustomFields({ fields }: { fields: CustomField[] }) {
  const { business } = useSignedIn();
  const [editing, setEditing] = useState<string | null>(null);
  const word = (record: CustomField['record']) => (record === 'asset' ? business.assetWord : record);
  return (
    <>
      <div className="section-head">
        <h2>Custom fields</h2>
        <small>answers can go to them</small>
      </div>
      {fields.length === 0 && (
        <Empty fact="No custom fields yet.">
          Add what your records need, such as a floor, a key number or a next visit.
        </Empty>
      )}
      {records.map((record) => {
        const here = fields.filter((field) => field.record === record);
        return (
          here.length > 0 && (
            <section key={record}>
              <h3 className="group-label">Of a {word(record)}</h3>
              <ul className="rows own-fields">
                {here.map((field) => (
                  <li key={field.id}>
                    {editing === field.id ? (
                      <EditField field={field} onDone={() => setEditing(null)} />
                    ) : (
                      <Line field={field} onEdit={() => setEditing(field.id)} />
                    )}
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      })}
      <AddField word={word} />
    </>
  );
}

function Line({ field, onEdit }: { field: CustomField; onEdit: () => void }) {
  const change = useChangeField();
  const toast = useToast();
  const turn = (retired: boolean) =>
    change.mutate(
      { id: field.id, label: field.label, choices: field.choices, retired },
      {
        onSuccess: () =>
          toast({
            words: retired ? `${field.label} is retired. What it holds stays.` : `${field.label} is on offer again.`,
          }),
        onError: (error) => toast({ words: error.message }),
      },
    );
  return (
    <div className="line-top">
      <span>
        <b>{field.label}</b>{' '}
        <span className="second">
          {kinds[field.kind]}
          {field.choices.length > 0 && `: ${field.choices.join(', ')}`}
        </span>{' '}
        {field.retired && <Mark kind="stopped">retired</Mark>}
      </span>
      <span>
        <button type="button" className="link-button" onClick={onEdit} aria-label={`Edit ${field.label}`}>
          Edit
        </button>{' '}
        <button
          type="button"
          className="link-button"
          disabled={change.isPending}
          aria-label={`${field.retired ? 'Bring back' : 'Retire'} ${field.label}`}
          onClick={() => turn(!field.retired)}
        >
          {field.retired ? 'Bring back' : 'Retire'}
        </button>
      </span>
    </div>
  );
}

function EditField({ field, onDone }: { field: CustomField; onDone: () => void }) {
  const [label, setLabel] = useState(field.label);
  const [choices, setChoices] = useState(field.choices.join('\n'));
  const change = useChangeField();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(
          { id: field.id, label, choices: choices.split('\n'), retired: field.retired },
          { onSuccess: onDone },
        );
      }}
    >
      <StaffField
        label="Name"
        autoFocus
        value={label}
        maxLength={100}
        error={faultOf(change.error, 'label')}
        onChange={(event) => setLabel(event.target.value)}
      />
      {field.kind === 'choice' && (
        <Choices value={choices} error={faultOf(change.error, 'choices')} onChange={setChoices} />
      )}
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={change.isPending}>
          Save
        </Button>{' '}
        <button type="button" className="link-button" onClick={onDone}>
          Cancel
        </button>
      </p>
    </form>
  );
}

function AddField({ word }: { word: (record: CustomField['record']) => string }) {
  const empty = { record: 'client', label: '', kind: 'text', choices: '' } as const;
  type Typed = Pick<CustomField, 'record' | 'label' | 'kind'> & { choices: string };
  const [field, setField, forget] = useUnsaved<Typed>('custom-field.new', empty);
  const add = useAddField();
  const toast = useToast();
  return (
    <form
      className="setup-form"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(
          { ...field, choices: field.choices.split('\n') },
          {
            onSuccess: () => {
              toast({ words: `${field.label} is there. Questions can send their answers to it.` });
              setField({ ...empty, record: field.record });
              forget();
            },
          },
        );
      }}
    >
      <h3 className="group-label">Add a field</h3>
      <StaffField
        label="Name"
        value={field.label}
        maxLength={100}
        error={faultOf(add.error, 'label')}
        onChange={(event) => setField({ ...field, label: event.target.value })}
      />
      <p>
        of a{' '}
        <select
          aria-label="Of which record"
          value={field.record}
          onChange={(event) => setField({ ...field, record: event.target.value as CustomField['record'] })}
        >
          {records.map((record) => (
            <option key={record} value={record}>
              {word(record)}
            </option>
          ))}
        </select>
        , holding{' '}
        <select
          aria-label="What it holds"
          value={field.kind}
          onChange={(event) => setField({ ...field, kind: event.target.value as CustomField['kind'] })}
        >
          {Object.entries(kinds).map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>
      </p>
      {field.kind === 'choice' && (
        <Choices
          value={field.choices}
          error={faultOf(add.error, 'choices')}
          onChange={(choices) => setField({ ...field, choices })}
        />
      )}
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={add.isPending}>
          Add
        </Button>
      </p>
    </form>
  );
}

function Choices({
  value,
  error,
  onChange,
}: {
  value: string;
  error: string | undefined;
  onChange: (value: string) => void;
}) {
  return (
    <div className={error ? 'staff-field wrong' : 'staff-field'}>
      <label htmlFor="own-field-choices">What it offers, one a line</label>
      <textarea
        id="own-field-choices"
        rows={4}
        value={value}
        aria-invalid={error ? true : undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      {error && <p className="staff-field-error">{error}</p>}
    </div>
  );
}

function faultOf(error: Error | null, path: string): string | undefined {
  if (!(error instanceof ProblemError)) return path === 'label' ? error?.message : undefined;
  return error.violations.find((violation) => violation.path === path)?.message;
}
