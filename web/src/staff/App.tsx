import { lazy, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { ComingRows } from '../shared/Notice';
import { areas } from './areas';
import { useLost } from './access/useLost';
import { useSession, type Session } from './session';
import { Broken, BrokenScreen, NotFound, NotYours, Unreached } from './shell/Plain';
import { AreasContext } from './shell/Sections';
import { Shell } from './shell/Shell';

const SignIn = lazy(async () => ({ default: (await import('./access/SignIn')).SignIn }));
const SignedOut = lazy(async () => ({ default: (await import('./access/SignedOut')).SignedOut }));
const NewPassword = lazy(async () => ({ default: (await import('./access/NewPassword')).NewPassword }));

export function App() {
  return (
    <ErrorBoundary FallbackComponent={Broken}>
      <BrowserRouter>
        <Door />
      </BrowserRouter>
    </ErrorBoundary>
  );
}

/** Lets nobody past who has not signed in, and into an area only those it is for. */
function Door() {
  const { data: session, error, isPending, refetch } = useSession();
  if (isPending) return <ComingRows rows={3} />;
  if (error && !session) return <Unreached error={error} again={() => void refetch()} />;
  // Whoever comes by a link that was mailed chooses a password, signed in or not.
  if (window.location.pathname === '/new-password') {
    return (
      <Suspense fallback={<ComingRows rows={3} />}>
        <NewPassword />
      </Suspense>
    );
  }
  if (!session) {
    return (
      <Suspense fallback={<ComingRows rows={3} />}>
        <SignIn />
      </Suspense>
    );
  }
  return <Inside session={session} />;
}

/** Everything behind the door. A session that ends leaves it standing: it is signed into again above it. */
function Inside({ session }: { session: Session }) {
  const [lost, found] = useLost();
  const mine = areas.filter((area) => session.user.may.includes(area.may));
  // Nobody has named the business yet: whoever may, begins there.
  const isNew = session.business.name === 'My business' && session.user.may.includes('setup.change');
  const home = isNew ? '/setup' : '/today';
  return (
    <AreasContext value={areas}>
      {lost && (
        <Suspense fallback={null}>
          <SignedOut user={session.user} onDone={found} />
        </Suspense>
      )}
      <Routes>
        <Route element={<Shell areas={mine} />}>
          <Route index element={<Navigate to={home} replace />} />
          <Route path="sign-in" element={<Navigate to={home} replace />} />
          {areas.flatMap((area) =>
            area.screens.map(({ path, Screen, may = area.may }) => (
              <Route
                key={path}
                path={path}
                element={
                  session.user.may.includes(may) ? (
                    <ErrorBoundary key={path} FallbackComponent={BrokenScreen}>
                      <Suspense fallback={<ComingRows rows={3} />}>
                        <Screen />
                      </Suspense>
                    </ErrorBoundary>
                  ) : (
                    <NotYours home={home} />
                  )
                }
              />
            )),
          )}
          <Route path="*" element={<NotFound />} />
        </Route>
      </Routes>
    </AreasContext>
  );
}
