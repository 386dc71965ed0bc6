/** The names under which answers of the server are kept. */
export const queryKeys = {
  session: ['session'],
  day: ['day'],
  lastChange: ['last-change'],
  submissions: (state: string) => ['submissions', 'list', state],
  allSubmissions: ['submissions'],
  submission: (id: string) => ['submissions', 'one', id],
  clients: (q: string) => ['clients', 'list', q],
  client: (id: string) => ['clients', 'one', id],
  projects: (q: string, stage: string) => ['projects', 'list', q, stage],
  project: (id: string) => ['projects', 'one', id],
  tasks: (project: string) => ['tasks', project],
  messages: (state: string) => ['messages', 'list', state],
  message: (id: string) => ['messages', 'one', id],
  journal: (record: string) => ['journal', record],
  find: (q: string) => ['find', q],
} as const;
