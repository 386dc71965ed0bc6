import { lazy } from 'react';
import type { Area } from '../shell/area';

export const inquiry: Area = {
  may: 'arrivals.decide',
  way: { to: '/inquiry', key: 'inquiry' },
  onClient: [
    {
      pillar: 'work',
      may: 'arrivals.decide',
      Body: lazy(async () => ({ default: (await import('./BeginForClient')).BeginForClient })),
    },
  ],
  screens: [
    { path: 'inquiry', Screen: lazy(async () => ({ default: (await import('./InquiryScreen')).InquiryScreen })) },
  ],
};
