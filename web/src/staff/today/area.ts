import { lazy } from 'react';
import type { Area } from '../shell/area';

export const today: Area = {
  may: 'work',
  word: { to: '/today', label: 'Today' },
  screens: [{ path: 'today', Screen: lazy(async () => ({ default: (await import('./TodayScreen')).TodayScreen })) }],
};
