import { useId, type ComponentProps } from 'react';
import { MarkShape } from '../../shared/Mark';
import './staff-field.css';

type Props = ComponentProps<'input'> & { label: string; error?: string | undefined };

/** A field as staff screens have it: label above, an underline that carries. */
export function StaffField({ label, error, ...input }: Props) {
  const id = useId();
  return (
    <div className={error ? 'staff-field wrong' : 'staff-field'}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        {...input}
      />
      {error && (
        <p id={`${id}-error`} className="staff-field-error">
          <MarkShape kind="choose" /> {error}
        </p>
      )}
    </div>
  );
}
