import type { Schema } from '../../shared/api';

/** What a task has beside that which a test is about. */
export const plainTask = {
  client: 'Orla Fennick',
  takes: 1,
  effort: 0,
  minutes: 0,
  comments: 0,
  group: '',
  words: '',
  steps: [],
  doneBy: '',
  approval: '',
  shown: false,
  handDated: false,
  fromList: false,
  away: false,
} satisfies Partial<Schema<'Task'>>;
