import { waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { showScreen } from '../testing/server.test-helper';
import { useAhead } from './queries';

function Ahead({ ready }: { ready: boolean }) {
  useAhead(['a2', undefined], ready);
  return null;
}

it('fetches what comes next once what is shown is there, and says that nobody looks at it yet', async () => {
  const calls = showScreen('/x', '/x', <Ahead ready />, { 'GET /api/submissions/a2': {} });
  await waitFor(() => expect(calls.map((call) => call.path)).toContain('/api/submissions/a2?ahead=true'));
});

it('waits while what is shown is still coming', () => {
  const calls = showScreen('/x', '/x', <Ahead ready={false} />, {});
  expect(calls.filter((call) => call.path.startsWith('/api/submissions/'))).toEqual([]);
});
