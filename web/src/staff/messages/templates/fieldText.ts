import type { JSONContent } from '@tiptap/react';

const field = /\{\{ *([a-z][a-z0-9_.]*) *(?:\|([^{}]*))?\}\}/g;

/** A line with fields as it is kept, "Your {{asset|piano}}", for the editor. Line breaks become paragraphs. */
export function lineToDoc(line: string): JSONContent {
  return {
    type: 'doc',
    content: line.split('\n').map((text) => {
      const content: JSONContent[] = [];
      let at = 0;
      for (const found of text.matchAll(field)) {
        if (found.index > at) content.push({ type: 'text', text: text.slice(at, found.index) });
        content.push({ type: 'field', attrs: { field: found[1], or: found[2] ?? null } });
        at = found.index + found[0].length;
      }
      if (at < text.length) content.push({ type: 'text', text: text.slice(at) });
      return content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' };
    }),
  };
}

/** The way back. Braces in what people type would be read as a field: they fall away where they come in twos. */
export function docToLine(doc: JSONContent): string {
  return (doc.content ?? [])
    .map((paragraph) =>
      (paragraph.content ?? [])
        .map((node) => {
          if (node.type !== 'field') return (node.text ?? '').replaceAll(/\{\{|\}\}/g, '');
          const attrs = node.attrs as { field: string; or: string | null };
          return attrs.or === null ? `{{${attrs.field}}}` : `{{${attrs.field}|${attrs.or.replaceAll(/[{}|]/g, '')}}}`;
        })
        .join(''),
    )
    .join('\n');
}
