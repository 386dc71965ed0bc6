import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { KeepAsTemplate } from './KeepAsTemplate';
import type { Quote } from './queries';
import { TemplatesKept } from './TemplatesKept';

const quote = { id: 'q1', client: { label: 'Colm Spindle' }, project: { label: 'P-0093 Repair' } } as unknown as Quote;
const kept = { items: [{ id: 't1', name: 'Bass strings', lines: 3 }] };
const show = (replies: Parameters<typeof showScreen>[3] = {}, changed = false) =>
  showScreen('/q', '/q', <KeepAsTemplate quote={quote} changed={changed} />, {
    'GET /api/quotes/templates': kept,
    ...replies,
  });
const open = async () => {
  fireEvent.click(await screen.findByText('Keep as a template'));
  return screen.getByLabelText('Name of the template');
};

describe('a template of a quote', () => {
  beforeEach(() => {
    standInForTheBrowser();
    Element.prototype.scrollIntoView = () => undefined;
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('has the name of the work, not the client’s, and is kept once though Enter comes twice', async () => {
    const calls = show({ 'POST /api/quotes/q1/template': kept });
    const name = await open();
    expect(name).toHaveProperty('value', 'Repair');
    fireEvent.keyDown(name, { key: 'Enter' });
    fireEvent.keyDown(name, { key: 'Enter' });
    await screen.findByText('Keep as a template');
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(1);
  });

  it('says that a name is taken, and that what is not saved is not kept', async () => {
    show({}, true);
    fireEvent.change(await open(), { target: { value: 'Bass strings' } });
    expect(await screen.findByText('Replace it')).toBeTruthy();
    expect(screen.getByText(/A template has this name already/).textContent).toContain('as last saved');
  });

  it('keeps the name where it fails, and leaves it on Escape', async () => {
    show({ 'POST /api/quotes/q1/template': problem(422, 'There are 100 templates already. Remove one first.') });
    const name = await open();
    fireEvent.change(name, { target: { value: 'One more' } });
    fireEvent.keyDown(name, { key: 'Enter' });
    expect((await screen.findByRole('alert')).textContent).toContain('Remove one first');
    expect(name).toHaveProperty('value', 'One more');
    fireEvent.keyDown(name, { key: 'Escape' });
    expect(screen.queryByLabelText('Name of the template')).toBeNull();
  });

  it('is removed where all are listed', async () => {
    const calls = showScreen('/t', '/t', <TemplatesKept />, {
      'GET /api/quotes/templates': kept,
      'DELETE /api/quotes/templates/t1': { items: [] },
    });
    fireEvent.click(await screen.findByLabelText('Remove Bass strings'));
    await screen.findByText(/None yet/);
    await waitFor(() => expect(calls.filter((call) => call.method === 'DELETE')).toHaveLength(1));
  });
});
