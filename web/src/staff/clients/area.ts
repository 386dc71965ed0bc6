import { lazy } from 'react';
import type { Area } from '../shell/area';

export const clients: Area = {
  may: 'work',
  word: { to: '/clients', label: 'Clients' },
  screens: [
    { path: 'clients', Screen: lazy(async () => ({ default: (await import('./ClientsScreen')).ClientsScreen })) },
    {
      path: 'clients/import',
      may: 'clients.import',
      Screen: lazy(async () => ({ default: (await import('./ImportScreen')).ImportScreen })),
    },
    {
      path: 'clients/duplicates',
      may: 'clients.merge',
      Screen: lazy(async () => ({ default: (await import('./DuplicatesScreen')).DuplicatesScreen })),
    },
    {
      path: 'clients/new',
      may: 'clients.edit',
      Screen: lazy(async () => ({ default: (await import('./NewClientScreen')).NewClientScreen })),
    },
    { path: 'clients/:id', Screen: lazy(async () => ({ default: (await import('./ClientScreen')).ClientScreen })) },
  ],
};
