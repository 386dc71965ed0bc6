import { lazy } from 'react';
import type { Area } from '../shell/area';

/** Files have no screen of their own: they stand with clients and projects. */
export const files: Area = {
  may: 'work',
  onClient: [{ pillar: 'facts', Body: lazy(async () => ({ default: (await import('./FilesOf')).FilesOfClient })) }],
  onProject: [{ pillar: 'papers', Body: lazy(async () => ({ default: (await import('./FilesOf')).FilesOfProject })) }],
  screens: [],
};
