import Button from '@mui/material/Button';
import { useState } from 'react';
import { ComingRows, Trouble } from '../../../shared/Notice';
import { count } from '../../../shared/numbers';
import { RecordLink } from '../../shell/RecordLink';
import { useToday } from '../../shell/day';
import { useToast } from '../../shell/Toast';
import { useBehind, useTakeOver, type KeptList } from './queries';
import { effectWords } from './Trial';

/** Open projects that came of an older version, and what this one would change in each. */
export function Behind({ kept }: { kept: KeptList }) {
  const behind = useBehind(kept.id, kept.behind > 0);
  const takeOver = useTakeOver();
  const toast = useToast();
  const today = useToday();
  const [without, setWithout] = useState<string[]>([]);
  if (kept.behind === 0) return null;
  const chosen = (behind.data ?? []).map((one) => one.project.id).filter((id) => !without.includes(id));
  return (
    <section className="behind" aria-label="Open projects with an older version">
      <div className="section-head">
        <h2>With an older version</h2>
        <small>{kept.behind} open</small>
      </div>
      {behind.isPending && <ComingRows rows={3} />}
      {behind.isError && (
        <Trouble title="Not loaded" again={() => void behind.refetch()}>
          {behind.error.message}
        </Trouble>
      )}
      <ul>
        {behind.data?.map((one) => (
          <li key={one.project.id}>
            <input
              type="checkbox"
              aria-label={`${one.project.label} takes it over`}
              checked={!without.includes(one.project.id)}
              onChange={(event) =>
                setWithout(
                  event.target.checked ? without.filter((id) => id !== one.project.id) : [...without, one.project.id],
                )
              }
            />
            <span>
              <RecordLink record={one.project} /> for {one.client}
              <span className="second">{effectWords(one, today)}</span>
            </span>
          </li>
        ))}
      </ul>
      {behind.data && (
        <p>
          <Button
            size="small"
            variant="outlined"
            disabled={chosen.length === 0 || takeOver.isPending}
            onClick={() =>
              takeOver.mutate(
                { id: kept.id, projects: chosen },
                {
                  onSuccess: () =>
                    toast({ words: `${count(chosen.length, 'project')} took it over. U takes it back.` }),
                  onError: (error) => toast({ words: error.message }),
                },
              )
            }
          >
            {takeOver.isPending ? 'Taking over…' : `Take over in ${chosen.length}`}
          </Button>{' '}
          <span className="second">Done tasks, and days set by hand, stay as they are.</span>
        </p>
      )}
    </section>
  );
}
