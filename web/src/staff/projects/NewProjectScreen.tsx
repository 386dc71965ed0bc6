import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { newKey } from '../../shared/newKey';
import { ClientFinder } from '../people/ClientFinder';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { FactRow } from '../shell/FactRow';
import { Pillars } from '../shell/Pillars';
import { useToast } from '../shell/Toast';
import { useOpenProject } from './queries';
import { useClient } from '../shell/asked';

/** A project that no inquiry opened: for whom, what, and by when. */
export function NewProjectScreen() {
  const [search, setSearch] = useSearchParams();
  const { business } = useSignedIn();
  const id = search.get('client') ?? '';
  const client = useClient(id);
  const offers = useOffers().data;
  const open = useOpenProject();
  const [key] = useState(newKey);
  const toast = useToast();
  const navigate = useNavigate();
  const assets = client.data?.assets ?? [];
  const any = (label: string, list: { value: string; label: string }[]) => [{ value: '', label }, ...list];
  return (
    <Pillars
      title="New project"
      pillars={[
        {
          name: 'New project',
          width: '420px',
          content: (
            <>
              <div className="pillar-head">
                <h1>New project</h1>
              </div>
              {client.data ? (
                <p className="line-top">
                  <span>
                    for <Link to={`/clients/${id}`}>{client.data.name}</Link>
                  </span>
                  <button type="button" className="link-button" onClick={() => setSearch({}, { replace: true })}>
                    Somebody else
                  </button>
                </p>
              ) : (
                <ClientFinder
                  label="For whom"
                  autoFocus
                  onChoose={(chosen) => setSearch({ client: chosen.id }, { replace: true })}
                />
              )}
              {client.data && (
                <dl className="facts">
                  <FactRow
                    key={id}
                    name={`project.new.${id}`}
                    label="New project"
                    shown=""
                    open
                    canEdit
                    saveWord="Open it"
                    onOpen={() => undefined}
                    busy={open.isPending}
                    error={open.error}
                    fields={[
                      {
                        key: 'service',
                        label: 'Service',
                        value: '',
                        options: any('none in particular', offers?.services ?? []),
                        hint: 'Says who leads it and which tasks it comes with.',
                      },
                      { key: 'title', label: 'Title', value: '', hint: 'Called as the service where it is empty.' },
                      ...(assets.length > 0
                        ? [
                            {
                              key: 'asset',
                              label: `Which ${business.assetWord}`,
                              value: '',
                              options: any(
                                'none in particular',
                                assets.map((asset) => ({ value: asset.id, label: asset.description })),
                              ),
                            },
                          ]
                        : []),
                      { key: 'readyBy', label: 'Ready by', value: '', kind: 'date' },
                      {
                        key: 'lead',
                        label: 'Led by',
                        value: '',
                        options: any('whoever leads the service', offers?.staff ?? []),
                      },
                      {
                        key: 'source',
                        label: 'Comes from',
                        value: '',
                        options: any(
                          'not known',
                          (offers?.sources ?? []).map((one) => ({ value: one, label: one })),
                        ),
                      },
                      { key: 'notes', label: 'Notes', value: '', kind: 'long' },
                    ]}
                    onSave={async (values) => {
                      const project = await open.mutateAsync({ key, body: { client: id, ...values } });
                      toast({ words: `${project.number} is open. U takes it back.` });
                      void navigate(`/projects/${project.id}`);
                    }}
                  />
                </dl>
              )}
            </>
          ),
        },
      ]}
    />
  );
}
