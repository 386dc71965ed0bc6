import useMediaQuery from '@mui/material/useMediaQuery';
import { useRef, useState, type ComponentType } from 'react';
import { useKey } from '../keys';
import { useSignedIn } from '../session';

interface Begun {
  begun: string;
}

/**
 * The place to find anything. What answers is fetched when somebody turns to it: until it is there, the field takes
 * what is typed and hands it on.
 */
export function FindField() {
  const { business } = useSignedIn();
  const [typed, setTyped] = useState('');
  const [Find, setFind] = useState<ComponentType<Begun> | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useKey('find', () => input.current?.focus());
  const roomy = useMediaQuery('(min-width: 1180px)', { noSsr: true });
  const words = `Find a client, ${business.assetWord} or number`;
  if (Find) return <Find begun={typed} />;
  return (
    <div className="find">
      <div className="find-field">
        <input
          ref={input}
          type="text"
          role="combobox"
          aria-expanded="false"
          aria-controls="find-answers"
          aria-label={words}
          placeholder={roomy ? words : 'Find'}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onFocus={() => {
            // Without a connection the field stays as it is; the next turning to it tries again.
            import('./Find').then(
              (module) => setFind(() => module.Find),
              () => undefined,
            );
          }}
        />
        <kbd aria-hidden="true">/</kbd>
      </div>
      <div id="find-answers" hidden />
    </div>
  );
}
