import { lazy } from 'react';
import type { Area } from '../shell/area';

export const projects: Area = {
  may: 'work',
  word: { to: '/projects', label: 'Projects' },
  onClient: [
    { pillar: 'work', Body: lazy(async () => ({ default: (await import('./ProjectsOfClient')).ProjectsOfClient })) },
  ],
  screens: [
    { path: 'projects', Screen: lazy(async () => ({ default: (await import('./ProjectsScreen')).ProjectsScreen })) },
    { path: 'projects/wall', Screen: lazy(async () => ({ default: (await import('./WallScreen')).WallScreen })) },
    {
      path: 'projects/new',
      may: 'projects.lead-any',
      Screen: lazy(async () => ({ default: (await import('./NewProjectScreen')).NewProjectScreen })),
    },
    { path: 'projects/:id', Screen: lazy(async () => ({ default: (await import('./ProjectScreen')).ProjectScreen })) },
  ],
};
