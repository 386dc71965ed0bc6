import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useToday } from './day';

/** The values of the business's own fields, as lines of a list of facts. */
export function CustomFacts({ values }: { values: Schema<'OwnValue'>[] }) {
  const today = useToday();
  return values.map((value) => (
    <div key={value.key}>
      <dt>{value.label}</dt>
      <dd>
        {value.kind === 'day'
          ? shortDay(value.value, today)
          : value.kind === 'yes-no'
            ? value.value === 'yes'
              ? 'Yes'
              : 'No'
            : value.value}
      </dd>
    </div>
  ));
}
