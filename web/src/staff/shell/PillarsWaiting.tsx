import { ComingRows, Trouble } from '../../shared/Notice';
import { Pillars } from './Pillars';

interface Props {
  title: string;
  query: { error: Error | null; refetch: () => unknown };
}

/** A screen whose data is on its way, or did not come. */
export function PillarsWaiting({ title, query: { error, refetch } }: Props) {
  return (
    <Pillars
      title={title}
      pillars={[
        {
          name: title,
          width: '1fr',
          content: error ? (
            <Trouble title="Not loaded" again={() => void refetch()}>
              {error.message}
            </Trouble>
          ) : (
            <ComingRows rows={8} />
          ),
        },
      ]}
    />
  );
}
