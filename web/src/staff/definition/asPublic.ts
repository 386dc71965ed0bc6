import { asks } from '../../form/answers';
import type { Schema } from '../../shared/api';
import type { Definition, DraftQuestion } from './design';

/** The draft as the public would get it, for the preview and for trying. */
export function asPublic(definition: Definition, today: string): Schema<'PublicForm'> {
  let number = 0;
  return {
    slug: 'preview',
    title: definition.title,
    intro: definition.intro,
    privacy: definition.privacy,
    steps: definition.steps,
    dayOrder: definition.dayOrder,
    today,
    version: 0,
    checkPage: definition.checkPage ?? false,
    copy: definition.copy ?? false,
    business: { name: '', phone: '', phoneText: '', hours: '', address: '', drawing: '', accent: '', logo: null },
    pages: definition.pages.map((page) => ({
      key: page.key,
      title: page.title,
      next: page.next,
      questions: page.questions.map((question) => publicQuestion(question, asks(question) ? ++number : 0)),
    })),
  };
}

function publicQuestion(question: DraftQuestion, number: number): Schema<'Question'> {
  return {
    key: question.key,
    number,
    type: question.type,
    wording: question.wording,
    hint: question.hint ?? '',
    example: question.example ?? '',
    required: question.required ?? false,
    options: (question.options ?? []).map(({ value, label }) => ({ value, label })),
    minLength: question.minLength ?? 0,
    maxLength: question.maxLength ?? 4000,
    maxFiles: question.maxFiles ?? 8,
    maxBytes: question.maxBytes ?? 10_485_760,
    fileKinds: question.fileKinds ?? 'any',
    min: question.min ?? '',
    max: question.max ?? '',
    half: question.half ?? false,
    third: question.third ?? false,
    parameter: question.parameter ?? '',
    default: question.default ?? '',
    asList: question.asList ?? false,
    showIf: (question.showIf ?? null) as Record<string, never> | null,
    requiredIf: (question.requiredIf ?? null) as Record<string, never> | null,
    lines: (question.lines ?? []).map((column) => publicQuestion(column, number)),
    maxLines: question.maxLines ?? 10,
    picture: question.picture ?? '',
  };
}
