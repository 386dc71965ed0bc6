import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { FileLines } from './FileLines';

vi.mock('./PdfPages', () => ({ default: ({ name }: { name: string }) => <p>pages of {name}</p> }));

const file = (id: string, name: string, type: string) => ({
  id,
  name,
  size: 2048,
  type,
  note: '',
  forOffice: false,
  signed: false,
  isImage: type.startsWith('image/'),
});

describe('The files of a record', () => {
  afterEach(cleanup);

  it('open where they are: photographs and papers, one after the other', async () => {
    render(
      <FileLines
        files={[file('f1', 'keys.jpg', 'image/jpeg'), file('f2', 'A-0001 as received.pdf', 'application/pdf')]}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Open keys.jpg' }));
    expect(screen.getByText('keys.jpg, 2 kB')).toBeTruthy();
    expect(screen.queryByText('Save it')).toBeNull();
    fireEvent.keyDown(screen.getByRole('dialog'), { key: 'ArrowRight' });
    expect(await screen.findByText('pages of A-0001 as received.pdf')).toBeTruthy();
    expect(screen.getByText('Save it')).toBeTruthy();
    fireEvent.keyDown(screen.getByRole('dialog'), { key: 'ArrowRight' });
    expect(screen.getByText('keys.jpg, 2 kB')).toBeTruthy();
  });

  it('are saved where they cannot be looked at here', () => {
    render(<FileLines files={[file('f3', 'sounds.zip', 'application/zip')]} />);
    expect(screen.getByRole('link', { name: 'sounds.zip' }).getAttribute('href')).toBe('/api/files/f3');
    expect(screen.queryByRole('button')).toBeNull();
  });
});
