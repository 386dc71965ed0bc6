import { lazy } from 'react';
import type { Area } from '../shell/area';

export const forms: Area = {
  may: 'forms.design',
  word: { to: '/forms', label: 'Forms' },
  screens: [
    {
      path: 'forms/:id/submissions',
      may: 'arrivals.decide',
      Screen: lazy(async () => ({ default: (await import('./FormTableScreen')).FormTableScreen })),
    },
    { path: 'forms/:id?', Screen: lazy(async () => ({ default: (await import('./FormsScreen')).FormsScreen })) },
  ],
};
