import { Link } from 'react-router';
import type { Schema } from '../../shared/api';

const paths: Partial<Record<Schema<'RecordRef'>['kind'], string>> = {
  client: 'clients',
  project: 'projects',
  message: 'messages',
  submission: 'arrivals',
};

/** A record's name, linked where it has a screen of its own. */
export function RecordLink({ record, children }: { record: Schema<'RecordRef'>; children?: React.ReactNode }) {
  if (record.kind === 'file') return <a href={`/api/files/${record.id}`}>{children ?? record.label}</a>;
  const path = paths[record.kind];
  return path ? <Link to={`/${path}/${record.id}`}>{children ?? record.label}</Link> : <>{children ?? record.label}</>;
}
