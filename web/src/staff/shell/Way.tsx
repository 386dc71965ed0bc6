import { useNavigate } from 'react-router';
import { useKey, type KeyName } from '../keys';

/** The key that leads to an area; shows nothing. */
export function Way({ to, name }: { to: string; name: KeyName }) {
  const navigate = useNavigate();
  useKey(name, () => void navigate(to));
  return null;
}
