import { useDeferredValue, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ProblemError } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { Trouble } from '../../shared/Notice';
import { Pillars } from '../shell/Pillars';
import { RecordLink } from '../shell/RecordLink';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import './client.css';
import { useAlike, useMakeClient, type ClientEdit, type Written } from './queries';

const nobody: Written = { givenName: '', familyName: '', organisation: '', email: '', phone: '', address: '' };

const fields: { key: keyof Written; label: string; type?: string }[] = [
  { key: 'givenName', label: 'Given name' },
  { key: 'familyName', label: 'Family name' },
  { key: 'organisation', label: 'Organisation' },
  { key: 'email', label: 'Email', type: 'email' },
  { key: 'phone', label: 'Phone', type: 'tel' },
  { key: 'address', label: 'Address' },
];

function pointsOf({ email, phone }: Written): NonNullable<ClientEdit['contactPoints']> {
  return [
    { kind: 'email' as const, value: email },
    { kind: 'phone' as const, value: phone },
  ].filter((point) => point.value.trim() !== '');
}

/** Somebody who rang, or stood at the counter: put on file, once it is seen that they are not there. */
export function NewClientScreen() {
  // Kept with what is typed: saved again after an answer that was lost on the way, it is the same client.
  const [begun] = useState(() => ({ ...nobody, key: newKey() }));
  const [typed, setTyped, forget] = useUnsaved('client.new', begun);
  const alike = useAlike(useDeferredValue(typed));
  const make = useMakeClient();
  const sending = useRef(false);
  const navigate = useNavigate();
  const toast = useToast();
  const points = pointsOf(typed);
  const faultOf = (key: keyof Written): string | undefined => {
    if (!(make.error instanceof ProblemError)) return undefined;
    const at = points.findIndex((point) => point.kind === key);
    return make.error.violations.find(({ path }) => path === key || path === `contactPoints.${at}.value`)?.message;
  };
  const general = make.error && !fields.some(({ key }) => faultOf(key)) ? make.error : null;
  const save = () => {
    // Two keys within one breath are one client.
    if (sending.current) return;
    sending.current = true;
    const { givenName, familyName, organisation, address } = typed;
    make.mutate(
      { key: typed.key, body: { givenName, familyName, organisation, address, contactPoints: points } },
      {
        onSettled: () => {
          sending.current = false;
        },
        onSuccess: (client) => {
          forget();
          toast({ words: `${client.name} is on file. U takes it back.` });
          void navigate(`/clients/${client.id}`);
        },
      },
    );
  };
  return (
    <Pillars
      title="New client"
      head={
        <div className="record-head">
          <Link to="/clients">All clients</Link>
          <h1>Somebody new</h1>
        </div>
      }
      pillars={[
        {
          name: 'Facts',
          width: '396px',
          middling: '1fr',
          content: (
            <form
              className="new-client"
              onSubmit={(event) => {
                event.preventDefault();
                save();
              }}
            >
              {fields.map(({ key, label, type = 'text' }, i) => (
                <StaffField
                  key={key}
                  label={label}
                  type={type}
                  autoFocus={i === 0}
                  autoComplete="off"
                  value={typed[key]}
                  error={faultOf(key)}
                  onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
                />
              ))}
              {general && <Trouble title="Not saved">{general.message}</Trouble>}
              <button type="submit" className="unseen">
                Save
              </button>
            </form>
          ),
          blocks: [{ label: 'Save the client', keyName: 'main', main: true, act: save, disabled: make.isPending }],
        },
        {
          name: 'On file',
          width: '1fr',
          middling: '300px',
          content: (
            <>
              <div className="section-head">
                <h2>On file already?</h2>
              </div>
              <div role="status">
                {(alike.data?.items ?? []).length === 0 ? (
                  <p className="nothing second">Nobody like this so far.</p>
                ) : (
                  <ul className="rows lines">
                    {alike.data?.items.map((one) => (
                      <li key={one.client.id}>
                        <span className="line-top">
                          <RecordLink record={one.client} />
                        </span>
                        <small>{one.why}</small>
                      </li>
                    ))}
                  </ul>
                )}
              </div>
            </>
          ),
          blocks: [{ label: 'Cancel', act: () => (forget(), void navigate('/clients')) }],
        },
      ]}
    />
  );
}
