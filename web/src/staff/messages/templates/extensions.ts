import { Extension, Mark, mergeAttributes, Node, PasteRule, type Editor } from '@tiptap/core';
import { NodeSelection } from '@tiptap/pm/state';
import { ReactNodeViewRenderer } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import Suggestion, { type SuggestionKeyDownProps, type SuggestionProps } from '@tiptap/suggestion';
import { FieldChip } from './FieldChip';
import type { MergeField } from './fields';

/** A merge field: one piece that is put in, moved and removed whole. */
const Field = Node.create({
  name: 'field',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => ({
    field: { default: '', parseHTML: (element) => element.getAttribute('data-field') ?? '' },
    or: { default: null, parseHTML: (element) => element.getAttribute('data-or') },
  }),
  parseHTML: () => [{ tag: 'span[data-field]' }],
  renderHTML: ({ node }) => [
    'span',
    {
      'data-field': node.attrs.field as string,
      ...(node.attrs.or === null ? {} : { 'data-or': node.attrs.or as string }),
    },
  ],
  renderText: ({ node }) => `{${node.attrs.field as string}}`,
  addNodeView: () => ReactNodeViewRenderer(FieldChip),
  // A field pasted as text, out of a letter of another place, is a field here too.
  addPasteRules() {
    return [
      new PasteRule({
        find: /\{\{ *([a-z][a-z0-9_.]*) *\}\}/g,
        handler: ({ match, chain, range }) => {
          chain()
            .deleteRange(range)
            .insertContentAt(range.from, { type: 'field', attrs: { field: match[1], or: null } })
            .run();
        },
      }),
    ];
  },
});

/** Words that are only said when a field is filled, or when it is empty. */
const Only = Mark.create({
  name: 'only',
  excludes: '',
  inclusive: false,
  addAttributes: () => ({
    field: { default: '', parseHTML: (element) => element.getAttribute('data-only') ?? '' },
    empty: { default: false, parseHTML: (element) => element.hasAttribute('data-empty') },
  }),
  parseHTML: () => [{ tag: 'span[data-only]' }],
  renderHTML: ({ mark, HTMLAttributes }) => [
    'span',
    mergeAttributes(
      { class: 'only-part', 'data-only': mark.attrs.field as string, title: 'said only when its condition holds' },
      mark.attrs.empty ? { 'data-empty': '' } : {},
      { class: HTMLAttributes.class as string | undefined },
    ),
    0,
  ],
});

/** A button that leads somewhere: an address, or a field that holds one. */
const Button = Node.create({
  name: 'button',
  group: 'block',
  atom: true,
  addAttributes: () => ({
    label: { default: '', parseHTML: (element) => element.textContent },
    field: { default: '', parseHTML: (element) => element.getAttribute('data-to') ?? '' },
    href: { default: '', parseHTML: (element) => element.getAttribute('data-href') ?? '' },
  }),
  parseHTML: () => [{ tag: 'div[data-button]' }],
  renderHTML: ({ node }) => [
    'div',
    {
      'data-button': '',
      'data-to': node.attrs.field as string,
      'data-href': node.attrs.href as string,
      class: 'letter-button',
    },
    node.attrs.label as string,
  ],
});

/** A picture that goes inside the mail: a file that is kept. */
const Picture = Node.create({
  name: 'picture',
  group: 'block',
  atom: true,
  addAttributes: () => ({
    file: { default: '', parseHTML: (element) => element.getAttribute('data-file') ?? '' },
    alt: { default: '', parseHTML: (element) => element.getAttribute('alt') ?? '' },
  }),
  parseHTML: () => [{ tag: 'img[data-file]' }],
  renderHTML: ({ node }) => [
    'img',
    {
      'data-file': node.attrs.file as string,
      src: `/api/files/${node.attrs.file as string}`,
      alt: node.attrs.alt as string,
      class: 'letter-picture',
    },
  ],
});

export interface Offering {
  fields: MergeField[];
  at: number;
  place: DOMRect | null;
  take: (field: MergeField) => void;
}

/** "{" and a few letters offer fields; the list is shown by whoever holds the editor. */
function offerFields(fields: () => MergeField[], show: (offering: Offering | null) => void) {
  let current: Offering | null = null;
  const tell = (next: Offering | null) => {
    current = next;
    show(next);
  };
  const from = (props: SuggestionProps<MergeField>, at: number): Offering => ({
    fields: props.items,
    at: Math.min(at, Math.max(0, props.items.length - 1)),
    place: props.clientRect?.() ?? null,
    take: (field) => props.command(field),
  });
  return Extension.create({
    name: 'offerFields',
    addProseMirrorPlugins() {
      return [
        Suggestion<MergeField, MergeField>({
          editor: this.editor,
          char: '{',
          allowSpaces: true,
          allowedPrefixes: null,
          items: ({ query }) => {
            const words = query.toLowerCase().replace(/^\{/, '').trim();
            return fields().filter(
              (one) => one.label.toLowerCase().includes(words) || one.name.startsWith(words.replaceAll(' ', '_')),
            );
          },
          command: ({ editor, range, props }) => {
            editor
              .chain()
              .focus()
              .insertContentAt(range, { type: 'field', attrs: { field: props.name, or: null } })
              .run();
          },
          render: () => ({
            onStart: (props) => tell(props.items.length > 0 ? from(props, 0) : null),
            onUpdate: (props) => tell(props.items.length > 0 ? from(props, current?.at ?? 0) : null),
            onExit: () => tell(null),
            onKeyDown: ({ event }: SuggestionKeyDownProps) => {
              const now = current;
              if (now === null) return false;
              const many = now.fields.length;
              if (event.key === 'ArrowDown') tell({ ...now, at: (now.at + 1) % many });
              else if (event.key === 'ArrowUp') tell({ ...now, at: (now.at + many - 1) % many });
              else if (event.key === 'Escape') tell(null);
              else if ((event.key === 'Enter' && !event.ctrlKey && !event.metaKey) || event.key === 'Tab') {
                const field = now.fields[now.at];
                if (field) now.take(field);
              } else return false;
              return true;
            },
          }),
        }),
      ];
    },
  });
}

type Show = (offering: Offering | null) => void;

/** What a whole letter is made of. */
export const forLetter = (fields: () => MergeField[], show: Show) => [
  StarterKit.configure({
    blockquote: false,
    code: false,
    codeBlock: false,
    strike: false,
    underline: false,
    heading: { levels: [2, 3] },
    link: { openOnClick: false, autolink: false, protocols: ['https', 'http', 'mailto', 'tel'] },
  }),
  Field,
  Only,
  Button,
  Picture,
  offerFields(fields, show),
];

/** What a subject or a text message is made of: words and fields. */
export const forLine = (fields: () => MergeField[], show: Show, oneLine: boolean) => [
  StarterKit.configure({
    blockquote: false,
    bold: false,
    bulletList: false,
    code: false,
    codeBlock: false,
    heading: false,
    horizontalRule: false,
    italic: false,
    link: false,
    listItem: false,
    listKeymap: false,
    orderedList: false,
    strike: false,
    underline: false,
    ...(oneLine ? { hardBreak: false } : {}),
  }),
  Field,
  offerFields(fields, show),
  ...(oneLine ? [Extension.create({ name: 'oneLine', addKeyboardShortcuts: () => ({ Enter: () => true }) })] : []),
];

/** The field that is chosen, where one is. */
export function chosenField(editor: Editor): { field: string; or: string | null } | null {
  const { selection } = editor.state;
  if (!(selection instanceof NodeSelection) || selection.node.type.name !== 'field') return null;
  return selection.node.attrs as { field: string; or: string | null };
}
