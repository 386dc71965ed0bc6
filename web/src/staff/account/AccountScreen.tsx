import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need } from '../../shared/api';
import { useSignedIn } from '../session';
import { FactRow } from '../shell/FactRow';
import { Pillars } from '../shell/Pillars';
import { useToast } from '../shell/Toast';

/** One's own account: who one is here, one's password, and where else one is signed in. */
export function AccountScreen() {
  const { user } = useSignedIn();
  const toast = useToast();
  const [open, setOpen] = useState<string | null>(null);
  const change = useMutation({
    mutationFn: (body: { current: string; next: string }) => need(api.PUT('/api/session/password', { body })),
  });
  const queries = useQueryClient();
  const sign = useMutation({
    mutationFn: (signature: string) => need(api.PUT('/api/session/signature', { body: { signature } })),
    onSettled: () => queries.invalidateQueries(),
  });
  const end = useMutation({
    mutationFn: (body: { password: string }) => need(api.DELETE('/api/session/elsewhere', { body })),
  });
  const turn = (key: string | null) => {
    change.reset();
    end.reset();
    setOpen(key);
  };
  return (
    <Pillars
      title="Your account"
      pillars={[
        {
          name: 'Your account',
          width: '480px',
          content: (
            <>
              <div className="pillar-head">
                <h1>Your account</h1>
              </div>
              <dl className="facts">
                <div>
                  <dt>Name</dt>
                  <dd>{user.name}</dd>
                </div>
                <div>
                  <dt>Email</dt>
                  <dd>{user.email}</dd>
                </div>
                <FactRow
                  name="account.signature"
                  label="Signature"
                  shown={user.signature || 'the business’s'}
                  canEdit
                  open={open === 'signature'}
                  onOpen={(is) => turn(is ? 'signature' : null)}
                  busy={sign.isPending}
                  error={sign.error}
                  fields={[
                    {
                      key: 'signature',
                      label: 'How your letters end',
                      value: user.signature ?? '',
                      kind: 'long',
                      hint: 'Of projects that you lead, and of letters by hand. Empty for the business’s.',
                    },
                  ]}
                  onSave={async ({ signature = '' }) => {
                    await sign.mutateAsync(signature);
                    toast({ words: 'Saved. U takes it back.' });
                  }}
                />
                <FactRow
                  name="account.password"
                  keeps={false}
                  label="Password"
                  shown="kept as a sum only"
                  canEdit
                  open={open === 'password'}
                  onOpen={(is) => turn(is ? 'password' : null)}
                  busy={change.isPending}
                  error={change.error}
                  fields={[
                    { key: 'current', label: 'Your password now', value: '', kind: 'password' },
                    {
                      key: 'next',
                      label: 'New password',
                      value: '',
                      kind: 'password',
                      hint: '12 characters or more; several words are easy to remember. Everywhere else you are signed out.',
                    },
                  ]}
                  onSave={async ({ current = '', next = '' }) => {
                    await change.mutateAsync({ current, next });
                    toast({ words: 'Password changed. Everywhere else you are signed out.' });
                  }}
                />
                <FactRow
                  name="account.elsewhere"
                  keeps={false}
                  label="Elsewhere"
                  shown="sign out everywhere else"
                  saveWord="Sign out everywhere else"
                  canEdit
                  open={open === 'elsewhere'}
                  onOpen={(is) => turn(is ? 'elsewhere' : null)}
                  busy={end.isPending}
                  error={end.error}
                  fields={[{ key: 'password', label: 'Your password', value: '', kind: 'password' }]}
                  onSave={async ({ password = '' }) => {
                    await end.mutateAsync({ password });
                    toast({ words: 'You are signed out everywhere else.' });
                  }}
                />
              </dl>
            </>
          ),
        },
      ]}
    />
  );
}
