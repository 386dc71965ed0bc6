import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { FilesOfProject } from './FilesOf';

vi.mock('../../form/upload', () => ({
  upload: (file: File) => ({
    done: file.name.startsWith('bad')
      ? Promise.reject(new Error('This is no kind of file taken here.'))
      : Promise.resolve({ id: `up-${file.name}`, name: file.name, size: file.size, type: 'application/pdf' }),
    stop: () => undefined,
  }),
}));

const paper = {
  id: 'f1',
  name: 'hinge.pdf',
  note: '',
  forOffice: false,
  size: 12,
  type: 'application/pdf',
  isImage: false,
};
const show = (replies: Parameters<typeof showScreen>[3] = {}) =>
  showScreen('/p', '/p', <FilesOfProject id="p1" />, { 'GET /api/files': { items: [] }, ...replies });
const file = (name: string) => new File(['x'], name, { type: 'application/pdf' });
const choose = (...files: File[]) =>
  fireEvent.change(screen.getByLabelText('Add files', { selector: 'input' }), { target: { files } });

describe('files of a record', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('are put with it together, once all are through', async () => {
    const calls = show({ 'POST /api/files': { items: [paper, paper] } });
    await screen.findByText(/None came with the form/);
    choose(file('a.pdf'), file('b.pdf'));
    expect(await screen.findByText(/2 files added/)).toBeTruthy();
    const sent = calls.filter((call) => call.method === 'POST');
    expect(sent.map((call) => call.body)).toEqual([{ uploads: ['up-a.pdf', 'up-b.pdf'], project: 'p1' }]);
    expect(screen.queryByLabelText('On their way')).toBeNull();
  });

  it('that did not come through stay in sight with what was wrong, and the others are kept', async () => {
    const calls = show({ 'POST /api/files': { items: [paper] } });
    await screen.findByText(/None came with the form/);
    choose(file('bad.exe'), file('a.pdf'));
    expect(await screen.findByText('This is no kind of file taken here.')).toBeTruthy();
    await waitFor(() => expect(calls.some((call) => call.method === 'POST')).toBe(true));
    fireEvent.click(screen.getByText('Remove'));
    await waitFor(() => expect(screen.queryByText('bad.exe')).toBeNull());
  });

  it('come by dropping too', async () => {
    const calls = show({ 'POST /api/files': { items: [paper] } });
    const text = await screen.findByText(/None came with the form/);
    fireEvent.drop(text, { dataTransfer: { files: [file('dropped.pdf')] } });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
        uploads: ['up-dropped.pdf'],
        project: 'p1',
      }),
    );
  });

  it('are named, noted and removed', async () => {
    let refuse = true;
    const calls = show({
      'GET /api/files': { items: [paper] },
      'PUT /api/files/f1': () =>
        refuse ? problem(422, 'Wrong', [{ path: 'name', message: 'A file has a name.' }]) : paper,
      'DELETE /api/files/f1': () => new Response(null, { status: 204 }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Edit hinge.pdf' }));
    fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'split' } });
    fireEvent.click(screen.getByText('Save'));
    expect(await screen.findByText('A file has a name.')).toBeTruthy();
    refuse = false;
    fireEvent.click(screen.getByText('Save'));
    await waitFor(() =>
      expect(calls.findLast((call) => call.method === 'PUT')?.body).toEqual({
        name: 'hinge.pdf',
        note: 'split',
        forOffice: false,
      }),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Edit hinge.pdf' }));
    fireEvent.click(screen.getByText('Remove'));
    expect(await screen.findByText(/hinge.pdf removed/)).toBeTruthy();
  });
});
