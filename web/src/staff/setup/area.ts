import { lazy } from 'react';
import type { Area } from '../shell/area';

export const setup: Area = {
  may: 'setup.change',
  screens: [{ path: 'setup', Screen: lazy(async () => ({ default: (await import('./SetupScreen')).SetupScreen })) }],
};
