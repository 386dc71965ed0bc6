import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { LineRows } from './LineRows';
import type { Content, PriceList } from './queries';

const vat = { category: 'S', rate: '13.5' };
const line = (key: string, price: string | null, quantity = '1') => ({
  key,
  name: `Line ${key}`,
  quantity,
  price,
  vat,
});
const prices = {
  items: [
    {
      id: 'p1',
      code: 'key',
      name: 'Free a key',
      text: 'With care',
      unit: 'C62',
      price: '12.00',
      vat,
      group: 'The work',
      offered: true,
    },
    { id: 'p2', code: 'old', name: 'Gone', text: '', unit: 'C62', price: '1.00', vat, group: '', offered: false },
  ],
  setup: { vat },
  units: [
    { code: 'C62', one: 'piece', several: 'pieces' },
    { code: 'HUR', one: 'hour', several: 'hours' },
  ],
  categories: [
    { code: 'S', words: 'standard rate' },
    { code: 'E', words: 'exempt' },
  ],
} as unknown as PriceList;

let now: Content;

function Editor({ begun, more = {} }: { begun: Content; more?: Partial<Parameters<typeof LineRows>[0]> }) {
  const [content, setContent] = useState(begun);
  return (
    <LineRows
      content={content}
      totals={{ lines: [] } as unknown as Parameters<typeof LineRows>[0]['totals']}
      old={false}
      prices={prices}
      onChange={(next) => {
        now = next;
        setContent(next);
      }}
      violations={[]}
      listed={[]}
      {...more}
    />
  );
}
const show = (begun: Content, more: Partial<Parameters<typeof LineRows>[0]> = {}, replies = {}) =>
  showScreen('/q', '/q', <Editor begun={begun} more={more} />, replies);
const names = () => now.lines.map((one) => one.name);

describe('the lines of a quote', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('come from the price list by code or word, or are to price', async () => {
    show({ lines: [] });
    const add = await screen.findByLabelText('Add a line');
    for (const words of ['KEY', 'key Free a key', 'Gone', 'Carry it']) {
      fireEvent.change(add, { target: { value: words } });
      fireEvent.submit(add);
    }
    expect(names()).toEqual(['Free a key', 'Free a key', 'Gone', 'Carry it']);
    expect(now.lines.map((one) => one.price)).toEqual(['12.00', '12.00', null, null]);
    expect(now.lines[0]).toMatchObject({ code: 'key', text: 'With care', group: 'The work' });
    expect(screen.getAllByText(/to price/)).toHaveLength(2);
  });

  it('take unit, VAT, an amount off, more words and a head of their own', async () => {
    show({ lines: [line('a', '10.00')] });
    const write = (label: string, value: string) =>
      fireEvent.change(screen.getByLabelText(`${label}, line 1`), { target: { value } });
    await screen.findByLabelText('Unit, line 1');
    write('Unit', 'HUR');
    write('VAT', 'E');
    write('Amount off', '2.50');
    write('More about it', 'Half a day');
    write('Stands under', 'Add if you like');
    expect(now.lines[0]).toMatchObject({
      unit: 'HUR',
      vat: { category: 'E', rate: '13.5' },
      offAmount: '2.50',
      text: 'Half a day',
      group: 'Add if you like',
    });
    write('Amount off', ' ');
    expect(now.lines[0]?.offAmount).toBeNull();
  });

  it('move by keys, and a line that stood for a removed one stands for itself', async () => {
    show({ lines: [line('a', '1'), line('b', '2'), { ...line('c', '3'), instead: 'a' }] });
    const second = await screen.findByLabelText('Line 2');
    fireEvent.keyDown(second, { key: 'ArrowUp', altKey: true });
    expect(names()).toEqual(['Line b', 'Line a', 'Line c']);
    fireEvent.keyDown(screen.getByLabelText('Line 1'), { key: 'ArrowUp', altKey: true });
    expect(names()).toEqual(['Line b', 'Line a', 'Line c']);
    fireEvent.keyDown(screen.getByLabelText('Quantity, line 1'), { key: 'Enter' });
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Quantity, line 2');
    fireEvent.click(screen.getAllByText(/^Remove/)[1] as HTMLElement);
    expect(now.lines.map((one) => [one.name, one.instead ?? ''])).toEqual([
      ['Line b', ''],
      ['Line c', ''],
    ]);
  });

  it('are offered the price of the list for so many, and take it only when asked to', async () => {
    show({ lines: [line('a', '12.00', '20')] }, { listed: [{ line: 0, price: '9.50' }] });
    fireEvent.click(await screen.findByText('For so many it is 9.50 each: take that'));
    expect(now.lines[0]?.price).toBe('9.50');
  });

  it('say what is wrong beside the line', async () => {
    show(
      { lines: [line('a', '1'), line('b', 'much')] },
      { violations: [{ path: 'content.lines.1.price', message: 'Write a figure, such as 45.50.' }] },
    );
    expect((await screen.findByRole('alert')).closest('tbody')?.textContent).toContain('Write a figure');
    expect(screen.getByLabelText('Price of one, line 2').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('Price of one, line 1').getAttribute('aria-invalid')).toBeNull();
  });

  it('come from a supplier’s file, or the file is refused in words', async () => {
    const read = line('u1', '65.00');
    show(
      { lines: [line('a', '1')] },
      {},
      { 'POST /api/quotes/ubl': { currency: 'EUR', from: 'Felt & Sons', lines: [read] } },
    );
    const choose = async () => {
      const input = await screen.findByLabelText('Read a supplier’s UBL', { selector: 'input' });
      fireEvent.change(input, { target: { files: [new File(['<q/>'], 'q.xml')] } });
    };
    await choose();
    await waitFor(() => expect(names()).toEqual(['Line a', 'Line u1']));
    cleanup();
    show({ lines: [] }, {}, { 'POST /api/quotes/ubl': problem(422, 'It is in USD, and we quote in EUR.') });
    await choose();
    expect((await screen.findByRole('alert')).textContent).toContain('in USD');
  });
});
