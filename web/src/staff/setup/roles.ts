import type { SetupStaff } from './queries';

export const roleWords: Record<SetupStaff['role'], string> = {
  owner: 'owner',
  coordinator: 'coordinator',
  field: 'field staff',
};

export const roleHints: Record<SetupStaff['role'], string> = {
  owner: 'owner: everything, and who is an owner',
  coordinator: 'coordinator: everything but who is an owner',
  field: 'field staff: the projects they work on, and those clients',
};
