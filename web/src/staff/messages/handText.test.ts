import { describe, expect, it } from 'vitest';
import { fromText, isPlain, plainOf } from './handText';

const words = (text: string) => ({ type: 'text', text });
const paragraph = (...content: object[]) => ({ type: 'paragraph', content });
const item = (text: string) => ({ type: 'listItem', content: [paragraph(words(text))] });

describe('a letter by hand', () => {
  it('goes from plain text to the editor and back as it was', () => {
    for (const text of [
      'Hello',
      'Hello,\n\nwe come on Tuesday.\nBring tea.\n\nNessa',
      '\n\nNessa\nMarrowby',
      '',
      'a < b & c',
    ])
      expect(plainOf(fromText(text))).toBe(text);
  });

  it('never gives the editor an empty text, which it refuses', () => {
    expect(JSON.stringify(fromText('\n\na\n\n'))).not.toContain('"text":""');
  });

  it('knows what a plain field can hold', () => {
    expect(isPlain(fromText('Hello\n\nyou'))).toBe(true);
    expect(isPlain({ type: 'doc' })).toBe(true);
    expect(isPlain({ type: 'doc', content: [{ type: 'heading', content: [words('Hello')] }] })).toBe(false);
    expect(isPlain({ type: 'doc', content: [paragraph({ ...words('x'), marks: [{ type: 'bold' }] })] })).toBe(false);
    expect(isPlain({ type: 'doc', content: [paragraph({ ...words('x'), marks: [] })] })).toBe(true);
    expect(isPlain({ type: 'doc', content: [{ type: 'picture' }] })).toBe(false);
  });

  it('keeps the words of headings, lists and buttons when it is written plainly', () => {
    expect(
      plainOf({
        type: 'doc',
        content: [
          { type: 'heading', content: [words('Your visit')] },
          { type: 'bulletList', content: [item('one'), item('two')] },
          { type: 'horizontalRule' },
          { type: 'orderedList', content: [item('first'), item('second')] },
          { type: 'picture', attrs: { file: 'x', alt: 'a piano' } },
          { type: 'button', attrs: { label: 'Choose', href: 'https://marrowby.example/x' } },
          paragraph(words('Bye'), { type: 'hardBreak' }, words('Nessa')),
        ],
      }),
    ).toBe('Your visit\n\n- one\n- two\n\n1. first\n2. second\n\nChoose: https://marrowby.example/x\n\nBye\nNessa');
  });
});
