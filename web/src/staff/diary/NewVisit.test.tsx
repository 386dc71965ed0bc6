import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { NewVisit } from './NewVisit';

const found: Schema<'GoodTimes'> = {
  type: 'k1',
  who: 'Wilf Ambry',
  address: '3 Mill Row',
  onTheRoad: true,
  verify: ['There is no number to ring on the way.'],
  length: 60,
  items: [],
};

function place(told: Partial<Schema<'GoodTimes'>>) {
  const onChange = vi.fn();
  const onPlace = vi.fn();
  showScreen(
    '/',
    '/',
    <NewVisit
      wanted={{
        type: 'k1',
        length: 0,
        client: 'c1',
        project: '',
        submission: '',
        with: '',
        part: 'any',
        from: '2026-11-25',
      }}
      who="Wilf Ambry"
      found={{ ...found, ...told }}
      setup={undefined}
      type="k1"
      length={60}
      onChange={onChange}
      onPlace={onPlace}
      offerHours={0}
      usualHours={24}
      onOffer={vi.fn()}
      series={{ every: '', times: 6 }}
      onSeries={vi.fn()}
    />,
    {},
  );
  return { onChange, onPlace };
}

describe('A visit that is placed', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(cleanup);

  it('says where to go and what to verify, and takes another place', () => {
    const { onChange, onPlace } = place({});
    expect(screen.getByLabelText('To verify').textContent).toContain('There is no number to ring on the way.');
    const where = screen.getByLabelText('Where to go');
    fireEvent.change(where, { target: { value: '9 Quay' } });
    // Known as it is typed, so that nothing is lost by booking at once; asked about once it is left.
    expect(onChange).toHaveBeenCalledWith({ address: '9 Quay' });
    expect(onPlace).not.toHaveBeenCalled();
    fireEvent.keyDown(where, { key: 'Enter', ctrlKey: true });
    expect(onPlace).not.toHaveBeenCalled();
    fireEvent.keyDown(where, { key: 'Enter' });
    fireEvent.blur(where);
    expect(onPlace).toHaveBeenCalledTimes(2);
  });

  it('asks for no place where nobody travels', () => {
    place({ onTheRoad: false, verify: [] });
    expect(screen.queryByLabelText('Where to go')).toBeNull();
    expect(screen.queryByLabelText('To verify')).toBeNull();
  });
});
