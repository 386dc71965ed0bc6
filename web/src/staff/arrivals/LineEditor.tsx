import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { useRules } from '../rules/queries';

type Field = Schema<'PlanLine'>['fields'][number];

/** What an empty choice stands for. */
const empty: Record<string, string> = { assignee: 'the coordinator', stage: 'the first' };

interface Props {
  fields: Field[];
  onKeep: (values: Record<string, string>) => void;
  onCancel: () => void;
  words?: string;
}

/** The values of a plan line to change, side by side; Enter keeps them, Escape leaves them. */
export function LineEditor({ fields, onKeep, onCancel, words = 'Change' }: Props) {
  const offers = useRules().data?.offers;
  const [values, setValues] = useState<Record<string, string>>(
    Object.fromEntries(fields.map((field) => [field.key, field.value])),
  );
  const set = (key: string, value: string) => setValues({ ...values, [key]: value });
  return (
    <form
      className="line-editor"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(values);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onCancel();
        }
      }}
    >
      {fields.map((field, i) => (
        <label key={field.key}>
          <span>{field.label}</span>
          {field.kind === 'staff' || field.kind === 'stage' ? (
            <select
              value={values[field.key]}
              required={field.key === 'staff'}
              onChange={(event) => set(field.key, event.target.value)}
            >
              {field.value === '' && <option value="">{empty[field.key] ?? 'choose'}</option>}
              {((field.kind === 'stage' ? offers?.stages : offers?.staff) ?? []).map((one) => (
                <option key={one.value} value={one.value}>
                  {one.label}
                </option>
              ))}
            </select>
          ) : (
            <input
              type={field.kind === 'day' ? 'date' : 'text'}
              value={values[field.key]}
              maxLength={2000}
              autoFocus={i === 0}
              onChange={(event) => set(field.key, event.target.value)}
            />
          )}
        </label>
      ))}
      <Button type="submit" size="small" variant="contained">
        {words}
      </Button>
      <Button type="button" size="small" onClick={onCancel}>
        Leave
      </Button>
    </form>
  );
}
