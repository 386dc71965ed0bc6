import { createContext } from 'react';
import type { Schema } from '../../../shared/api';

export type MergeField = Schema<'MergeField'>;

/** What a text may name, and which of it nothing fills in the example. */
export const Fields = createContext<{ fields: MergeField[]; gaps: string[]; values: Record<string, string> }>({
  fields: [],
  gaps: [],
  values: {},
});

/** What people call a field; its name where it is not known here any more. */
export function labelOf(fields: MergeField[], name: string): string {
  return fields.find((one) => one.name === name)?.label ?? name;
}
