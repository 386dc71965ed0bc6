import { useRef, useState } from 'react';
import { useSignedIn } from '../session';
import { FactList, type Fact } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { AddPane } from './AddPane';
import { PasswordOnce } from './PasswordOnce';
import {
  useAddStaff,
  useChangeStaff,
  useInvite,
  useLeaving,
  useNewPassword,
  type Setup,
  type SetupStaff,
} from './queries';
import { StaffHours } from './StaffHours';

type Edit = Omit<Parameters<ReturnType<typeof useChangeStaff>['mutateAsync']>[0], 'id'>;

const offered = (setup: Setup) => setup.roles.map(({ value, label, says }) => ({ value, label: `${label}: ${says}` }));

export function NewStaff({ setup, onDone }: { setup: Setup; onDone: () => void }) {
  const add = useAddStaff();
  const toast = useToast();
  const [given, setGiven] = useState<{ password: string; email: string } | null>(null);
  const added = useRef(false);
  if (given) return <PasswordOnce {...given} onDone={onDone} />;
  return (
    <AddPane
      name="new-staff"
      title="Add person"
      saveWord="Add"
      saving={add}
      onDone={() => {
        // Added, the pane stays: it shows the password.
        if (!added.current) onDone();
      }}
      onSave={async ({ name = '', email = '', role = 'field', how = '' }) => {
        const invite = how === 'mail';
        const answer = await add.mutateAsync({ name, email, role, invite });
        if (invite) {
          toast({ words: `A link goes to ${answer.email}; it is good for seven days.` });
          return;
        }
        added.current = true;
        setGiven(answer);
      }}
      fields={[
        { key: 'name', label: 'Name', value: '' },
        { key: 'email', label: 'Email, to sign in with', value: '', kind: 'email' },
        { key: 'role', label: 'May do', value: 'field', options: offered(setup) },
        {
          key: 'how',
          label: 'Password',
          value: 'mail',
          options: [
            { value: 'mail', label: 'they choose it, by a link in a mail' },
            { value: 'shown', label: 'one is made and shown to you once' },
          ],
        },
      ]}
    />
  );
}

/** Somebody of the staff: what they are called, may do and hold, and what becomes of it when they leave. */
export function StaffPane({ one, setup, onDone }: { one: SetupStaff; setup: Setup; onDone: () => void }) {
  const { user } = useSignedIn();
  // Who is an owner, and how an owner signs in, is decided among owners.
  const canEdit = one.role !== 'owner' || user.role === 'owner';
  const edit = useChangeStaff();
  const leaving = useLeaving();
  const renew = useNewPassword();
  const invite = useInvite();
  const toast = useToast();
  const [given, setGiven] = useState<{ password: string; email: string } | null>(null);
  const [goes, setGoes] = useState(false);
  const others = setup.staff.filter((other) => other.active && other.id !== one.id);
  const fact = (key: 'name' | 'email' | 'initials', label: string): Fact<Edit> => ({
    key,
    label,
    shown: one[key],
    fields: [{ key, label, value: one[key], kind: key === 'email' ? 'email' : 'text' }],
    edit: (values) => ({ [key]: values[key] ?? '' }),
  });
  if (given) return <PasswordOnce {...given} onDone={() => setGiven(null)} />;
  if (goes)
    return (
      <AddPane
        name={`leaving.${one.id}`}
        title={`${one.name} leaves`}
        saveWord="Hand over"
        saving={leaving}
        onDone={() => setGoes(false)}
        onSave={async ({ handTo = '' }) => {
          await leaving.mutateAsync({ id: one.id, handTo });
          toast({ words: `${one.name} has left. U takes it back.` });
        }}
        fields={[
          {
            key: 'handTo',
            label: 'Who takes over',
            value: others[0]?.id ?? '',
            options: others.map((other) => ({ value: other.id, label: other.name })),
          },
        ]}
      >
        <Holds one={one} />
        <p className="second">
          They are signed out everywhere and cannot sign in. What is done and closed keeps their name.
        </p>
      </AddPane>
    );
  return (
    <>
      <FactList<Edit>
        name={`setup.staff.${one.id}`}
        title={one.name}
        canEdit={canEdit}
        saving={edit}
        save={(part) => edit.mutateAsync({ id: one.id, ...part })}
        facts={[
          fact('name', 'Name'),
          fact('email', 'Email'),
          fact('initials', 'Initials'),
          {
            key: 'role',
            label: 'May do',
            shown: one.roleName,
            fields: [{ key: 'role', label: 'May do', value: one.role, options: offered(setup) }],
            edit: ({ role = one.role }) => ({ role: role }),
          },
        ]}
      />
      <StaffHours one={one} canEdit={canEdit} />
      <Holds one={one} />
      <div className="setup-does">
        {one.active && canEdit && (
          <button
            type="button"
            className="link-button"
            disabled={renew.isPending}
            onClick={() =>
              renew.mutate(one.id, { onSuccess: setGiven, onError: (error) => toast({ words: error.message }) })
            }
          >
            Give a new password
          </button>
        )}
        {one.active && canEdit && !one.you && (
          <button
            type="button"
            className="link-button"
            disabled={invite.isPending}
            onClick={() =>
              invite.mutate(one.id, {
                onSuccess: () => toast({ words: `A link goes to ${one.email}; it is good for seven days.` }),
                onError: (error) => toast({ words: error.message }),
              })
            }
          >
            Send a link to choose one
          </button>
        )}
        {one.active && canEdit && !one.you && others.length > 0 && (
          <button type="button" className="link-button" onClick={() => setGoes(true)}>
            {one.name} leaves…
          </button>
        )}
        {!one.active && (
          <button
            type="button"
            className="link-button"
            disabled={edit.isPending}
            onClick={() => edit.mutate({ id: one.id, active: true })}
          >
            Bring back
          </button>
        )}
        <button type="button" className="link-button" onClick={onDone}>
          Close
        </button>
      </div>
      {edit.error && <p role="alert">{edit.error.message}</p>}
    </>
  );
}

function Holds({ one }: { one: SetupStaff }) {
  return (
    <section>
      <h3 className="group-label">What {one.name} has</h3>
      {one.holds.length === 0 ? (
        <p className="second">Nothing that is open.</p>
      ) : (
        <ul className="rows">
          {one.holds.map(({ what }) => (
            <li key={what} className="line-top">
              <b>{what}</b>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
