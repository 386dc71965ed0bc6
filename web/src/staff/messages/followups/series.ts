import type { Course, Courses, List, Step } from './queries';

export const courseOrder: Course[] = ['main', 'yes', 'later', 'question', 'no', 'booked', 'form'];

export const courseWords: Record<Course, string> = {
  main: 'No answer yet',
  yes: 'A yes',
  later: 'Later',
  question: 'A question, other',
  no: 'A no',
  booked: 'A booking',
  form: 'Another form',
};

export const kindWords: Record<Step['kind'], string> = {
  send: 'send',
  times: 'send the times of',
  quote: 'send the quote that is drafted',
  form: 'send the form',
  wait: 'wait',
  task: 'give the task',
  notice: 'tell staff',
  stage: 'move to the stage',
  tag: 'tag the client',
  'go-on': 'go on with',
  stop: 'end here',
};

const units = { hours: ['hour', 'hours'], days: ['day', 'days'], 'working-days': ['working day', 'working days'] };

/** What a step does, in words. */
export function stepWords(step: Step, list: Pick<List, 'templates' | 'pages' | 'forms'>, courses: Courses): string {
  switch (step.kind) {
    case 'send':
      return `${list.templates.find((one) => one.value === step.what)?.label ?? 'a template that is gone'}${step.asText ? ', as a text' : ''}`;
    case 'wait': {
      const amount = step.amount ?? 1;
      const [one, many] = units[step.unit ?? 'days'];
      return `${step.named ? 'until the day that they name, else ' : ''}${amount} ${amount === 1 ? one : many}${step.at ? `, then at ${step.at}` : ''}`;
    }
    case 'go-on': {
      const to = courseOrder.flatMap((course) => courses[course] ?? []).find((one) => one.key === step.what);
      return to ? `${kindWords['go-on']} “${stepWords(to, list, courses)}”` : 'go on with a step that is gone';
    }
    case 'times':
      return `${kindWords.times} “${list.pages.find((one) => one.value === step.what)?.label ?? 'a page that is closed'}”`;
    case 'form':
      return `${kindWords.form} “${list.forms.find((one) => one.value === step.what)?.label ?? 'a form that is closed'}”`;
    case 'quote':
    case 'stop':
      return kindWords[step.kind];
    default:
      return `${kindWords[step.kind]} “${step.what ?? ''}”`;
  }
}

/** What a step is called for short: what it sends, by its name and not by the ending of an address. */
export function stepName(step: Step, list: Pick<List, 'templates' | 'pages' | 'forms'>): string {
  const offered: Partial<Record<Step['kind'], List['forms']>> = {
    send: list.templates,
    times: list.pages,
    form: list.forms,
  };
  const from = offered[step.kind];
  return from?.find((one) => one.value === step.what)?.label ?? (from ? 'gone' : (step.what ?? ''));
}

/** A key that no other step has. */
export function freeKey(courses: Courses, kind: string): string {
  const taken = courseOrder.flatMap((course) => (courses[course] ?? []).map((step) => step.key));
  for (let n = 1; ; n += 1) if (!taken.includes(`${kind}-${n}`)) return `${kind}-${n}`;
}

/** A step to begin with, of a kind. */
export function newStep(
  kind: Step['kind'],
  courses: Courses,
  list: Pick<List, 'templates' | 'pages' | 'forms' | 'stages'>,
): Step {
  const key = freeKey(courses, kind);
  switch (kind) {
    case 'wait':
      return { key, kind, amount: 2, unit: 'days', at: '' };
    case 'send':
      return { key, kind, what: list.templates[0]?.value ?? '' };
    case 'times':
      return { key, kind, what: list.pages[0]?.value ?? '' };
    case 'task':
      return { key, kind, what: 'Ring them', who: 'lead', days: 0 };
    case 'stage':
      return { key, kind, what: list.stages[0]?.value ?? '' };
    case 'go-on':
      return { key, kind, what: courses.main?.[0]?.key ?? '' };
    case 'form':
      return { key, kind, what: list.forms[0]?.value ?? '' };
    case 'quote':
    case 'stop':
      return { key, kind };
    default:
      return { key, kind, what: '', who: '' };
  }
}

/** Moves the step at one place to another in its course. */
export function moved(steps: Step[], from: number, to: number): Step[] {
  const next = [...steps];
  const [step] = next.splice(from, 1);
  if (step) next.splice(to, 0, step);
  return next;
}

/** The numbers of the messages of the main course, by step: what people call "the third". */
export function numbers(courses: Courses): Map<string, number> {
  const found = new Map<string, number>();
  for (const course of courseOrder)
    for (const step of courses[course] ?? []) if (step.kind !== 'wait') found.set(step.key, found.size + 1);
  return found;
}

/** Where a step stands: its course and its place in it. */
export function placeOf(courses: Courses, key: string | null): { course: Course; at: number } | null {
  for (const course of courseOrder) {
    const at = (courses[course] ?? []).findIndex((step) => step.key === key);
    if (at >= 0) return { course, at };
  }
  return null;
}

/** The course with a step a unit sooner or later: the wait before it is shorter or longer; of a wait, it itself. */
export function inTime(steps: Step[], at: number, by: 1 | -1): Step[] {
  const wait = steps[at]?.kind === 'wait' ? at : steps.slice(0, at).findLastIndex((step) => step.kind === 'wait');
  return steps.map((step, i) => (i === wait ? { ...step, amount: Math.max(1, (step.amount ?? 1) + by) } : step));
}
