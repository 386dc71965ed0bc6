import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import type { Schema } from '../shared/api';
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
  const may = (permission: Schema<'Permission'>) => session.user.may.includes(permission);
  const home = may('arrivals.decide') ? '/arrivals' : '/projects';
  const asking = (permission: Schema<'Permission'>, screen: ReactNode) =>
    may(permission) ? screen : <NotYours home={home} />;
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<Navigate to={home} replace />} />
        <Route path="sign-in" element={<Navigate to={home} replace />} />
        <Route path="arrivals/:id?" element={asking('arrivals.decide', <ArrivalsScreen />)} />
        <Route path="clients" element={<ClientsScreen />} />
        <Route path="clients/import" element={asking('clients.import', <ImportScreen />)} />
        <Route path="clients/duplicates" element={asking('clients.merge', <DuplicatesScreen />)} />
        <Route path="clients/:id" element={<ClientScreen />} />
        <Route path="projects" element={<ProjectsScreen />} />
        <Route path="projects/:id" element={<ProjectScreen />} />
        <Route path="messages/:id?" element={asking('messages.see', <MessagesScreen />)} />
        <Route path="forms/:id/submissions" element={asking('arrivals.decide', <FormTableScreen />)} />
        <Route path="forms/:id?" element={asking('forms.design', <FormsScreen />)} />
        <Route path="rules/:id?" element={asking('rules.keep', <RulesScreen />)} />
        <Route path="setup" element={asking('setup.change', <SetupScreen />)} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}
