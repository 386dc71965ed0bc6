import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState, type SyntheticEvent } from 'react';
import { api, need, ProblemError } from '../../shared/api';
import { StoneFigure } from '../../shared/Figure';
import { MarkShape } from '../../shared/Mark';
import { BareLintel } from '../shell/BareLintel';
import { StaffField } from '../shell/StaffField';
import '../shell/shell.css';
import './sign-in.css';

/** A lost password: a link is asked for, or, come by one, another password is chosen. */
export function NewPassword() {
  const token = new URLSearchParams(window.location.search).get('token');
  const [text, setText] = useState('');
  const send = useMutation({
    mutationFn: () =>
      need(
        token === null
          ? api.POST('/api/public/password-links', { body: { email: text } })
          : api.PUT('/api/public/password', { body: { token, password: text } }),
      ),
  });
  const title = token === null ? 'Lost your password?' : 'Choose a password';
  useEffect(() => {
    document.title = `${title} · Telamon`;
  }, [title]);
  const violation = send.error instanceof ProblemError ? send.error.violations[0]?.message : undefined;
  const onSubmit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (!send.isPending) send.mutate();
  };
  return (
    <div className="sign-in">
      <BareLintel />
      <main>
        <div className="sign-in-figure">
          <StoneFigure size={220} />
        </div>
        <form onSubmit={onSubmit} noValidate>
          <h1>{title}</h1>
          {send.isSuccess ? (
            <p role="status">
              {token === null
                ? 'If somebody here signs in with this address, a mail is on its way to it. Its link is good for an hour.'
                : 'Your new password counts from now on.'}
            </p>
          ) : (
            <>
              {token === null ? (
                <StaffField
                  label="Email that you sign in with"
                  type="email"
                  autoComplete="username"
                  autoFocus
                  value={text}
                  error={violation}
                  onChange={(event) => setText(event.target.value)}
                />
              ) : (
                <StaffField
                  label="New password, 12 characters or more"
                  type="password"
                  autoComplete="new-password"
                  autoFocus
                  value={text}
                  error={violation}
                  onChange={(event) => setText(event.target.value)}
                />
              )}
              {send.error && !violation && (
                <p className="sign-in-trouble" role="alert">
                  <MarkShape kind="choose" /> {send.error.message}
                </p>
              )}
              <Button type="submit" variant="contained" disabled={send.isPending}>
                {token === null ? 'Send a link' : 'Save'}
              </Button>
            </>
          )}
          <p className="second">
            <a href="/sign-in">Sign in</a>
          </p>
        </form>
      </main>
    </div>
  );
}
