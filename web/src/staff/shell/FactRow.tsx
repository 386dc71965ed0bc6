import Button from '@mui/material/Button';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode, type SyntheticEvent } from 'react';
import { ProblemError } from '../../shared/api';
import { MarkShape } from '../../shared/Mark';
import { isUnsaved, useUnsaved } from './useUnsaved';
import './fact.css';
import './staff-field.css';

export interface FactField {
  key: string;
  label: string;
  value: string;
  kind?: 'text' | 'long' | 'email' | 'tel' | 'date' | 'password';
  /** What it is filled in like, or what it does. */
  hint?: string;
  options?: { value: string; label: string }[];
  /** Whether several of the options may be chosen: their values are parted by commas, in the order chosen. */
  several?: boolean;
  /** What follows from what is typed, before it is saved. */
  beside?: (value: string) => ReactNode;
  /** Offered while typing; anything else may be written too. */
  suggestions?: string[];
}

interface Props {
  /** Under which what is typed is kept until it is saved. */
  name: string;
  label: string;
  /** What is on file; nothing where nothing is. */
  shown: ReactNode;
  fields: FactField[];
  canEdit: boolean;
  /** Whether what is typed survives leaving the page: not where it is a secret. */
  keeps?: boolean;
  /** What saving it is called, where it is not that. */
  saveWord?: string | undefined;
  open: boolean;
  onOpen: (open: boolean) => void;
  onSave: (values: Record<string, string>) => Promise<unknown>;
  /** Takes the fact away altogether; nothing where it can only be emptied. */
  onRemove?: (() => Promise<unknown>) | undefined;
  busy: boolean;
  error: Error | null;
}

/** What is wrong with one of the fields: the server names it by its path. */
function faultOf(error: Error | null, key: string): string | null {
  if (!(error instanceof ProblemError)) return null;
  return error.violations.find(({ path }) => path === key || path.endsWith(`.${key}`))?.message ?? null;
}

/** What the field says on file, as it is shown. */
function onFile({ value, options, several }: FactField): string {
  if (several)
    return (
      options
        ?.filter((one) => value.split(',').includes(one.value))
        .map((one) => one.label)
        .join(', ') || 'nobody'
    );
  return options?.find((option) => option.value === value)?.label ?? (value || 'nothing');
}

/** One fact about a record: pressed, it is edited where it stands. What is typed is kept until it is saved or cancelled. */
export function FactRow(props: Props) {
  const { name, label, shown, canEdit, open, onOpen } = props;
  const value = useRef<HTMLButtonElement>(null);
  if (open)
    return (
      <FactEdit
        {...props}
        onOpen={(is) => {
          onOpen(is);
          // Whoever goes by key stands where they were.
          if (!is) setTimeout(() => value.current?.focus());
        }}
      />
    );
  return (
    <div>
      <dt>{label}</dt>
      <dd>
        {canEdit ? (
          <button ref={value} type="button" className="fact-value" data-fact={label} onClick={() => onOpen(true)}>
            <span className="unseen">Edit {label}: </span>
            {shown || <span className="second">not filled in</span>}
            {isUnsaved(name) && <span className="second"> (typed, not saved)</span>}
          </button>
        ) : (
          shown || <span className="second">not known</span>
        )}
      </dd>
    </div>
  );
}

function FactEdit({
  name,
  label,
  fields,
  saveWord = 'Save',
  keeps = true,
  onOpen,
  onSave,
  onRemove,
  busy,
  error,
}: Props) {
  const begun = Object.fromEntries(fields.map((field) => [field.key, field.value]));
  // Only what was touched: the others are saved as they are by then, whoever changed them.
  const [typed, setTyped, forget] = useUnsaved<Record<string, string>>(name, {}, keeps);
  const [seen] = useState(begun);
  const id = useId();
  const saving = useRef(false);
  const general = error && !fields.some((field) => faultOf(error, field.key)) ? error.message : null;
  const cancel = () => {
    forget();
    onOpen(false);
  };
  const carryOut = async (work: () => Promise<unknown>) => {
    // Two keys within one breath are one change.
    if (busy || saving.current) return;
    saving.current = true;
    try {
      await work();
      forget();
      onOpen(false);
    } catch {
      // It stays as it was typed, with what is wrong beside it.
    } finally {
      saving.current = false;
    }
  };
  const save = (event?: SyntheticEvent) => {
    event?.preventDefault();
    void carryOut(() => onSave({ ...begun, ...typed }));
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      cancel();
    }
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      // The fact that is open has the key: nothing else is done with it.
      event.stopPropagation();
      save();
    }
  };
  return (
    <div className="fact-edit">
      <dt className={fields.length === 1 ? 'unseen' : undefined}>{label}</dt>
      <dd>
        <form onSubmit={save} onKeyDown={onKey} aria-label={`Edit ${label}`}>
          {fields.map((field, i) => {
            const fault = faultOf(error, field.key);
            const shared = {
              id: `${id}-${field.key}`,
              value: typed[field.key] ?? field.value,
              autoFocus: i === 0,
              'aria-invalid': fault ? true : undefined,
              'aria-describedby': fault ? `${id}-${field.key}-error` : undefined,
              onChange: (event: { target: { value: string } }) =>
                setTyped({ ...typed, [field.key]: event.target.value }),
            };
            return (
              <div key={field.key} className={fault ? 'staff-field wrong' : 'staff-field'}>
                {!field.several && <label htmlFor={shared.id}>{field.label}</label>}
                {field.several ? (
                  <SeveralOf
                    field={field}
                    value={shared.value}
                    onChange={(value) => shared.onChange({ target: { value } })}
                  />
                ) : field.options ? (
                  <select {...shared}>
                    {field.options.map((option) => (
                      <option key={option.value} value={option.value}>
                        {option.label}
                      </option>
                    ))}
                  </select>
                ) : field.kind === 'long' ? (
                  <textarea {...shared} rows={4} />
                ) : (
                  <>
                    <input
                      {...shared}
                      type={field.kind ?? 'text'}
                      autoComplete={field.kind === 'password' ? undefined : 'off'}
                      list={field.suggestions && `${shared.id}-offered`}
                    />
                    {field.suggestions && (
                      <datalist id={`${shared.id}-offered`}>
                        {field.suggestions.map((one) => (
                          <option key={one} value={one} />
                        ))}
                      </datalist>
                    )}
                  </>
                )}
                {field.hint && <p className="second">{field.hint}</p>}
                {field.beside?.(shared.value)}
                {field.value !== seen[field.key] && <p className="second">On file now: {onFile(field)}</p>}
                {fault && (
                  <p id={`${id}-${field.key}-error`} className="staff-field-error">
                    <MarkShape kind="choose" /> {fault}
                  </p>
                )}
              </div>
            );
          })}
          {general && (
            <p role="alert" className="staff-field-error">
              <MarkShape kind="choose" /> {general}
            </p>
          )}
          <p className="fact-does">
            <Button type="submit" size="small" variant="outlined" disabled={busy}>
              {saveWord}
            </Button>
            <Button size="small" variant="outlined" onClick={cancel}>
              Cancel
            </Button>
            {onRemove && (
              <Button size="small" variant="outlined" disabled={busy} onClick={() => void carryOut(onRemove)}>
                Remove
              </Button>
            )}
          </p>
        </form>
      </dd>
    </div>
  );
}

/** Several of what is offered, ticked. */
function SeveralOf({ field, value, onChange }: { field: FactField; value: string; onChange: (value: string) => void }) {
  const chosen = value.split(',').filter(Boolean);
  return (
    <fieldset className="several-of">
      <legend>{field.label}</legend>
      {field.options?.map((one) => (
        <label key={one.value}>
          <input
            type="checkbox"
            checked={chosen.includes(one.value)}
            onChange={(event) =>
              onChange(
                (event.target.checked ? [...chosen, one.value] : chosen.filter((id) => id !== one.value)).join(','),
              )
            }
          />{' '}
          {one.label}
          {chosen.includes(one.value) && chosen.length > 1 && <small> {chosen.indexOf(one.value) + 1}</small>}
        </label>
      ))}
    </fieldset>
  );
}
