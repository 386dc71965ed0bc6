import { lazy, Suspense, useState } from 'react';
import { Outlet } from 'react-router';
import { useKey } from '../keys';
import { Way } from './Way';
import type { Area } from './area';
import { DayRuler } from './DayRuler';
import { Lintel } from './Lintel';
import { SentQuestions } from './SentQuestions';
import './shell.css';
import { drafts } from './drafts';
import { useSignedIn } from '../session';
import { ToastStand } from './Toast';

const orNothing = () => ({ default: () => null });

// Without it, photographs wait for the next time: no reason to be without the office.
const PhotographsWaiting = lazy(() =>
  import('./Photographs').then(({ PhotographsWaiting: it }) => ({ default: it }), orNothing),
);
// Until it is there, what is typed is kept in this browser alone.
const DraftsStand = lazy(() => import('./DraftsStand').then(({ DraftsStand: it }) => ({ default: it }), orNothing));
const KeyList = lazy(async () => ({ default: (await import('./KeyList')).KeyList }));

/** What every staff screen stands in: lintel and day ruler above, the screen's own pillars and plinth below. */
export function Shell({ areas }: { areas: Area[] }) {
  const staff = useSignedIn().user.id;
  // Before any screen looks for what was typed: what somebody else has typed in this browser is not theirs.
  useState(() => drafts.ownedBy(staff));
  const [keysShown, setKeysShown] = useState(false);
  useKey('help', () => setKeysShown(true));
  return (
    <ToastStand>
      <SentQuestions>
        <div className="shell">
          <a className="skip" href="#main">
            Skip to the screen
          </a>
          <Lintel areas={areas} onKeys={() => setKeysShown(true)} />
          {areas.map(({ way }) => way && <Way key={way.to} to={way.to} name={way.key} />)}
          <DayRuler />
          <Suspense fallback={null}>
            <PhotographsWaiting />
            <DraftsStand staff={staff} />
          </Suspense>
          <Outlet />
        </div>
        {keysShown && (
          <Suspense fallback={null}>
            <KeyList open onClose={() => setKeysShown(false)} />
          </Suspense>
        )}
      </SentQuestions>
    </ToastStand>
  );
}
