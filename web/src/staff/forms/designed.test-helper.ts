import { problem, showScreen } from '../testing/server.test-helper';
import type { Definition } from '../definition/design';
import type { DesignedForm } from './queries';

export const form: DesignedForm = {
  id: 'f1',
  slug: 'inquiry',
  title: 'Inquiry',
  state: 'live',
  version: 1,
  definition: {
    title: 'Write to us',
    intro: '',
    privacy: '',
    thanks: '',
    promiseMinutes: 120,
    dayOrder: 'day-first',
    steps: [],
    pages: [
      {
        key: 'p',
        title: 'You',
        next: 'Send',
        questions: [
          { key: 'name', type: 'person-name', wording: 'Your name', required: true, destination: 'client.name' },
          { key: 'stairs', type: 'yes-no', wording: 'Stairs?' },
          {
            key: 'floors',
            type: 'number',
            wording: 'How many?',
            showIf: { question: 'stairs', op: 'is', value: 'yes' },
          },
        ],
      },
    ],
  },
  published: { number: 2, at: '2026-11-01T10:00:00+00:00' },
  savedAt: '2026-11-25T10:00:00+00:00',
  savedBy: null,
  problems: [],
  advice: ['No question goes to the client’s email.'],
  changes: ['“Stairs?” is added as question 2'],
  settings: { opensOn: null, closesOn: null, limit: null, closedText: '', sites: [] },
};

const kinds = {
  kinds: [
    { kind: 'person-name', destinations: ['client.name', 'project.notes'], inLines: true },
    { kind: 'short-text', destinations: ['asset.description', 'asset.serial', 'project.notes'], inLines: true },
    { kind: 'number', destinations: ['project.notes'], inLines: true },
    { kind: 'long-text', destinations: ['project.notes'], inLines: true },
    { kind: 'yes-no', destinations: ['project.notes'], inLines: true },
  ],
  services: [],
  staff: [{ value: 'pim', label: 'Pim Aldry' }],
  destinations: [
    { name: 'client.name', label: 'client, name', words: [] },
    { name: 'asset.description', label: 'asset, what it is', words: [] },
    { name: 'asset.serial', label: 'asset, serial number', words: ['serial'] },
    { name: 'project.notes', label: 'project, notes', words: [] },
  ],
};

const list = {
  items: [{ id: 'f1', slug: 'inquiry', title: 'Inquiry', state: 'live', publishedVersion: 2, submissions: 7 }],
};

/** A server that keeps what it is sent, counting versions as the real one does. */
export function keeping(): { replies: Parameters<typeof showScreen>[3]; kept: () => Definition | null } {
  let version = 1;
  let definition: Definition | null = null;
  const replies = {
    'GET /api/forms': list,
    'GET /api/forms/f1': form,
    'GET /api/forms/kinds': kinds,
    'GET /api/forms/starters': { items: [{ key: 'intake', title: 'Intake', about: 'What you need to know.' }] },
    'PUT /api/forms/f1': (body: unknown) => {
      const sent = body as { version: number; definition: Definition };
      if (sent.version !== version) return problem(409, 'Somebody else changed this.');
      version++;
      definition = sent.definition;
      return { ...form, version, definition: sent.definition };
    },
    'POST /api/forms/f1/publish': () => ({ ...form, version, published: { number: 3, at: form.savedAt } }),
  };
  return { replies, kept: () => definition };
}

/** What a definition asks, on all its pages. */
export const questions = (definition: Definition | null) => definition?.pages.flatMap((page) => page.questions) ?? [];
