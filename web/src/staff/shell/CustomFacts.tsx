import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useToday } from './day';
import type { Fact } from './FactList';

type Value = Schema<'OwnValue'>;

function told({ kind, value }: Value, today: string): string {
  if (value === '') return '';
  if (kind === 'day') return shortDay(value, today);
  return kind === 'yes-no' ? (value === 'yes' ? 'Yes' : 'No') : value;
}

/** The values of the business's custom fields, as lines of a list of facts; those that hold nothing are left out. */
export function CustomFacts({ values }: { values: Value[] }) {
  const today = useToday();
  return values
    .filter((value) => value.value !== '')
    .map((value) => (
      <div key={value.key}>
        <dt>{value.label}</dt>
        <dd>{told(value, today)}</dd>
      </div>
    ));
}

/** The same as facts that can be edited, filled in or not. */
export function customFacts(values: Value[], today: string): Fact<{ custom: Record<string, string> }>[] {
  return values.map((value) => {
    const offered =
      value.kind === 'yes-no'
        ? [
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
          ]
        : value.kind === 'choice'
          ? value.choices.map((choice) => ({ value: choice, label: choice }))
          : null;
    return {
      key: `custom.${value.key}`,
      label: value.label,
      shown: told(value, today),
      fields: [
        {
          key: value.key,
          label: value.label,
          value: value.value,
          ...(value.kind === 'day' ? { kind: 'date' as const } : {}),
          ...(offered ? { options: [{ value: '', label: 'not filled in' }, ...offered] } : {}),
        },
      ],
      edit: (typed) => ({ custom: { [value.key]: typed[value.key] ?? '' } }),
    };
  });
}
