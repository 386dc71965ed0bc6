import Dialog from '@mui/material/Dialog';
import { useState, type ReactNode } from 'react';
import { SentContext, type Sent } from './changes';
import { Slab } from './Slab';

/** Asks before something is taken back that has been mailed, or that the public feels. */
export function SentQuestions({ children }: { children: ReactNode }) {
  const [sent, setSent] = useState<Sent | null>(null);
  const close = () => setSent(null);
  const goOn = () => {
    close();
    sent?.goOn();
  };
  return (
    <SentContext value={setSent}>
      {children}
      <Dialog open={sent !== null} onClose={close} aria-labelledby="sent-title" maxWidth="sm" fullWidth>
        <Slab
          titleId="sent-title"
          title={sent?.title === 'Sent already' ? 'Something was sent already' : 'Others feel this'}
          blocks={[
            { label: sent?.title === 'Sent already' ? 'Undo the rest' : 'Undo it', act: goOn, main: true },
            { label: 'Cancel', shown: 'Esc', act: close },
          ]}
        >
          <p>{sent?.words}</p>
        </Slab>
      </Dialog>
    </SentContext>
  );
}
