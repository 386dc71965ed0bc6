import { lazy } from 'react';
import type { Area } from '../shell/area';

export const messages: Area = {
  may: 'messages.see',
  word: { to: '/messages', label: 'Messages', key: 'goMessages' },
  screens: [
    {
      path: 'messages/:id?',
      Screen: lazy(async () => ({ default: (await import('./MessagesScreen')).MessagesScreen })),
    },
  ],
};
