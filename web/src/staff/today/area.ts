import { lazy } from 'react';
import type { Area } from '../shell/area';

export const today: Area = {
  may: 'work',
  word: { to: '/today', label: 'Today' },
  screens: [{ path: 'today', Screen: lazy(async () => ({ default: (await import('./TodayScreen')).TodayScreen })) }],
};

/** One's own tasks: a word of the lintel for those who have no office to keep. */
export const tasks: Area = {
  may: 'work',
  word: { to: '/tasks', label: 'My tasks', unless: 'records.see-all' },
  screens: [
    { path: 'tasks', Screen: lazy(async () => ({ default: (await import('./MyTasksScreen')).MyTasksScreen })) },
  ],
};
