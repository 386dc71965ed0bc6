import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { ByRules } from './ByRules';

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

describe('what rules send', () => {
  it('stands by event, to the client and to staff; what is off sends nothing', async () => {
    showScreen('/setup', '/setup', <ByRules />, {
      'GET /api/rules': {
        items: [
          rule('r1', 'stage', true, { kind: 'message', template: 'ready' }, { kind: 'room', room: 'van', text: 'x' }),
          rule('r2', 'stage', true, { kind: 'tag', tag: 'x' }),
          rule('r3', 'task', false, { kind: 'message', template: 'ready' }),
        ],
        offers: {
          triggers: [trigger('stage', 'a stage is reached'), trigger('task', 'a task is done')],
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
  });

  it('says when it could not be had', async () => {
    showScreen('/setup', '/setup', <ByRules />, {
      'GET /api/rules': () => problem(503, 'The office cannot be reached.'),
    });
    expect(await screen.findByText('The office cannot be reached.')).toBeTruthy();
  });
});
