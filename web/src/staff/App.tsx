import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { ComingRows } from '../shared/Notice';
import { SignIn } from './access/SignIn';
import { ArrivalsScreen } from './arrivals/ArrivalsScreen';
import { ClientScreen } from './clients/ClientScreen';
import { ClientsScreen } from './clients/ClientsScreen';
import { ImportScreen } from './clients/ImportScreen';
import { DuplicatesScreen } from './clients/DuplicatesScreen';
import { FormTableScreen } from './forms/FormTableScreen';
import { FormsScreen } from './forms/FormsScreen';
import { MessagesScreen } from './messages/MessagesScreen';
import { ProjectScreen } from './projects/ProjectScreen';
import { ProjectsScreen } from './projects/ProjectsScreen';
import { RulesScreen } from './rules/RulesScreen';
import { useSession } from './session';
import { SetupScreen } from './setup/SetupScreen';
import { Broken, NotFound, NotYours, Unreached } from './shell/Plain';
import { Shell } from './shell/Shell';

export function App() {
  return (
    <ErrorBoundary FallbackComponent={Broken}>
      <BrowserRouter>
        <Door />
      </BrowserRouter>
    </ErrorBoundary>
  );
}

/** Lets nobody past who has not signed in. */
function Door() {
  const { data: session, error, isPending, refetch } = useSession();
  if (isPending) return <ComingRows rows={3} />;
  if (error) return <Unreached error={error} again={() => void refetch()} />;
  if (!session) return <SignIn />;
  const home = session.user.role === 'field' ? '/projects' : '/arrivals';
  const office = (screen: ReactNode) => (session.user.role === 'field' ? <NotYours home={home} /> : screen);
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<Navigate to={home} replace />} />
        <Route path="sign-in" element={<Navigate to={home} replace />} />
        <Route path="arrivals/:id?" element={office(<ArrivalsScreen />)} />
        <Route path="clients" element={<ClientsScreen />} />
        <Route path="clients/import" element={office(<ImportScreen />)} />
        <Route path="clients/duplicates" element={office(<DuplicatesScreen />)} />
        <Route path="clients/:id" element={<ClientScreen />} />
        <Route path="projects" element={<ProjectsScreen />} />
        <Route path="projects/:id" element={<ProjectScreen />} />
        <Route path="messages/:id?" element={office(<MessagesScreen />)} />
        <Route path="forms/:id/submissions" element={office(<FormTableScreen />)} />
        <Route path="forms/:id?" element={office(<FormsScreen />)} />
        <Route path="rules/:id?" element={office(<RulesScreen />)} />
        <Route path="setup" element={office(<SetupScreen />)} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}
