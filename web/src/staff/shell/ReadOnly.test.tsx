import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { queryKeys } from '../queryKeys';
import { ReadOnly } from './ReadOnly';

afterEach(cleanup);

it.each([
  [['work', 'prices.see'], true],
  [['work', 'prices.see', 'prices.keep'], false],
])('is read by whoever has %j', (may, disabled) => {
  const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  queries.setQueryData(queryKeys.session, { user: { may }, business: {} });
  render(
    <QueryClientProvider client={queries}>
      <ReadOnly unless="prices.keep">
        <input aria-label="Price" defaultValue="65.00" />
      </ReadOnly>
    </QueryClientProvider>,
  );
  expect(screen.getByLabelText('Price').matches(':disabled')).toBe(disabled);
});
