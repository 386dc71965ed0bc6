import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { coursesOf, onlyOf, type Stone, type Wall } from './wall';
import { WallScreen } from './WallScreen';

const stone = (id: string, client: string, part: Partial<Stone> = {}): Stone => ({
  id,
  number: `P-${id}`,
  title: 'Repair',
  client,
  stage: 'Inquiry',
  service: 'repair',
  source: '',
  tags: [],
  lead: 'Nessa Quarle',
  leadId: 's1',
  readyBy: null,
  version: 4,
  days: 1,
  worth: null,
  next: { name: 'First talk', due: '2026-11-26', who: 'Nessa' },
  late: false,
  waiting: false,
  open: 2,
  ...part,
});
const wall: Wall = {
  currency: 'EUR',
  more: false,
  stages: [
    { name: 'Inquiry', days: 3, ends: 'open' },
    { name: 'Workshop', days: null, ends: 'open' },
    { name: 'Done', days: null, ends: 'won' },
  ],
  projects: [
    stone('1', 'Orla Fennick', { worth: '120.50' }),
    stone('2', 'Wilf Ambry', { days: 8, waiting: true }),
    stone('3', 'Ida Dunmarl', { stage: 'Workshop', leadId: 's2', lead: 'Sorcha Vell', worth: '1000', late: true }),
  ],
};
const show = (replies: Parameters<typeof showScreen>[3] = {}, at = '/projects/wall') =>
  showScreen(at, '/projects/wall', <WallScreen />, {
    'GET /api/wall': wall,
    'GET /api/people/offers': { services: [{ value: 'repair', label: 'Repair' }] },
    ...replies,
  });

const stoneOf = (id: string) =>
  waitFor(() => {
    const found = document.getElementById(`stone-${id}`);
    if (!found) throw new Error(`no stone ${id}`);
    return found;
  });

describe('The wall', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('has a course for every stage, those over their time first, sums by course', () => {
    const courses = coursesOf(wall, onlyOf(new URLSearchParams()), 's1');
    expect(
      courses.map((course) => [course.name, course.stones.map((one) => one.client), course.over, course.sum]),
    ).toEqual([
      ['Inquiry', ['Wilf Ambry', 'Orla Fennick'], 1, 120.5],
      ['Workshop', ['Ida Dunmarl'], 0, 1000],
    ]);
    const late = coursesOf(wall, onlyOf(new URLSearchParams('late=1')), 's1').flatMap((course) => course.stones);
    expect(late.map((one) => one.id)).toEqual(['2', '3']);
    const mine = coursesOf(wall, onlyOf(new URLSearchParams('mine=1')), 's1').flatMap((course) => course.stones);
    expect(mine.map((one) => one.id)).toEqual(['2', '1']);
    const lost = coursesOf({ ...wall, stages: [] }, onlyOf(new URLSearchParams()), 's1');
    expect(lost.map((course) => course.name)).toEqual(['Inquiry', 'Workshop']);
  });

  it('counts what is not shown', async () => {
    show({}, '/projects/wall?waiting=1');
    expect(await screen.findByText('2 not shown')).toBeTruthy();
    expect(document.getElementById('stone-2')).toBeTruthy();
    expect(document.getElementById('stone-1')).toBeNull();
  });

  it('moves a project on by one key, once, and an owner gives a reason where something is missing', async () => {
    const calls = show({
      'POST /api/projects/2/stage': () =>
        problem(422, 'Wrong', [
          { path: 'reason', message: 'Workshop needs the agreement signed. An owner can go on with a reason.' },
        ]),
    });
    await stoneOf('2');
    fireEvent.keyDown(window, { key: 's', code: 'KeyS' });
    fireEvent.keyDown(window, { key: 's', code: 'KeyS' });
    expect(await screen.findByText(/Workshop needs the agreement signed/)).toBeTruthy();
    const moves = calls.filter((call) => call.path.endsWith('/stage'));
    expect(moves).toHaveLength(1);
    expect(moves[0]?.body).toEqual({ stage: 'Workshop', version: 4 });
    expect(screen.queryByLabelText('Why it goes on all the same')).toBeNull();
  });

  it('is walked by arrows, and shows what is known of a stone', async () => {
    show();
    const first = await stoneOf('2');
    first.focus();
    fireEvent.keyDown(first, { key: 'ArrowRight' });
    expect(document.activeElement?.textContent).toContain('Orla Fennick');
    fireEvent.keyDown(document.activeElement ?? first, { key: ' ' });
    const course = screen.getByRole('region', { name: 'Inquiry' });
    expect(await within(course).findByText(/First talk, Nessa/)).toBeTruthy();
    fireEvent.keyDown(document.activeElement ?? first, { key: 'PageDown' });
    expect(document.activeElement?.textContent).toContain('Ida Dunmarl');
  });

  it('says so where there is none', async () => {
    show({ 'GET /api/wall': { ...wall, projects: [] } });
    await waitFor(() => expect(screen.getByText('No open projects.')).toBeTruthy());
  });
});
