import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import type { Quote } from './queries';
import { SideBySide } from './SideBySide';

const line = (key: string, name: string, price: string | null, quantity = '1') => ({
  key,
  name,
  price,
  quantity,
  vat: { category: 'S', rate: '13.5' },
});
const quote = (number: string, total: string, lines: ReturnType<typeof line>[]) =>
  ({ id: number, number, total, content: { lines } }) as unknown as Quote;

describe('two revisions', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('stand beside each other, with what came, went and changed', async () => {
    const before = quote('Q-1', '100.00', [
      line('a', 'First visit', '65.00'),
      line('b', 'Bass string', '48.00'),
      line('d', 'Meter', '38.00'),
    ]);
    const now = quote('Q-1/2', '120.00', [
      line('a', 'First visit', '65.00'),
      line('b', 'Bass string, wound', '48.00', '2'),
      line('c', 'Carry it', null),
    ]);
    showScreen('/q', '/q', <SideBySide before="Q-1" now={now} />, { 'GET /api/quotes/Q-1': before });
    await screen.findByText('Q-1/2');
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    expect(rows).toEqual([
      'lineQ-1Q-1/2',
      'First visit1 × 65.001 × 65.00',
      'Bass string, wound before: Bass string1 × 48.002 × 48.00',
      'Meter1 × 38.00gone',
      'Carry itwas not there1 × to price',
      'Total100.00120.00',
    ]);
    expect(document.querySelectorAll('tr.differs')).toHaveLength(4);
  });
});
