import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { PartsOfMessages } from './PartsOfMessages';

afterEach(cleanup);

it.each([
  ['/messages', 'In and out'],
  ['/messages/019f0000-0000-7000-8000-00000000000a', 'In and out'],
  ['/messages/write', 'In and out'],
  ['/messages/templates', 'Templates'],
  ['/messages/templates/confirmation', 'Templates'],
  ['/messages/follow-ups/first-answer', 'Follow-ups'],
  ['/messages/notices', 'Notices'],
])('at %s the part that one is in is %s, and no other', (path, part) => {
  render(
    <MemoryRouter initialEntries={[path]}>
      <PartsOfMessages />
    </MemoryRouter>,
  );
  const here = screen.getAllByRole('link').filter((link) => link.getAttribute('aria-current') === 'page');
  expect(here.map((link) => link.textContent)).toEqual([part]);
});
