import { Link } from 'react-router';

/** On a client's page: they ring, and what is on file is in the form already. */
export function BeginForClient({ id, name }: { id: string; name: string }) {
  return (
    <p className="begin-inquiry">
      <Link to={`/inquiry?client=${id}`}>Write down an inquiry from {name}</Link>
    </p>
  );
}
