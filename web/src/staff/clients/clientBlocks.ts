import { useNavigate } from 'react-router';
import type { Schema } from '../../shared/api';
import { useSignedIn } from '../session';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { useArchive, useDeleteClient } from './queries';

/** What can be done with a client as a whole. Deleting is refused, in words, where something hangs on them. */
export function useClientBlocks(client: Schema<'Client'>): PlinthBlock[] {
  const { user } = useSignedIn();
  const archive = useArchive();
  const remove = useDeleteClient();
  const toast = useToast();
  const navigate = useNavigate();
  const print = { label: 'Print', act: () => window.print() };
  if (!user.may.includes('clients.edit') || client.mergedInto !== null) return [print];
  const failed = (error: Error) => toast({ words: error.message });
  const archived = client.archivedOn === null;
  return [
    {
      label: archived ? 'Archive' : 'Bring back',
      disabled: archive.isPending,
      act: () =>
        archive.mutate(
          { id: client.id, version: client.version, archived },
          {
            onSuccess: () => toast({ words: `${client.name} is ${archived ? 'archived' : 'back'}. U takes it back.` }),
            onError: failed,
          },
        ),
    },
    {
      label: 'Delete',
      disabled: remove.isPending,
      act: () =>
        remove.mutate(client, {
          onSuccess: () => {
            toast({ words: `${client.name} deleted. U takes it back.` });
            void navigate('/clients');
          },
          onError: failed,
        }),
    },
    print,
  ];
}
