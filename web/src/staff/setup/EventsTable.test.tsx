import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { EventsTable } from './EventsTable';

beforeEach(() => standInForTheBrowser());
afterEach(cleanup);

const trigger = (value: string, label: string) => ({ value, label });
const rule = (id: string, when: string, enabled: boolean, ...then: object[]) => ({
  id,
  name: `Rule ${id}`,
  when,
  enabled,
  then,
});

const template = (id: string, key: string, name: string, sentWhen: string, optional: boolean, sent: number) => ({
  id,
  key,
  name,
  sentWhen,
  optional,
  sent,
  goes: true,
});
const templates = [
  template('t1', 'confirmation', 'We have it', 'to the client when a plan is accepted', false, 0),
  template('t2', 'reminder', 'A visit is tomorrow', 'to the client before a visit', true, 4),
  template('t3', 'midsummer', 'Midsummer', 'to the client at midsummer', true, 0),
  template('t4', 'agreement', 'An agreement', 'the first words of an agreement', false, 0),
];

describe('what goes out', () => {
  it('stands by event, to the client and to staff; what is off sends nothing', async () => {
    const calls = showScreen('/setup', '/setup', <EventsTable />, {
      'POST /api/templates/t2/goes': { name: 'A visit is tomorrow', goes: false },
      'GET /api/templates': { items: templates },
      'GET /api/rules': {
        items: [
          rule('r1', 'stage', true, { kind: 'message', template: 'ready' }, { kind: 'room', room: 'van', text: 'x' }),
          rule('r2', 'stage', true, { kind: 'tag', tag: 'x' }),
          rule('r3', 'task', false, { kind: 'message', template: 'ready' }),
        ],
        offers: {
          triggers: [
            trigger('stage', 'a stage is reached'),
            trigger('task', 'a task is done'),
            trigger('accepted', 'a plan is accepted'),
          ],
          templates: [{ value: 'ready', label: 'It is ready' }],
          rooms: [{ value: 'van', label: 'Van and moving' }],
          followUps: [],
        },
      },
    });
    const stage = (await screen.findByText('a stage is reached')).closest('tr') as HTMLElement;
    expect(within(stage).getByText(/“It is ready”/)).toBeTruthy();
    expect(within(stage).getByText(/a notice in Van and moving/)).toBeTruthy();
    expect(within(stage).queryByText('Rule r2')).toBeNull();
    const task = screen.getByText('a task is done').closest('tr') as HTMLElement;
    expect(within(task).getAllByText('nothing')).toHaveLength(2);
    expect(
      within(task)
        .getByRole('link', { name: /Add a rule/ })
        .getAttribute('href'),
    ).toBe('/rules/new?when=task');
    // What goes by itself has a switch where nothing else rests on it.
    const near = screen.getByText('a visit is near').closest('tr') as HTMLElement;
    expect(within(near).getByText('4 in 90 days')).toBeTruthy();
    fireEvent.click(within(near).getByLabelText(/A visit is tomorrow/));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ goes: false }));
    const accepted = screen.getByText('We have it').closest('span') as HTMLElement;
    expect(within(accepted).queryByRole('checkbox')).toBeNull();
    // A template that this table knows no event of is not lost.
    expect(screen.getByText('to the client at midsummer')).toBeTruthy();
  });

  it('has a row for every trigger that a rule can wait for', async () => {
    showScreen('/setup', '/setup', <EventsTable />, {
      'GET /api/templates': { items: [] },
      'GET /api/rules': {
        items: [],
        offers: { triggers: [trigger('moon', 'the moon is full')], templates: [], rooms: [], followUps: [] },
      },
    });
    expect(await screen.findByText('the moon is full')).toBeTruthy();
  });

  it('says when it could not be had', async () => {
    showScreen('/setup', '/setup', <EventsTable />, {
      'GET /api/templates': { items: [] },
      'GET /api/rules': () => problem(503, 'The office cannot be reached.'),
    });
    expect(await screen.findByText('The office cannot be reached.')).toBeTruthy();
  });
});
