import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { vi } from 'vitest';
import type { ReactNode } from 'react';
import { queryKeys } from '../queryKeys';
import type { Session } from '../session';
import { ToastStand } from '../shell/Toast';

type Reply = object | ((body: unknown) => Response | object | Promise<Response | object>);

export interface Call {
  method: string;
  path: string;
  query: URLSearchParams;
  body: unknown;
  /** The name the sending goes by, where it has one. */
  key: string | null;
}

const everything: Session['user']['may'] = [
  'work',
  'records.see-all',
  'arrivals.decide',
  'messages.see',
  'messages.write',
  'clients.merge',
  'clients.import',
  'clients.edit',
  'projects.lead-any',
  'changes.undo-any',
  'forms.design',
  'rules.keep',
  'setup.change',
  'diary.keep',
  'quotes.see',
  'quotes.keep',
  'prices.see',
  'prices.keep',
];

const session: Session = {
  user: {
    id: 's1',
    name: 'Nessa Quarle',
    initials: 'NQ',
    email: 'coordinator@marrowby.example',
    role: 'coordinator',
    roleName: 'coordinator',
    may: everything,
  },
  business: {
    name: 'Workshop',
    timeZone: 'Europe/Dublin',
    currency: 'EUR',
    assetWord: 'piano',
    drawing: '',
    opens: '08:00',
    closes: '18:00',
  },
};

/** By what somebody is written to, as the server says it. */
export const ways = [
  { value: 'mail', label: 'a letter by mail', isLetter: true, takesFiles: true, input: 'email', act: 'Send', to: '' },
  { value: 'text', label: 'a text message', isLetter: false, takesFiles: false, input: 'tel', act: 'Send', to: '' },
];

const usual: Record<string, Reply> = {
  'GET /api/messages/ways': { items: ways },
  'GET /api/day': { now: '2026-11-25T10:42:00+00:00', day: '2026-11-25', toAnswer: 1, appointments: [], arrivals: [] },
  'GET /api/changes/last': { change: null },
};

export function problem(
  status: number,
  detail: string,
  violations: { path: string; message: string }[] = [],
): Response {
  return new Response(JSON.stringify({ type: 'about:blank', title: 'Problem', status, detail, violations }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  });
}

/** Shows a screen at a path, before a server that answers as told. Returns what the screen asked for. */
export function showScreen(path: string, route: string, screen: ReactNode, replies: Record<string, Reply>): Call[] {
  const calls: Call[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url);
    const text = await request.text();
    const body: unknown = /^[[{]/.test(text) ? JSON.parse(text) : null;
    const name = `${request.method} ${url.pathname}`;
    const key = request.headers.get('Idempotency-Key');
    calls.push({ method: request.method, path: url.pathname + url.search, query: url.searchParams, body, key });
    const reply = replies[`${name}${url.search}`] ?? replies[name] ?? usual[name];
    if (!reply) return problem(404, `The test has no answer to ${name}${url.search}.`);
    const given =
      typeof reply === 'function'
        ? await (reply as (body: unknown) => Response | object | Promise<Response | object>)(body)
        : reply;
    return given instanceof Response
      ? given.clone()
      : new Response(JSON.stringify(given), { headers: { 'Content-Type': 'application/json' } });
  });
  const queries = new QueryClient({
    defaultOptions: { queries: { retry: false, networkMode: 'always' }, mutations: { networkMode: 'always' } },
  });
  queries.setQueryData(queryKeys.session, session);
  render(
    <QueryClientProvider client={queries}>
      <ToastStand>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path={route} element={screen} />
            <Route path="*" element={<p>elsewhere</p>} />
          </Routes>
        </MemoryRouter>
      </ToastStand>
    </QueryClientProvider>,
  );
  return calls;
}

/** What jsdom lacks of a browser. */
export function standInForTheBrowser(width = 1280): void {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = () => undefined;
      disconnect = () => undefined;
      unobserve = () => undefined;
    },
  );
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      observe = () => undefined;
      disconnect = () => undefined;
    },
  );
  vi.stubGlobal('matchMedia', (query: string) => {
    const [, kind, size] = /\((max|min)-width: (\d+)px\)/.exec(query) ?? [];
    const matches = kind === 'max' ? width <= Number(size) : kind === 'min' ? width >= Number(size) : false;
    return {
      matches,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    };
  });
  vi.stubGlobal('CSS', { escape: (text: string) => text });
  Element.prototype.scrollIntoView = () => undefined;
}
