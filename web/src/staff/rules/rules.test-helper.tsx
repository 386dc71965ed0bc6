import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { showScreen } from '../testing/server.test-helper';
import type { KeptRule } from './queries';
import { RulesScreen } from './RulesScreen';

export const rule = (id: string, name: string, part: Partial<KeptRule> = {}): KeptRule => ({
  id,
  version: 3,
  position: 1,
  name,
  why: 'Nobody carries alone.',
  enabled: true,
  forms: ['inquiry'],
  if: { question: 'place', op: 'contains', value: 'step' } as never,
  then: [{ kind: 'tag', record: 'project', tag: 'stairs' }],
  from: '',
  until: '',
  acceptsByItself: false,
  when: 'received',
  what: '',
  alsoByHand: false,
  times: 4,
  last: '2026-11-25T09:00:00+00:00',
  failures: 1,
  ...part,
});

/** What the server offers of triggers and actions; its own test holds it to the same file. */
const offered = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../../tests/fixtures/rules.json'), 'utf8'),
) as object;

export const list = {
  items: [rule('r1', 'Stairs'), rule('r2', 'Welcome', { enabled: false, times: 0, last: null, failures: 0 })],
  offers: {
    roles: [
      { value: 'owner', label: 'owner', says: 'everything', approver: 'an owner' },
      { value: 'coordinator', label: 'coordinator', says: 'nearly everything', approver: 'the coordinator' },
    ],
    ...offered,
    clientFields: [{ value: 'email', label: 'in the mail address' }],
    facts: [
      { key: '@client_tags', wording: 'the client’s tags', type: 'short-text', options: [], ofProject: false },
      { key: '@stage', wording: 'the project’s stage', type: 'one-of', options: [], ofProject: true },
    ],
    staff: [{ value: 's1', label: 'Pim Tarrow' }],
    checklists: [{ value: 'c1', label: 'Moving' }],
    stages: [{ value: 'Quote', label: 'Quote' }],
    forms: [
      { value: 'inquiry', label: 'Piano inquiry' },
      { value: 'tuning', label: 'Tuning' },
    ],
    templates: [{ value: 'confirmation', label: 'We have your inquiry' }],
    ofProject: [{ value: 'client', label: 'the client’s name' }],
    fields: [{ record: 'client', field: 'organisation', label: 'Client, organisation' }],
    questions: [
      { key: 'place', wording: 'Where?', type: 'address', options: [], forms: ['inquiry'], wordings: ['Where?'] },
    ],
  },
};

const arrivals = {
  items: [
    {
      id: 'a1',
      name: 'Orla Fennick',
      form: { slug: 'inquiry', title: 'Piano inquiry' },
    },
  ],
  next: null,
  counts: { waiting: 1 },
};

export const line = (key: string, text: string) => ({
  number: 1,
  key,
  group: 'Project',
  parts: [{ text, value: false, answer: null, record: null }],
  note: '',
  reason: '',
  choice: null,
  dropped: false,
  amended: false,
  canDrop: false,
  fields: [],
  compared: [],
});

export function show(path: string, replies: Parameters<typeof showScreen>[3] = {}) {
  return showScreen(path, '/rules/:id?', <RulesScreen />, {
    'GET /api/rules': list,
    'GET /api/submissions': arrivals,
    ...replies,
  });
}
