import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import { Empty } from '../../shared/Notice';
import { Pillars } from './Pillars';
import { BareLintel } from './BareLintel';
import './plain.css';

export function NotFound({ what = 'page' }: { what?: string }) {
  return (
    <Pillars
      title="Not found"
      pillars={[
        {
          name: 'Not found',
          width: '1fr',
          content: (
            <div className="plain-body">
              <h1>There is no such {what}</h1>
              <Empty fact="Nothing stands at this address.">
                It may have been taken back, or the address has a letter too many.{' '}
                <RouterLink to="/arrivals">Go to Arrivals</RouterLink>
              </Empty>
            </div>
          ),
        },
      ]}
    />
  );
}

/** A screen that this person has no part in. */
export function NotYours({ home }: { home: string }) {
  return (
    <Pillars
      title="Not your screen"
      pillars={[
        {
          name: 'Not your screen',
          width: '1fr',
          content: (
            <div className="plain-body">
              <h1>This screen is for the office</h1>
              <Empty fact="You have no part in it.">
                Your own work is under <RouterLink to={home}>Projects</RouterLink>. Ask the coordinator if that is
                wrong.
              </Empty>
            </div>
          ),
        },
      ]}
    />
  );
}

/** The whole interface broke; nothing of it is left to stand in. */
export function Broken() {
  return (
    <PlainPage title="This screen broke">
      <p>What was saved is saved, and what you typed is kept.</p>
      <Link component="button" type="button" onClick={() => window.location.reload()}>
        Load it again
      </Link>
    </PlainPage>
  );
}

/** In the place of one screen; the others can still be gone to. It may also not have come: without a connection, or because a newer version is here. */
export function BrokenScreen() {
  return (
    <Pillars
      title="This screen did not come"
      pillars={[
        {
          name: 'This screen did not come',
          width: '1fr',
          content: (
            <div className="plain-body" role="alert">
              <h1>This screen did not come</h1>
              <Empty fact="What was saved is saved.">
                The connection may be gone, or a newer version is here.{' '}
                <Link component="button" type="button" onClick={() => window.location.reload()}>
                  Load it again
                </Link>
              </Empty>
            </div>
          ),
        },
      ]}
    />
  );
}

export function Unreached({ error, again }: { error: Error; again: () => void }) {
  return (
    <PlainPage title="Telamon cannot be reached">
      <p>{error.message}</p>
      <Link component="button" type="button" onClick={again}>
        Try again
      </Link>
    </PlainPage>
  );
}

function PlainPage({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <div className="plain">
      <BareLintel />
      <main className="plain-body" role="alert">
        <h1>{title}</h1>
        {children}
      </main>
    </div>
  );
}
