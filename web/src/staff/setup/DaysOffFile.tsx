import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { longDay } from '../../shared/words';
import { ReadFile } from '../shell/ReadFile';
import { useToast } from '../shell/Toast';
import { useDaysOff } from './queries';

/** Closures, or days off of one person, out of a calendar file: shown before they are taken in. */
export function DaysOffFile({ staff = '' }: { staff?: string }) {
  const read = useDaysOff();
  const toast = useToast();
  const [file, setFile] = useState('');
  const told = read.data;
  const fresh = told?.days.filter((day) => !day.known) ?? [];
  const wrong =
    read.error instanceof ProblemError
      ? (read.error.violations[0]?.message ?? read.error.message)
      : read.error?.message;
  return (
    <div className="days-off-file">
      <ReadFile
        plain
        label="Take in from a calendar file"
        accept=".ics,text/calendar"
        onText={(text) => {
          setFile(text);
          read.mutate({ file: text, staff, dry: true });
        }}
      />
      {read.isPending && <p className="second">Reading…</p>}
      {wrong && (
        <p className="staff-field-error" role="alert">
          {wrong}
        </p>
      )}
      {file !== '' && told && (
        <div role="status">
          <ul>
            {told.days.slice(0, 30).map((day) => (
              <li key={`${day.first} ${day.name}`} className={day.known ? 'second' : undefined}>
                {day.name}:{' '}
                {day.first === day.last ? longDay(day.first) : `${longDay(day.first)} to ${longDay(day.last)}`}
                {day.known && ', known already'}
              </li>
            ))}
          </ul>
          {told.days.length === 0 && <p>The file holds no whole days from today on.</p>}
          {told.passedOver > 0 && (
            <p className="second">{told.passedOver} events are no whole days and are passed over.</p>
          )}
          <Button
            size="small"
            variant="outlined"
            disabled={fresh.length === 0}
            onClick={() =>
              read.mutate(
                { file, staff, dry: false },
                {
                  onSuccess: () => {
                    setFile('');
                    toast({ words: 'Taken in. U takes it back.' });
                  },
                },
              )
            }
          >
            Take in {fresh.length}
          </Button>{' '}
          <Button size="small" variant="outlined" onClick={() => setFile('')}>
            Cancel
          </Button>
        </div>
      )}
    </div>
  );
}
