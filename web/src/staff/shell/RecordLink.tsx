import { Link } from 'react-router';
import type { Schema } from '../../shared/api';

/** A record's name, linked to where it is shown: itself, or as part of another. A file is fetched. */
export function RecordLink({ record, children }: { record: Schema<'RecordRef'>; children?: React.ReactNode }) {
  const words = children ?? record.label;
  if (record.path === null) return <>{words}</>;
  return record.path.startsWith('/api/') ? <a href={record.path}>{words}</a> : <Link to={record.path}>{words}</Link>;
}
