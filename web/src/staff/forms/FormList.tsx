import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, NavLink } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { ComingRows, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { ReadFile } from '../shell/ReadFile';
import { StaffField } from '../shell/StaffField';
import { useBegin, useForms, useImport, useStarters, type DesignedForm } from './queries';

interface Props {
  form: DesignedForm | undefined;
  beginning: boolean;
  onBegun: (id: string) => void;
  onLeave: () => void;
}

export function FormList({ form, beginning, onBegun, onLeave }: Props) {
  const forms = useForms();
  return (
    <>
      <div className="pillar-head">
        <h1>Forms</h1>
        <small>{forms.data?.length}</small>
      </div>
      {forms.isPending && <ComingRows rows={4} />}
      {forms.isError && (
        <Trouble title="Not loaded" again={() => void forms.refetch()}>
          {forms.error.message}
        </Trouble>
      )}
      <ul>
        {forms.data?.map((one) => (
          <li key={one.id}>
            <NavLink to={`/forms/${one.id}`} className="arrival">
              <span className="arrival-name">
                <span>{one.title}</span>
                {one.state === 'live' ? (
                  <Mark kind="done">live, {one.publishedVersion}</Mark>
                ) : one.state === 'closed' ? (
                  <Mark kind="stopped">closed</Mark>
                ) : (
                  <Mark kind="under-way">draft</Mark>
                )}
              </span>
              <span className="second">{count(one.submissions, 'submission')}</span>
            </NavLink>
          </li>
        ))}
      </ul>
      {beginning && <BeginForm onBegun={onBegun} onLeave={onLeave} copyOf={form} />}
      {form && !beginning && <WouldChange form={form} />}
    </>
  );
}

/** What hinders publishing, what is advised, and what publishing would change. */
function WouldChange({ form }: { form: DesignedForm }) {
  const number = (form.published?.number ?? 0) + 1;
  return (
    <section className="would">
      <p>
        <Link to={`/forms/${form.id}/submissions`}>All its submissions</Link>
      </p>
      <h2>Publishing {number} would</h2>
      {form.problems.map((problem) => (
        <p key={problem}>
          <Mark kind="choose">not go yet</Mark> {problem}
        </p>
      ))}
      {form.advice.map((words) => (
        <p key={words}>
          <Mark kind="waiting">mind</Mark> {words}
        </p>
      ))}
      {form.published ? (
        form.changes.length > 0 ? (
          <ul className="rows">
            {form.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        ) : (
          form.problems.length === 0 && <p className="second">change nothing.</p>
        )
      ) : (
        form.problems.length === 0 && <p className="second">make the form public for the first time.</p>
      )}
    </section>
  );
}

function BeginForm({
  onBegun,
  onLeave,
  copyOf,
}: {
  onBegun: (id: string) => void;
  onLeave: () => void;
  copyOf: DesignedForm | undefined;
}) {
  const [title, setTitle] = useState('');
  const [from, setFrom] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const starters = useStarters();
  const begin = useBegin();
  const take = useImport();
  const done = { onSuccess: (form: DesignedForm) => onBegun(form.id) };
  const fault = (error: Error | null) =>
    error instanceof ProblemError ? (error.violations[0]?.message ?? error.message) : (error?.message ?? null);
  return (
    <form
      className="begin"
      onSubmit={(event) => {
        event.preventDefault();
        begin.mutate(
          { title, ...(from === 'copy' && copyOf ? { copyOf: copyOf.id } : from ? { starter: from } : {}) },
          done,
        );
      }}
    >
      <h2 className="group-label">New form</h2>
      <StaffField
        label="Name"
        autoFocus
        value={title}
        maxLength={200}
        error={fault(begin.error) ?? undefined}
        onChange={(event) => setTitle(event.target.value)}
      />
      <label className="second">
        Begin with{' '}
        <select value={from} onChange={(event) => setFrom(event.target.value)}>
          <option value="">name, email and phone</option>
          {starters.data?.map((starter) => (
            <option key={starter.key} value={starter.key}>
              {starter.title}
            </option>
          ))}
          {copyOf && <option value="copy">a copy of {copyOf.title}</option>}
        </select>
      </label>
      <p className="second">{starters.data?.find((starter) => starter.key === from)?.about}</p>
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={begin.isPending}>
          Begin
        </Button>{' '}
        <ReadFile
          plain
          label="or take in a file"
          accept="application/json"
          onText={(text) => {
            setWrong(null);
            try {
              take.mutate(JSON.parse(text) as Record<string, never>, done);
            } catch {
              setWrong('This file is no form: it could not be read as JSON.');
            }
          }}
        />{' '}
        <button type="button" className="link-button" onClick={onLeave}>
          Leave
        </button>
      </p>
      {(wrong ?? take.error) && <Trouble title="Not taken in">{wrong ?? fault(take.error)}</Trouble>}
    </form>
  );
}
