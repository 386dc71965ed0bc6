import { lazy } from 'react';
import type { Area } from '../shell/area';

export const rules: Area = {
  may: 'rules.keep',
  word: { to: '/rules', label: 'Rules' },
  screens: [
    {
      path: 'checklists/:id?',
      Screen: lazy(async () => ({ default: (await import('./checklists/ChecklistsScreen')).ChecklistsScreen })),
    },
    { path: 'rules/:id?', Screen: lazy(async () => ({ default: (await import('./RulesScreen')).RulesScreen })) },
  ],
};
