import Button from '@mui/material/Button';
import { useState } from 'react';

/** A password, shown once: whoever needs it copies it now. */
export function PasswordOnce({ email, password, onDone }: { email: string; password: string; onDone: () => void }) {
  const [copied, setCopied] = useState(false);
  return (
    <section className="setup-once">
      <div className="pillar-head">
        <h2>Password for {email}</h2>
      </div>
      <p className="setup-password">
        <code>{password}</code>
      </p>
      <p className="second">
        It is shown only now. Give it to them by another way than mail; they can change it after signing in.
      </p>
      <p className="fact-does">
        <Button
          size="small"
          variant="outlined"
          onClick={() => void navigator.clipboard.writeText(password).then(() => setCopied(true))}
        >
          {copied ? 'Copied' : 'Copy'}
        </Button>
        <Button size="small" variant="outlined" onClick={onDone}>
          Done
        </Button>
      </p>
    </section>
  );
}
