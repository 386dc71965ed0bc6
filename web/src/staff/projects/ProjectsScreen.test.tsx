import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { ProjectsScreen } from './ProjectsScreen';

const row = {
  id: 'p1',
  number: 'P-0001',
  title: 'Keys that stick',
  client: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
  stage: 'Visit',
  outcome: 'open',
  lead: 'Sorcha Vell',
  service: 'repair',
  source: '',
  budget: '',
  tags: [],
  readyBy: null,
  openedOn: '2026-11-01',
  tasksDone: 1,
  tasks: 4,
};
const show = () =>
  showScreen('/projects', '/projects', <ProjectsScreen />, {
    'GET /api/projects': { items: [row], next: null, stages: [{ name: 'Visit', projects: 1 }] },
    'GET /api/lists/projects/views': {
      items: [{ id: 'v1', name: 'Late', search: 'sort=ready&outcome=all', hidden: [] }],
    },
    'GET /api/rules': {
      items: [],
      offers: {
        staff: [{ value: 's2', label: 'Sorcha Vell' }],
        services: [{ value: 'repair', label: 'Repair work' }],
      },
    },
  });

describe('the list of projects', () => {
  beforeEach(() => {
    standInForTheBrowser();
    localStorage.clear();
  });
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('is sorted by a head, and goes out as a file in that order', async () => {
    const calls = show();
    await screen.findByText('Keys that stick');
    expect(screen.getByRole('columnheader', { name: /Opened/ }).getAttribute('aria-sort')).toBe('descending');
    fireEvent.click(screen.getByRole('button', { name: /Ready by/ }));
    await waitFor(() => expect(calls.some(({ query }) => query.get('sort') === 'ready')).toBe(true));
    expect(screen.getByText('soonest ready first')).toBeTruthy();
    expect(screen.getByText('CSV').getAttribute('href')).toContain('sort=ready');
    expect(screen.getByText('CSV').getAttribute('href')).toContain('outcome=open');
  });

  it('is narrowed by lead and service, and shows what was left out', async () => {
    const calls = show();
    await screen.findByRole('option', { name: 'Sorcha Vell' });
    fireEvent.change(screen.getByLabelText('Led by', { selector: 'select' }), { target: { value: 's2' } });
    await waitFor(() => expect(calls.some(({ query }) => query.get('lead') === 's2')).toBe(true));
    await screen.findAllByText('Repair work');
    fireEvent.change(screen.getByLabelText('Service', { selector: 'select' }), { target: { value: 'repair' } });
    await waitFor(() =>
      expect(calls.some(({ query }) => query.get('lead') === 's2' && query.get('service') === 'repair')).toBe(true),
    );
    fireEvent.click(screen.getByRole('checkbox', { name: 'Service' }));
    expect(await screen.findByRole('cell', { name: 'Repair work' })).toBeTruthy();
  });

  it('uses a saved view', async () => {
    const calls = show();
    fireEvent.click(await screen.findByRole('button', { name: 'Late' }));
    await waitFor(() =>
      expect(calls.some(({ query }) => query.get('sort') === 'ready' && query.get('outcome') === null)).toBe(true),
    );
  });
});
