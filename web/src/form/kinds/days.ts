/** How conditions ask about days. */
export const asDay = ['before', 'after', 'within-days', 'between', 'is-blank'];
