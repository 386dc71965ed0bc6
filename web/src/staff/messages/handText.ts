import type { JSONContent } from '@tiptap/core';

/** A letter by hand as the editor has it, and as plain text. */

const blocks = (node: JSONContent): JSONContent[] => node.content ?? [];

/** Whether a plain field can hold it: paragraphs of unmarked words, and nothing else. */
export function isPlain(document: JSONContent): boolean {
  return blocks(document).every(
    (block) =>
      block.type === 'paragraph' &&
      blocks(block).every((node) => node.type === 'hardBreak' || (node.type === 'text' && !node.marks?.length)),
  );
}

/** Paragraphs where a line is left empty, breaks where one ends. */
export function fromText(text: string): JSONContent {
  const line = (words: string): JSONContent[] => (words === '' ? [] : [{ type: 'text', text: words }]);
  return {
    type: 'doc',
    content: text.split(/\n{2,}/).map((part) => ({
      type: 'paragraph',
      content: part.split('\n').flatMap((words, at) => [...(at > 0 ? [{ type: 'hardBreak' }] : []), ...line(words)]),
    })),
  };
}

const inline = (node: JSONContent): string =>
  blocks(node)
    .map((one) => (one.type === 'hardBreak' ? '\n' : (one.text ?? '')))
    .join('');

/** The words of it, to be gone on with plainly. */
export function plainOf(document: JSONContent): string {
  const told = (block: JSONContent): string => {
    switch (block.type) {
      case 'bulletList':
        return blocks(block)
          .map((item) => `- ${plainOf(item)}`)
          .join('\n');
      case 'orderedList':
        return blocks(block)
          .map((item, at) => `${at + 1}. ${plainOf(item)}`)
          .join('\n');
      case 'button':
        return `${String(block.attrs?.label ?? '')}: ${String(block.attrs?.href ?? '')}`;
      case 'picture':
      case 'horizontalRule':
        return '';
      default:
        return inline(block);
    }
  };
  const parts = blocks(document).map(told);
  // An empty paragraph is a line to write on; what only shows something has no words.
  return parts.filter((part, at) => part !== '' || blocks(document)[at]?.type === 'paragraph').join('\n\n');
}
