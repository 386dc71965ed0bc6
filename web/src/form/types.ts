import type { Schema } from '../shared/api';

export type PublicForm = Schema<'PublicForm'>;
export type Question = Schema<'Question'>;
/** What the fields hold, by question key. An unticked box may come as false. */
export interface Answers {
  [key: string]: string | string[] | boolean | Answers | Answers[] | undefined;
}
