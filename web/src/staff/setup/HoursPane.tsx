import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { FactRow } from '../shell/FactRow';
import { useToast } from '../shell/Toast';
import { alike, readSpans, tellSpans, weekdays, type Day } from './hours';
import { useHours } from './queries';

/** The hours of some days of the week, edited; they may be taken apart or made alike. */
export function HoursPane({ hours, day, onDone }: { hours: Day[]; day: number; onDone: () => void }) {
  const edit = useHours();
  const toast = useToast();
  const [unread, setUnread] = useState<Error | null>(null);
  const row = alike(hours).find(({ first, last }) => first <= day && day <= last);
  if (!row) return null;
  const save = async (values: Record<string, string>) => {
    const spans = readSpans(values.spans ?? '');
    const [first, last] = [Number(values.first), Number(values.last)];
    const path = spans === null ? 'spans' : last < first ? 'last' : null;
    if (path !== null || spans === null) {
      const message = path === 'last' ? 'The last day lies before the first.' : 'Write it like 09:00 to 17:30.';
      const refused = new ProblemError({
        type: '',
        title: '',
        status: 422,
        detail: message,
        violations: [{ path: path ?? '', message }],
      });
      setUnread(refused);
      throw refused;
    }
    setUnread(null);
    await edit.mutateAsync(hours.map((one) => (one.day >= first && one.day <= last ? { ...one, spans } : one)));
    toast({ words: 'Hours saved. U takes it back.' });
  };
  const days = hours.map((one) => ({ value: String(one.day), label: weekdays[one.day] ?? '' }));
  return (
    <>
      <div className="pillar-head">
        <h2>Hours</h2>
      </div>
      <dl className="facts">
        <FactRow
          name={`setup.hours.${row.first}`}
          label="Hours"
          shown=""
          open
          canEdit
          onOpen={onDone}
          busy={edit.isPending}
          error={unread ?? edit.error}
          onSave={save}
          fields={[
            { key: 'first', label: 'From', value: String(row.first), options: days },
            { key: 'last', label: 'To', value: String(row.last), options: days },
            {
              key: 'spans',
              label: 'Open',
              value: tellSpans(row.spans),
              hint: 'Such as 09:00 to 12:30, 13:30 to 18:00. Empty is closed.',
            },
          ]}
        />
      </dl>
      <p className="second">
        Reply promises and due days count in these hours from now on; days that are set already stay as they are.
      </p>
    </>
  );
}
