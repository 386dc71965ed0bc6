import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { FirstSteps } from './FirstSteps';
import type { Setup } from './queries';

const fresh = {
  business: { name: 'My business', phone: '' },
  hoursText: 'Mon to Fri, 9 to 5',
  staff: [{}],
  services: [],
} as unknown as Setup;
const show = (setup: Setup) =>
  showScreen('/setup', '/setup', <FirstSteps setup={setup} />, {
    'GET /api/forms': { items: [{ id: 'f', slug: 'inquiry', title: 'Inquiry', state: 'live' }] },
  });

describe('the first steps', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('show by themselves what is done', async () => {
    show({
      ...fresh,
      business: { ...fresh.business, name: 'Curl & Comb', phone: '1' },
      services: [{}],
    } as unknown as Setup);
    expect(await screen.findByText('live')).toBeTruthy();
    expect(screen.getAllByText('done')).toHaveLength(2);
  });

  it('may be left as they are, for good', async () => {
    show(fresh);
    const [, hours] = await screen.findAllByText('fine as it is');
    if (hours) fireEvent.click(hours);
    expect(screen.getAllByText('done')).toHaveLength(1);
    cleanup();
    show(fresh);
    expect(await screen.findByText('done')).toBeTruthy();
  });
});
