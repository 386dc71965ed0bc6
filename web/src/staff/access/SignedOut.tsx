import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { KeyScope } from '../keys';
import { useSignIn, type Session } from '../session';
import { StaffField } from '../shell/StaffField';
import './sign-in.css';
import { SignInTrouble } from './SignInTrouble';

interface Props {
  user: Session['user'];
  onDone: () => void;
}

/** The session has ended while somebody worked: they sign in again above the screen, which stays as it is with all that is typed. */
export function SignedOut({ user, onDone }: Props) {
  const signIn = useSignIn();
  const queries = useQueryClient();
  const [email, setEmail] = useState(user.email);
  const [password, setPassword] = useState('');
  return (
    <Dialog open aria-labelledby="signed-out" className="signed-out">
      <KeyScope>
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (signIn.isPending) return;
            signIn.mutate(
              { email, password },
              {
                onSuccess: (session) => {
                  // Somebody else sees other things: nothing of before may stay on their screen.
                  if (session.user.id !== user.id) {
                    window.location.reload();
                    return;
                  }
                  onDone();
                  void queries.invalidateQueries();
                },
              },
            );
          }}
        >
          <h2 id="signed-out">You have been signed out</h2>
          <p className="second">
            That happens after some time, or when your password is changed. What you typed is still here: sign in, and
            go on where you are.
          </p>
          <StaffField
            label="Email"
            type="email"
            autoComplete="username"
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
          <StaffField
            label="Password"
            type="password"
            autoComplete="current-password"
            autoFocus
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
          <SignInTrouble error={signIn.error} />
          <Button type="submit" variant="contained" disabled={signIn.isPending}>
            Sign in
          </Button>
        </form>
      </KeyScope>
    </Dialog>
  );
}
