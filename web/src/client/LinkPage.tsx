import { ProblemError } from '../shared/api';
import { ComingRows, Trouble } from '../shared/Notice';

interface Props {
  query: { error: Error | null; refetch: () => unknown };
  /** What could not be loaded, as a head. */
  failed: string;
}

/** In the place of what a link leads to: on its way, not to be had, or there is nothing. */
export function LinkPage({ query: { error, refetch }, failed }: Props) {
  const missing = error instanceof ProblemError && error.status === 404;
  const gone = error instanceof ProblemError && error.status === 410;
  return (
    <main className="public-plain">
      {error ? (
        <>
          <h1>{missing ? 'This link leads nowhere' : gone ? 'No longer good' : failed}</h1>
          <Trouble
            title={missing ? 'Not found' : gone ? 'It is over' : 'Not loaded'}
            {...(missing || gone ? {} : { again: () => void refetch() })}
          >
            {error.message}
          </Trouble>
        </>
      ) : (
        <ComingRows rows={5} />
      )}
    </main>
  );
}
