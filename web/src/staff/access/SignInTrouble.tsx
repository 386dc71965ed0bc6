import { MarkShape } from '../../shared/Mark';

/** Why nobody is signed in, as the server says it; nothing where nothing is wrong. */
export function SignInTrouble({ error }: { error: Error | null }) {
  return (
    error && (
      <p className="sign-in-trouble" role="alert">
        <MarkShape kind="choose" /> {error.message}
      </p>
    )
  );
}
