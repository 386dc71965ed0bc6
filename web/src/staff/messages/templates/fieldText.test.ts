import { describe, expect, it } from 'vitest';
import { docToLine, lineToDoc } from './fieldText';

describe('lines with fields', () => {
  it.each([
    '',
    'Hello',
    'Hello {{first_name}}',
    '{{business|}}: {{asset|piano}} on {{when}}!',
    'one\n{{link}}\n\nthree',
    '€ & <b>',
  ])('come back as they were: %s', (line) => {
    expect(docToLine(lineToDoc(line))).toBe(line);
  });

  it('keep what somebody types from being a field', () => {
    const typed = { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'a {{b}} c' }] }] };
    expect(docToLine(typed)).toBe('a b c');
  });

  it('keep words for an empty field from closing it', () => {
    const doc = {
      type: 'doc',
      content: [{ type: 'paragraph', content: [{ type: 'field', attrs: { field: 'asset', or: 'a}|{b' } }] }],
    };
    expect(docToLine(doc)).toBe('{{asset|ab}}');
  });
});
