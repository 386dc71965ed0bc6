import type { JSONContent } from '@tiptap/core';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keys } from '../../keys';
import { standInForTheBrowser } from '../../testing/server.test-helper';
import { FieldLine } from './FieldLine';
import { LetterEditor } from './LetterEditor';

const letter: JSONContent = {
  type: 'doc',
  content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Hello' }] }],
};

/** Each of our keys that is pressed with another one, as the browser tells of it. */
const ours = Object.values(keys)
  .map(({ binding }) => binding)
  .filter((binding) => /^(\$mod|Alt)\+/.test(binding))
  .map((binding) => {
    const [mod, key = ''] = binding.split('+');
    return new KeyboardEvent('keydown', {
      key,
      code: key,
      ctrlKey: mod === '$mod',
      altKey: mod === 'Alt',
      bubbles: true,
      cancelable: true,
    });
  });

beforeEach(() => {
  standInForTheBrowser();
  Range.prototype.getClientRects = () => [] as unknown as DOMRectList;
  Range.prototype.getBoundingClientRect = () => new DOMRect();
  document.elementFromPoint = () => null;
});
afterEach(cleanup);

describe('an editor of texts leaves the keys of the product alone', () => {
  it('knows at least saving and moving among them', () => {
    expect(ours.map((event) => event.key)).toEqual(expect.arrayContaining(['Enter', 'ArrowUp', 'ArrowDown']));
  });

  it.each([
    ['a letter', (told: () => void) => <LetterEditor template="" document={letter} onChange={told} />],
    ['a subject', (told: () => void) => <FieldLine label="Text" value="Hello" oneLine onChange={told} />],
    ['a text message', (told: () => void) => <FieldLine label="Text" value="Hello" onChange={told} />],
  ])('%s', async (_, editor) => {
    const told = vi.fn();
    render(editor(told));
    const field = await screen.findByRole('textbox', { name: 'Text' });
    field.focus();
    for (const event of ours) {
      field.dispatchEvent(event);
      // It comes to those who listen to it, as it was.
      expect(event.defaultPrevented).toBe(false);
    }
    expect(told).not.toHaveBeenCalled();
    expect(field.textContent).toBe('Hello');
    expect(field.querySelector('br:not(.ProseMirror-trailingBreak)')).toBeNull();
  });
});
