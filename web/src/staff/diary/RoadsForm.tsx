import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need, ProblemError } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { ReadFile } from '../shell/ReadFile';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import type { Setup } from './queries';

/** Minutes on the road between areas, typed or read from a file; and what is taken along. */
export function RoadsForm({ setup }: { setup: Setup }) {
  const [{ roads, unknown, driving, gap, hours }, setTyped, forget] = useUnsaved('diary.roads', {
    roads: setup.roads,
    unknown: String(setup.unknownRoad),
    driving: String(setup.littleDriving),
    gap: String(setup.smallGap),
    hours: String(setup.offerHours),
  });
  const set = (part: Partial<{ roads: Setup['roads'] } & Record<'unknown' | 'driving' | 'gap' | 'hours', string>>) =>
    setTyped({ roads, unknown, driving, gap, hours, ...part });
  const [resource, setResource] = useState('');
  const queries = useQueryClient();
  const toast = useToast();
  const done = (next: Setup, words: string) => {
    queries.setQueryData(queryKeys.visitTypes, next);
    toast({ words });
    void queries.invalidateQueries();
  };
  const save = useMutation({
    mutationFn: (csv: string) =>
      need(
        api.PUT('/api/diary/roads', {
          body: {
            unknown: Number(unknown),
            littleDriving: Number(driving),
            smallGap: Number(gap),
            offerHours: Number(hours),
            roads: csv ? [] : roads,
            ...(csv ? { csv } : {}),
          },
        }),
      ),
    onSuccess: (next) => {
      set({ roads: next.roads });
      forget();
      done(next, 'The roads are saved.');
    },
  });
  const add = useMutation({
    mutationFn: () => need(api.POST('/api/diary/resources', { body: { name: resource } })),
    onSuccess: (next) => {
      done(next, `${resource} is added.`);
      setResource('');
    },
  });
  const change = (i: number, next: Partial<Setup['roads'][number]>) =>
    set({ roads: roads.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  return (
    <div className="kind-part">
      <h1>Roads</h1>
      <p>
        An address belongs to the area whose name it holds. Between areas that are not here, the road counts{' '}
        <Figure label="Minutes on an unknown road" value={unknown} onChange={(value) => set({ unknown: value })} /> min.
        A good time adds under{' '}
        <Figure
          label="Minutes of driving that are little"
          value={driving}
          onChange={(value) => set({ driving: value })}
        />{' '}
        min of driving and leaves no gap under{' '}
        <Figure label="Minutes of a gap that is of no use" value={gap} onChange={(value) => set({ gap: value })} /> min.
        A time that is offered is kept{' '}
        <Figure
          label="Hours for which an offered time is kept"
          value={hours}
          onChange={(value) => set({ hours: value })}
        />{' '}
        h.
      </p>
      <table className="roads">
        <thead>
          <tr>
            <th>From</th>
            <th>To</th>
            <th>Minutes</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {roads.map((one, i) => (
            <tr key={i}>
              <td>
                <input
                  className="kind-value"
                  aria-label="From"
                  value={one.from}
                  onChange={(event) => change(i, { from: event.target.value })}
                />
              </td>
              <td>
                <input
                  className="kind-value"
                  aria-label="To"
                  value={one.to}
                  onChange={(event) => change(i, { to: event.target.value })}
                />
              </td>
              <td>
                <input
                  className="kind-value"
                  aria-label="Minutes"
                  inputMode="numeric"
                  size={4}
                  value={one.minutes}
                  onChange={(event) => change(i, { minutes: Number(event.target.value.replace(/\D/g, '')) })}
                />
              </td>
              <td>
                <button
                  type="button"
                  className="link-button"
                  onClick={() => set({ roads: roads.filter((_, at) => at !== i) })}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {save.error && (
        <p className="staff-field-error">{save.error instanceof ProblemError ? save.error.message : 'Not saved.'}</p>
      )}
      <p className="visit-buttons">
        <Button
          size="small"
          variant="outlined"
          onClick={() => set({ roads: [...roads, { from: '', to: '', minutes: 15 }] })}
        >
          Add a road
        </Button>
        <Button size="small" variant="contained" disabled={save.isPending} onClick={() => save.mutate('')}>
          Save the roads
        </Button>
        <ReadFile label="Read a CSV file" accept=".csv,text/csv" onText={(text) => save.mutate(text)} />
      </p>
      <h2>Taken along</h2>
      <p>
        {setup.resources.map((one) => one.name).join(', ') ||
          'Nothing yet: a van, a room, whatever only one can have at a time.'}
      </p>
      <form
        className="inline-form"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate();
        }}
      >
        <StaffField
          label="Add"
          value={resource}
          error={add.error?.message}
          onChange={(event) => setResource(event.target.value)}
        />
        <Button type="submit" size="small" variant="outlined" disabled={!resource.trim() || add.isPending}>
          Add
        </Button>
      </form>
    </div>
  );
}

function Figure({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <input
      className="kind-value"
      aria-label={label}
      inputMode="numeric"
      size={3}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
