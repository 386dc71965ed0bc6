import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../../staff/testing/server.test-helper';
import { QuoteApp } from './QuoteApp';
import type { Line, Page } from './queries';

vi.mock('signature_pad', () => ({
  default: class {
    addEventListener = () => undefined;
    off = () => undefined;
    clear = () => undefined;
  },
}));

function line(key: string, choice: boolean): Line {
  return {
    key,
    name: `Line ${key}`,
    text: '',
    group: '',
    quantity: '1',
    unit: '',
    net: '10.00',
    price: '10.00',
    off: '',
    rate: '13.5 %',
    choice,
    optional: choice,
    place: '',
    ticked: false,
  };
}

function totals(total: string): Page['quote']['totals'] {
  return {
    lines: ['10.00', '10.00'],
    net: total,
    vat: [],
    total,
    deposit: '0.00',
    totalText: `€ ${total}`,
    sums: [{ label: 'Total', value: `€ ${total}`, total: true }],
    payments: [],
  } as never;
}

function page(state: Page['quote']['state'], over = ''): Page {
  return {
    business: {
      name: 'Workshop',
      phone: '',
      phoneText: '',
      hours: '',
      address: '',
      drawing: '',
      accent: '',
      logo: null,
    },
    quote: {
      byOffice: false,
      number: 'Q-7',
      client: 'Orla Fennick',
      first: 'Orla',
      title: 'Regulation',
      sent: '2026-11-20',
      validUntil: '2026-12-20',
      state,
      over,
      lead: '',
      intro: '',
      terms: '',
      reason: '',
      gross: true,
      currency: 'EUR',
      lines: [line('a', false), line('b', true)],
      totals: totals('10.00'),
      changed: [],
      signed: null,
      questions: [],
      files: [],
    },
  };
}

/** A server for which the quote counts as opened from the first look on. */
function server(accept: (body: unknown) => Response | object) {
  let looked = 0;
  return showScreen('/quote/t', '/quote/:token', <QuoteApp token="t" />, {
    'GET /api/public/quotes/t': () => {
      looked += 1;
      return page(looked === 1 ? 'sent' : 'opened');
    },
    'POST /api/public/quotes/t/opened': {},
    'POST /api/public/quotes/t/total': totals('20.00'),
    'POST /api/public/quotes/t/accept': accept,
  });
}

async function choose() {
  const user = userEvent.setup();
  await user.click(await screen.findByRole('checkbox'));
  await user.click(await screen.findByRole('button', { name: /Accept and sign € 20.00/ }));
  return user;
}

beforeEach(() => standInForTheBrowser(390));
afterEach(() => {
  cleanup();
  window.sessionStorage.clear();
  vi.unstubAllGlobals();
});

describe('A quote that could not be accepted', () => {
  it('keeps what was chosen and says why, although it counts as opened by now', async () => {
    const calls = server(() => problem(422, 'Not yet.', [{ path: 'name', message: 'Write your full name.' }]));
    await choose();
    await waitFor(() => expect(calls.filter((one) => one.method === 'GET')).toHaveLength(2));
    await waitFor(() => expect(screen.getByText('Write your full name.')).toBeDefined());
    await waitFor(() => expect(screen.getByRole<HTMLInputElement>('checkbox').checked).toBe(true));
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: /Accept and sign € 20.00/ }).disabled).toBe(false),
    );
  });

  it('comes back as it was chosen when the page is loaded again', async () => {
    server(() => problem(422, 'Not yet.', [{ path: 'name', message: 'Write your full name.' }]));
    await choose();
    await screen.findByText('Write your full name.');
    cleanup();
    server(() => page('sent'));
    expect((await screen.findByRole<HTMLInputElement>('checkbox')).checked).toBe(true);
    const sum = within(await screen.findByRole('complementary', { name: 'What you say yes to' }));
    await sum.findByText('€ 20.00', { selector: 'dd' });
  });
});

describe('An accepted quote', () => {
  it('is closed at once, and signs with the sum that stood there', async () => {
    const calls = server(() => page('accepted', 'It is accepted. Thank you.'));
    await choose();
    await screen.findByText('It is accepted. Thank you.');
    expect(screen.queryByRole('button', { name: /Accept and sign/ })).toBeNull();
    expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
    expect(calls.find((one) => one.path.endsWith('/accept'))?.body).toMatchObject({ ticked: ['b'], total: '20.00' });
  });
});
