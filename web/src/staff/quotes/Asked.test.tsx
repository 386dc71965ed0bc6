import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { Asked } from './Asked';
import type { Quote } from './queries';

const quote = { id: 'q1', version: 3, email: 'colm@example.com' } as unknown as Quote;
const question = { at: '2026-11-25T09:00:00+00:00', words: 'Is the van in it?', answer: '' };
const show = (replies = {}, asked = question) =>
  showScreen('/q', '/q', <Asked quote={quote} at={1} question={asked} today="2026-11-25" />, replies);

describe('a question about a quote', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('is answered; what is typed outlives a reload and a failure', async () => {
    const calls = show({ 'POST /api/quotes/q1/reply': problem(409, 'Somebody has answered this already.') });
    const field = await screen.findByLabelText(/Your answer/);
    expect(screen.getByText('Send the answer')).toHaveProperty('disabled', true);
    fireEvent.change(field, { target: { value: 'Yes, both ways.' } });
    fireEvent.click(screen.getByText('Send the answer'));
    expect((await screen.findByRole('alert')).textContent).toContain('already');
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      version: 3,
      question: 1,
      words: 'Yes, both ways.',
    });
    cleanup();
    show({ 'POST /api/quotes/q1/reply': quote });
    expect(await screen.findByLabelText(/Your answer/)).toHaveProperty('value', 'Yes, both ways.');
    fireEvent.click(screen.getByText('Send the answer'));
    await screen.findByText(/on its way to colm@example.com/);
    expect(localStorage.length).toBe(0);
  });

  it('stands with its answer once it has one', async () => {
    show({}, { ...question, answer: 'Yes, both ways.' });
    expect(await screen.findByText('Answered: Yes, both ways.')).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});
