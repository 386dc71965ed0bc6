import Button from '@mui/material/Button';
import { useRef } from 'react';
import type { Schema } from '../../shared/api';
import { useEditorKey } from '../keys';
import { useOffers } from '../people/queries';
import { useUnsaved } from '../shell/useUnsaved';

type Field = Schema<'PlanLine'>['fields'][number];

/** What an empty choice stands for. */
const empty: Record<string, string> = { assignee: 'the coordinator', stage: 'the first' };

interface Props {
  /** Names what is typed here until it is saved. */
  name: string;
  fields: Field[];
  onKeep: (values: Record<string, string>) => void;
  onCancel: () => void;
  words?: string;
}

/** The values of a plan line to change, side by side; Enter and the main key save them, Escape cancels. */
export function LineEditor({ name, fields, onKeep, onCancel, words = 'Save' }: Props) {
  const offers = useOffers().data;
  const form = useRef<HTMLFormElement>(null);
  const [values, setValues, forget] = useUnsaved<Record<string, string>>(
    name,
    Object.fromEntries(fields.map((field) => [field.key, field.value])),
  );
  const cancel = () => {
    forget();
    onCancel();
  };
  useEditorKey(() => form.current?.requestSubmit());
  const set = (key: string, value: string) => setValues({ ...values, [key]: value });
  return (
    <form
      className="line-editor"
      data-open-edit
      ref={form}
      onSubmit={(event) => {
        event.preventDefault();
        forget();
        onKeep(values);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          cancel();
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
      <Button type="button" size="small" onClick={cancel}>
        Cancel
      </Button>
    </form>
  );
}
