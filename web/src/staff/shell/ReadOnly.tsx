import type { ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import { useSignedIn } from '../session';
import './readOnly.css';

/** Whether whoever is signed in may do it; the server asks the same again. */
export function useMay(permission: Schema<'Permission'>): boolean {
  return useSignedIn().user.may.includes(permission);
}

/** Fields that whoever may not change them reads and cannot type into. */
export function ReadOnly({ unless, children }: { unless: Schema<'Permission'>; children: ReactNode }) {
  return (
    <fieldset className="read-only" disabled={!useMay(unless)}>
      {children}
    </fieldset>
  );
}
