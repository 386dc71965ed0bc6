import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import type { Content } from './queries';
import { Sums } from './Sums';

const vat = { category: 'S', rate: '13.5' };
const other = { category: 'S', rate: '23' };
const line = (key: string, of: typeof vat) => ({ key, name: key, quantity: '1', price: '10.00', vat: of });
const content: Content = { lines: [line('a', vat), line('b', vat), line('c', other)] };
const totals = (more: Partial<Schema<'QuoteTotals'>> = {}): Schema<'QuoteTotals'> => ({
  lines: ['10.00', '10.00', '10.00'],
  vat: [],
  net: '30.00',
  tax: '5.00',
  total: '35.00',
  totalText: '€35.00',
  deposit: '0.00',
  instalments: [],
  allowances: [],
  charges: [],
  sums: [{ label: 'Total', value: '€35.00', total: true }],
  payments: [],
  ...more,
});
const show = (has: Partial<Content> = {}, violations: { path: string; message: string }[] = [], is = totals()) => {
  const change = vi.fn();
  render(
    <Sums
      content={{ ...content, ...has }}
      totals={is}
      gross={false}
      old={false}
      onChange={change}
      violations={violations}
    />,
  );
  return change;
};

describe('what a quote comes to', () => {
  afterEach(() => cleanup());

  it('takes something off the whole as a share or an amount, of one VAT of several', () => {
    let change = show();
    fireEvent.click(screen.getByText('Take something off the whole'));
    expect(change).toHaveBeenLastCalledWith({
      ...content,
      allowances: [{ name: '', percent: '0', amount: null, vat }],
    });
    cleanup();
    const allowances = [{ name: 'Regular client', percent: '5', amount: null, vat }];
    change = show({ allowances }, [], totals({ allowances: ['1.00'] }));
    fireEvent.change(screen.getByLabelText('Off the whole, 1: amount'), { target: { value: ' 2,50 ' } });
    expect(change.mock.lastCall?.[0]).toMatchObject({ allowances: [{ percent: '5', amount: '2,50' }] });
    fireEvent.change(screen.getByLabelText('Off the whole, 1: of what VAT'), { target: { value: 'S 23' } });
    expect(change.mock.lastCall?.[0]).toMatchObject({ allowances: [{ vat: other }] });
    expect(screen.getByText('−1.00')).toBeTruthy();
    fireEvent.click(screen.getByText(/^Remove/));
    expect(change.mock.lastCall?.[0]).toMatchObject({ allowances: [] });
  });

  it('puts something on the whole, and asks for a deposit as an amount', () => {
    const change = show();
    fireEvent.click(screen.getByText('Put something on the whole'));
    expect(change.mock.lastCall?.[0]).toMatchObject({ charges: [{ vat }] });
    fireEvent.change(screen.getByLabelText('Deposit as an amount'), { target: { value: '100' } });
    expect(change.mock.lastCall?.[0]).toMatchObject({ deposit: { percent: null, amount: '100' } });
  });

  it('begins to be paid in two halves, and leaves it to the server whether shares are the whole', () => {
    let change = show();
    fireEvent.click(screen.getByText('Pay in parts'));
    expect(change.mock.lastCall?.[0]).toMatchObject({ instalments: [{ percent: '50' }, { percent: '50' }] });
    cleanup();
    const instalments = ['14.2857', '14.2857', '14.2857', '14.2857', '14.2857', '14.2857', '14.2858'].map(
      (percent) => ({
        percent,
        when: '',
      }),
    );
    change = show({ instalments });
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.click(screen.getByText('Another part'));
    expect((change.mock.lastCall?.[0] as Content).instalments).toHaveLength(8);
  });

  it('says beside each field what is wrong with it', () => {
    const wrong = [
      { path: 'content.deposit.percent', message: 'Write at most 100.' },
      { path: 'content.instalments', message: 'The payments add up to 90 %, not to 100.' },
      { path: 'content.charges.0.amount', message: 'Write a share or an amount.' },
    ];
    show(
      { instalments: [{ percent: '90', when: '' }], charges: [{ name: '', percent: null, amount: null, vat }] },
      wrong,
    );
    expect(screen.getAllByRole('alert').map((one) => one.textContent)).toEqual([
      'Write a share or an amount.',
      'Write at most 100.',
      'The payments add up to 90 %, not to 100.',
    ]);
  });

  it('has nothing to type once the client has it', () => {
    const { container } = render(
      <Sums
        content={{ ...content, allowances: [{ name: 'Regular client', percent: '5', amount: null, vat }] }}
        totals={totals({
          allowances: ['1.50'],
          sums: [{ label: 'Regular client, 5 %', value: '−1.50', total: false }],
          payments: [{ label: 'The rest', value: '33.50' }],
        })}
        gross
        old={false}
        onChange={undefined}
        violations={[]}
      />,
    );
    expect(container.querySelectorAll('input, button, textarea')).toHaveLength(0);
    expect(container.textContent).toContain('Regular client, 5 %−1.50');
    expect(container.textContent).toContain('What is asked forThe rest33.50');
    expect(container.textContent).not.toContain('Deposit');
  });
});
