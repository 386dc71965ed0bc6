import { lazy } from 'react';
import type { Area } from '../shell/area';

const MessagesScreen = lazy(async () => ({ default: (await import('./MessagesScreen')).MessagesScreen }));

export const messages: Area = {
  may: 'messages.see',
  word: { to: '/messages', label: 'Messages' },
  onClient: [
    {
      pillar: 'story',
      may: 'messages.see',
      Body: lazy(async () => ({ default: (await import('./MessagesOf')).MessagesOfClient })),
    },
    {
      pillar: 'story',
      may: 'messages.write',
      Body: lazy(async () => ({ default: (await import('./followups/FollowUpsOf')).FollowUpsOfClient })),
    },
  ],
  onProject: [
    {
      pillar: 'papers',
      may: 'messages.see',
      Body: lazy(async () => ({ default: (await import('./MessagesOf')).MessagesOfProject })),
    },
  ],
  screens: [
    {
      path: 'messages/templates/:id?',
      Screen: lazy(async () => ({ default: (await import('./templates/TemplatesScreen')).TemplatesScreen })),
    },
    {
      path: 'messages/follow-ups/:id?',
      Screen: lazy(async () => ({ default: (await import('./followups/FollowUpsScreen')).FollowUpsScreen })),
    },
    {
      path: 'messages/write',
      may: 'messages.write',
      Screen: lazy(async () => ({ default: (await import('./WriteScreen')).WriteScreen })),
    },
    {
      path: 'messages/in/:reply',
      Screen: MessagesScreen,
    },
    {
      path: 'messages/:id?',
      Screen: MessagesScreen,
    },
  ],
};

/** The notice board is for everybody; whoever has Messages finds it there. */
export const board: Area = {
  may: 'work',
  word: { to: '/messages/notices', label: 'Notices', unless: 'messages.see' },
  screens: [
    {
      path: 'messages/notices/:id?',
      Screen: lazy(async () => ({ default: (await import('./notices/NoticesScreen')).NoticesScreen })),
    },
  ],
};
