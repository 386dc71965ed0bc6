import { Link, useParams } from 'react-router';
import { ProblemError, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { moment } from '../../shared/words';
import { useSignedIn } from '../session';
import { Mark } from '../../shared/Mark';
import { Journal } from '../shell/Journal';
import { Pillars } from '../shell/Pillars';
import { Sections } from '../shell/Sections';
import { NotFound } from '../shell/Plain';
import { Assets } from './Assets';
import { useClientBlocks } from './clientBlocks';
import './client.css';
import { Consents } from './Consents';
import { Facts } from './Facts';
import { useClient } from './queries';

export function ClientScreen() {
  const { id = '' } = useParams();
  const client = useClient(id);
  if (client.error instanceof ProblemError && client.error.status === 404) return <NotFound what="client" />;
  if (!client.data) {
    return (
      <Pillars
        title="Client"
        pillars={[
          {
            name: 'Client',
            width: '1fr',
            content: client.error ? (
              <>
                <h1 className="unseen">Client</h1>
                <Trouble title="Not loaded" again={() => void client.refetch()}>
                  {client.error.message}
                </Trouble>
              </>
            ) : (
              <ComingRows rows={10} />
            ),
          },
        ]}
      />
    );
  }
  return <ClientPage client={client.data} />;
}

function ClientPage({ client }: { client: Schema<'Client'> }) {
  const { business } = useSignedIn();
  const clientBlocks = useClientBlocks(client);
  return (
    <Pillars
      title={client.name}
      head={
        <div className="record-head">
          <Link to="/clients">All clients</Link>
          <h1>{client.name}</h1>
          {client.mergedInto && (
            <p>
              one client with <Link to={`/clients/${client.mergedInto.id}`}>{client.mergedInto.label}</Link>, where all
              is kept now
            </p>
          )}
          {client.archivedOn && (
            <p>
              <Mark kind="stopped">archived</Mark>
            </p>
          )}
          <p>
            client since <b>{moment(client.since).toFormat('LLLL yyyy')}</b>,{' '}
            {count(client.assets.length, business.assetWord)}
          </p>
        </div>
      }
      pillars={[
        {
          name: 'Facts',
          width: '340px',
          middling: '300px',
          content: (
            <>
              <Facts key={client.id} client={client} />
              <Sections of="onClient" pillar="facts" id={client.id} name={client.name} />
            </>
          ),
        },
        {
          name: 'Work',
          width: '372px',
          middling: '1fr',
          content: (
            <>
              <Assets key={client.id} client={client} />
              <Sections of="onClient" pillar="work" id={client.id} name={client.name} />
              <Consents key={`consents.${client.id}`} client={client} />
            </>
          ),
          blocks: clientBlocks,
        },
        {
          name: 'Story',
          width: '1fr',
          content: (
            <>
              <Sections of="onClient" pillar="story" id={client.id} name={client.name} />
              <Journal record={client.id} />
            </>
          ),
        },
      ]}
    />
  );
}
