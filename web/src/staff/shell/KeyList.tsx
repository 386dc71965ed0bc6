import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { keys, keysAreOff, otherKeys, turnKeys } from '../keys';
import { Slab } from './Slab';

export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [off, setOff] = useState(keysAreOff);
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys-title" maxWidth="sm" fullWidth>
      <Slab titleId="keys-title" title="Keys" blocks={[{ label: 'Close', shown: 'Esc', act: onClose }]}>
        <dl className="key-list">
          {[...Object.values(keys), ...otherKeys].map((key) => (
            <div key={key.words}>
              <dt>
                <kbd>{key.shown}</kbd>
              </dt>
              <dd>{key.words}</dd>
            </div>
          ))}
        </dl>
        <FormControlLabel
          control={
            <Checkbox
              checked={!off}
              onChange={(event) => {
                turnKeys(event.target.checked);
                setOff(!event.target.checked);
              }}
            />
          }
          label="Single keys work in this browser"
        />
      </Slab>
    </Dialog>
  );
}
