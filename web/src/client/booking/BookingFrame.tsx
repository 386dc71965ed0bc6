import { useEffect, type ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import { Branded } from '../Branded';
import './booking.css';

/** What pages of times stand in: the business above, and one sheet. */
export function BookingFrame({
  business,
  title,
  children,
}: {
  business: Schema<'PublicFace'>;
  title: string;
  children: ReactNode;
}) {
  useEffect(() => {
    document.title = `${title} · ${business.name}`;
  }, [title, business.name]);
  return (
    <Branded business={business} className="public booking">
      {children}
    </Branded>
  );
}
