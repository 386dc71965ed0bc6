import type { JSONContent } from '@tiptap/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { HandText } from './HandText';

afterEach(cleanup);

const heading: JSONContent = {
  type: 'doc',
  content: [{ type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: 'Your keys' }] }],
};

let now: { text: string; document: JSONContent | null };

function Letter({ asText }: { asText: boolean }) {
  const [letter, setLetter] = useState(now);
  const change = (part: Partial<typeof now>) => {
    now = { ...now, ...part };
    setLetter(now);
  };
  return <HandText asText={asText} {...letter} onChange={change} />;
}

const show = (begin: typeof now, asText = false) => {
  now = begin;
  render(<Letter asText={asText} />);
};
const plainly = () => fireEvent.click(screen.getByText('Write it plainly'));
const richly = async () => {
  fireEvent.click(screen.getByText('With headings, lists, links'));
  await screen.findByText('Write it plainly');
};

describe('what a letter by hand says', () => {
  it('is written plainly, and comes back as it was while its words are the same', async () => {
    show({ text: 'Your keys', document: heading });
    plainly();
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text').value).toBe('Your keys');
    await richly();
    expect(now.document).toEqual(heading);
  });

  it('comes back as paragraphs where its words were changed', async () => {
    show({ text: 'Your keys', document: heading });
    plainly();
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'Your keys\n\nThursday' } });
    await richly();
    expect(now.document?.content?.map((block) => block.type)).toEqual(['paragraph', 'paragraph']);
  });

  it('stays where it is while the editor cannot be had', async () => {
    vi.doMock('./templates/LetterEditor', () => {
      throw new Error('no connection');
    });
    vi.resetModules();
    const { HandText: WithoutEditor } = await import('./HandText');
    render(<WithoutEditor asText={false} text="Kept words." document={null} onChange={() => undefined} />);
    fireEvent.click(screen.getByText('With headings, lists, links'));
    expect(await screen.findByText(/could not be had/)).toBeTruthy();
    expect(screen.getByDisplayValue('Kept words.')).toBeTruthy();
    vi.doUnmock('./templates/LetterEditor');
  });

  it('is plain as a text message, whatever the letter was', () => {
    show({ text: 'Your keys', document: heading }, true);
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text').value).toBe('Your keys');
    expect(screen.queryByText('Write it plainly')).toBeNull();
    expect(now.document).toEqual(heading);
  });
});
