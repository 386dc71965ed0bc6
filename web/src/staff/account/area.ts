import { lazy } from 'react';
import type { Area } from '../shell/area';

export const account: Area = {
  may: 'work',
  screens: [
    { path: 'account', Screen: lazy(async () => ({ default: (await import('./AccountScreen')).AccountScreen })) },
  ],
};
