import type { Schema } from '../../shared/api';

export type Plan = Schema<'Plan'>;
export type PlanLine = Schema<'PlanLine'>;
export type Added = Schema<'Decided'>['added'][number];

/** What somebody may do to a plan before it is accepted. */
export interface Deciding {
  /** Of the submission. */
  id: string;
  /** Something is being kept just now. */
  busy: boolean;
  choose: (key: string, value: string) => void;
  drop: (line: string) => void;
  putBack: (line: string) => void;
  edit: (line: string, values: Record<string, string>) => void;
  add: (one: Added) => void;
  putRight: (question: string, text: string) => void;
}
