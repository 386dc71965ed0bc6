import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { count } from '../../shared/numbers';
import { ReadFile } from '../shell/ReadFile';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import type { Setup } from './queries';

/** Calendars out and in: secret addresses to subscribe to, times at which people are busy elsewhere, a file brought in or taken out. */
export function CalendarsForm({ setup }: { setup: Setup }) {
  const queries = useQueryClient();
  const toast = useToast();
  const refresh = () => void queries.invalidateQueries();
  const renew = useMutation({
    mutationFn: (staff: string) => need(api.POST('/api/diary/feeds', { body: { staff } })),
    onSuccess: () => {
      toast({ words: 'A new address is made; the one before has ended.' });
      refresh();
    },
    onError: (error) => toast({ words: error.message }),
  });
  return (
    <div className="kind-part">
      <h1>Calendars</h1>
      <h2>To subscribe to</h2>
      <p className="second">Whoever knows the address reads the diary. Renew it when it got about.</p>
      <ul className="feeds">
        {[{ id: '', name: 'The whole business' }, ...setup.staff].map((one) => {
          const feed = setup.feeds.find((each) => (each.staff ?? '') === one.id);
          return (
            <li key={one.id}>
              <b>{one.name}</b>
              {feed ? (
                <code>{window.location.origin + feed.path}</code>
              ) : (
                <span className="second">no address yet</span>
              )}
              <Button size="small" variant="outlined" disabled={renew.isPending} onClick={() => renew.mutate(one.id)}>
                {feed ? 'Renew' : 'Make one'}
              </Button>
            </li>
          );
        })}
      </ul>
      <Busy setup={setup} onDone={refresh} />
      <BringIn setup={setup} onDone={refresh} />
      <h2>Take out</h2>
      <p>
        <a href="/api/diary/export" download>
          The diary as a file
        </a>
      </p>
    </div>
  );
}

function Busy({ setup, onDone }: { setup: Setup; onDone: () => void }) {
  const [staff, setStaff] = useState(setup.staff[0]?.id ?? '');
  const [address, setAddress] = useState('');
  const toast = useToast();
  const add = useMutation({
    mutationFn: (file: string) =>
      need(api.POST('/api/diary/calendars', { body: { staff, ...(file ? { file } : { address }) } })),
    onSuccess: ({ busy }) => {
      toast({ words: `${count(busy, 'busy time')} read.` });
      setAddress('');
      onDone();
    },
  });
  const remove = useMutation({
    mutationFn: (id: string) => need(api.DELETE('/api/diary/calendars/{id}', { params: { path: { id } } })),
    onSuccess: onDone,
    onError: (error) => toast({ words: error.message }),
  });
  return (
    <>
      <h2>Busy elsewhere</h2>
      <ul className="feeds">
        {setup.calendars.map((one) => (
          <li key={one.id}>
            <b>{setup.staff.find((each) => each.id === one.staff)?.name}</b>
            <span>
              {one.address || 'a file'}, {count(one.busy, 'time')}
              {one.trouble && <span className="staff-field-error"> {one.trouble}</span>}
            </span>
            <Button size="small" variant="outlined" onClick={() => remove.mutate(one.id)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="inline-form"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate('');
        }}
      >
        <Person setup={setup} value={staff} onChange={setStaff} />
        <StaffField
          label="Address of the calendar, read again every quarter of an hour"
          value={address}
          placeholder="https://"
          error={add.error?.message}
          onChange={(event) => setAddress(event.target.value)}
        />
        <Button type="submit" size="small" variant="outlined" disabled={!address || add.isPending}>
          Read it
        </Button>
        <ReadFile accept=".ics,text/calendar" label="Read a file" onText={(text) => add.mutate(text)} />
      </form>
    </>
  );
}

function BringIn({ setup, onDone }: { setup: Setup; onDone: () => void }) {
  const [staff, setStaff] = useState(setup.staff[0]?.id ?? '');
  const [file, setFile] = useState('');
  const [dry, setDry] = useState<Schema<'CalendarImport'> | null>(null);
  const toast = useToast();
  const run = useMutation({
    mutationFn: ({ text, really }: { text: string; really: boolean }) =>
      need(api.POST('/api/diary/import', { body: { file: text, staff, dry: !really } })),
    onSuccess: (done, { text, really }) => {
      if (really) {
        toast({ words: `${count(done.new, 'visit')} brought in, ${done.changed} changed.` });
        setDry(null);
        setFile('');
        onDone();
      } else {
        setFile(text);
        setDry(done);
      }
    },
  });
  return (
    <>
      <h2>Bring in</h2>
      <div className="inline-form">
        <Person setup={setup} value={staff} onChange={setStaff} />
        <ReadFile
          accept=".ics,text/calendar"
          label="Choose a calendar file"
          onText={(text) => run.mutate({ text, really: false })}
        />
      </div>
      {run.error && <p className="staff-field-error">{run.error.message}</p>}
      {dry && (
        <div>
          <p>
            It would add {dry.new}, change {dry.changed}, and leave {dry.known} that are there already.
          </p>
          {dry.refused.slice(0, 8).map((one) => (
            <p key={one} className="second">
              Not taken: {one}
            </p>
          ))}
          <Button
            size="small"
            variant="contained"
            disabled={run.isPending || dry.new + dry.changed === 0}
            onClick={() => run.mutate({ text: file, really: true })}
          >
            Bring them in
          </Button>
        </div>
      )}
    </>
  );
}

function Person({ setup, value, onChange }: { setup: Setup; value: string; onChange: (value: string) => void }) {
  return (
    <label className="staff-field">
      <span>Whose</span>
      <select value={value} onChange={(event) => onChange(event.target.value)}>
        {setup.staff.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </select>
    </label>
  );
}
