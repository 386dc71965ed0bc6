import { lazy } from 'react';
import type { Area } from '../shell/area';

export const arrivals: Area = {
  may: 'arrivals.decide',
  word: { to: '/arrivals', label: 'Arrivals' },
  onClient: [
    {
      pillar: 'facts',
      may: 'arrivals.decide',
      Body: lazy(async () => ({ default: (await import('./WroteToUs')).WroteToUs })),
    },
  ],
  screens: [
    {
      path: 'arrivals/:id?',
      Screen: lazy(async () => ({ default: (await import('./ArrivalsScreen')).ArrivalsScreen })),
    },
  ],
};
