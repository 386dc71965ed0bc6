import { screen } from '@testing-library/react';
import { lazy, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { expect, it, vi } from 'vitest';
import { BrokenScreen } from './shell/Plain';
import { showScreen } from './testing/server.test-helper';

it('says so where a screen does not come, and offers to load it again', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const Gone = lazy(() => Promise.reject<{ default: () => null }>(new Error('404')));
  showScreen(
    '/x',
    '/x',
    <ErrorBoundary FallbackComponent={BrokenScreen}>
      <Suspense fallback={null}>
        <Gone />
      </Suspense>
    </ErrorBoundary>,
    {},
  );
  expect(await screen.findByRole('alert')).toHaveProperty('textContent', expect.stringContaining('did not come'));
  expect(screen.getByRole('button', { name: 'Load it again' })).toBeTruthy();
});
