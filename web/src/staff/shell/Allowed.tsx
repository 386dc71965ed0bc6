import type { ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import { useSignedIn } from '../session';

/** Shown to those who may do it; the server asks the same again. */
export function Allowed({ to, children }: { to: Schema<'Permission'>; children: ReactNode }) {
  return useSignedIn().user.may.includes(to) ? children : null;
}
