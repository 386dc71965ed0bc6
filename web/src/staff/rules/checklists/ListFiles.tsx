import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../../shared/api';
import { ReadFile } from '../../shell/ReadFile';
import { useToast } from '../../shell/Toast';
import { useImportLists, type KeptList } from './queries';

/** Checklists as files: out, and in after a look at what would come of it. */
export function ListFiles({ kept }: { kept: KeptList | undefined }) {
  const take = useImportLists();
  const toast = useToast();
  const [text, setText] = useState('');
  const told = take.data;
  const wrong =
    take.error instanceof ProblemError
      ? (take.error.violations[0]?.message ?? take.error.message)
      : take.error?.message;
  return (
    <section className="list-files" aria-label="As files">
      <p>
        {kept && (
          <>
            <a href={`/api/checklists/export?list=${kept.id}&format=json`}>JSON</a>
            {' · '}
            <a href={`/api/checklists/export?list=${kept.id}&format=csv`}>CSV</a>
            <span className="second"> of this one. </span>
          </>
        )}
        <a href="/api/checklists/export?format=json">All as JSON</a>
        {' · '}
        <a href="/api/checklists/export?format=csv">All as CSV</a>
        {' · '}
        <ReadFile
          plain
          label="Take in from a file"
          accept=".json,.csv,application/json,text/csv"
          onText={(read) => {
            setText(read);
            take.mutate({ text: read, dry: true });
          }}
        />
      </p>
      {take.isPending && <p className="second">Reading…</p>}
      {wrong && <p className="question-error">{wrong}</p>}
      {text !== '' && told && (
        <div role="status">
          {told.wrong.length > 0 ? (
            <>
              <b>Nothing can be taken in:</b>
              <ul className="wrong-lines">
                {told.wrong.slice(0, 12).map((one) => (
                  <li key={one}>{one}</li>
                ))}
              </ul>
            </>
          ) : (
            <>
              <p>
                {told.added.length > 0 && `Adds ${told.added.join(', ')}. `}
                {told.changed.length > 0 && `Changes ${told.changed.join(', ')}.`}
                {told.added.length + told.changed.length === 0 && 'The file holds no checklists.'}
              </p>
              <Button
                size="small"
                variant="outlined"
                disabled={told.added.length + told.changed.length === 0}
                onClick={() =>
                  take.mutate(
                    { text, dry: false },
                    {
                      onSuccess: () => {
                        setText('');
                        toast({ words: 'Taken in. U takes it back.' });
                      },
                    },
                  )
                }
              >
                Take in
              </Button>
            </>
          )}{' '}
          <Button size="small" onClick={() => setText('')}>
            Cancel
          </Button>
        </div>
      )}
    </section>
  );
}
