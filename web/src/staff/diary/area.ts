import { lazy } from 'react';
import type { Area } from '../shell/area';

const screen = lazy(async () => ({ default: (await import('./DiaryScreen')).DiaryScreen }));

export const diary: Area = {
  may: 'work',
  word: { to: '/diary', label: 'Diary' },
  onClient: [{ pillar: 'work', Body: lazy(async () => ({ default: (await import('./VisitsOf')).VisitsOfClient })) }],
  onProject: [
    { pillar: 'papers', Body: lazy(async () => ({ default: (await import('./VisitsOf')).VisitsOfProject })) },
  ],
  screens: [
    {
      path: 'diary/kinds',
      may: 'diary.keep',
      Screen: lazy(async () => ({ default: (await import('./KindsScreen')).KindsScreen })),
    },
    { path: 'diary/:id?', Screen: screen },
  ],
};
