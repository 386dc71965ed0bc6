import { describe, expect, it } from 'vitest';
import { atBusiness, reminders } from './reminders';

describe('Reminders', () => {
  it('come in the business’s own time, and Monday is the next one', () => {
    expect(reminders('2026-11-25T10:42:10+00:00').map((one) => one.value)).toEqual([
      '2026-11-25T11:42:00Z',
      '2026-11-26T09:00:00Z',
      '2026-11-30T09:00:00Z',
      '2026-12-02T09:00:00Z',
    ]);
    expect(reminders('2026-11-30T08:00:00+01:00')[2]?.value).toBe('2026-12-07T09:00:00+01:00');
  });

  it('takes a time of one’s own as it stands at the business', () => {
    expect(atBusiness('2026-12-01T14:30', '2026-11-25T10:42:00+01:00')).toBe('2026-12-01T14:30:00+01:00');
    expect(atBusiness('', '2026-11-25T10:42:00+01:00')).toBe('');
  });
});
