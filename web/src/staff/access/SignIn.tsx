import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { StoneFigure } from '../../shared/Figure';
import { useSignIn } from '../session';
import { BareLintel } from '../shell/BareLintel';
import { StaffField } from '../shell/StaffField';
import '../shell/shell.css';
import './sign-in.css';
import { SignInTrouble } from './SignInTrouble';

interface Fields {
  email: string;
  password: string;
}

export function SignIn() {
  const signIn = useSignIn();
  const { register, handleSubmit, formState } = useForm<Fields>({ defaultValues: { email: '', password: '' } });
  useEffect(() => {
    document.title = 'Sign in · Telamon';
  }, []);
  return (
    <div className="sign-in">
      <BareLintel />
      <main>
        <div className="sign-in-figure">
          <StoneFigure size={220} />
        </div>
        <form onSubmit={(event) => void handleSubmit((fields) => signIn.mutate(fields))(event)} noValidate>
          <h1>Sign in</h1>
          <StaffField
            label="Email"
            type="email"
            autoComplete="username"
            autoFocus
            error={formState.errors.email?.message}
            {...register('email', { required: 'Write the address that you sign in with.' })}
          />
          <StaffField
            label="Password"
            type="password"
            autoComplete="current-password"
            error={formState.errors.password?.message}
            {...register('password', { required: 'Write your password.' })}
          />
          <SignInTrouble error={signIn.error} />
          <Button type="submit" variant="contained" disabled={signIn.isPending}>
            Sign in
          </Button>
          <p className="second">
            <a href="/new-password">Lost your password?</a>
          </p>
        </form>
      </main>
    </div>
  );
}
