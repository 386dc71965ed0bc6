import type { TemplateRow } from './queries';

/** What templates are for, in the order of the list. */
export const groups: [TemplateRow['purpose'], string][] = [
  ['client', 'To clients'],
  ['visit', 'About visits'],
  ['quote', 'About quotes'],
  ['agreement', 'Agreements'],
  ['copy', 'About forms'],
  ['staff', 'To staff'],
];
