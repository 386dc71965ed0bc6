import { ThemeProvider } from '@mui/material/styles';
import { useEffect, useMemo, type ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import { branded, brandVariables } from '../brand';
import { isEmbedded } from '../whereFrom';
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
  const { accent } = business;
  useEffect(() => {
    document.title = `${title} · ${business.name}`;
    const { style } = document.documentElement;
    const variables = Object.entries(brandVariables(accent));
    for (const [name, value] of variables) style.setProperty(name, value);
    return () => {
      for (const [name] of variables) style.removeProperty(name);
    };
  }, [accent, title, business.name]);
  return (
    <ThemeProvider theme={useMemo(() => branded(accent), [accent])}>
      <div className={isEmbedded() ? 'public booking embedded' : 'public booking'}>
        <header className="public-head">
          <p className="public-name serif">
            {business.logo ? <img src={business.logo} alt={business.name} /> : business.name}
          </p>
          <p>
            <span>{business.hours}</span> {business.phone && <a href={`tel:${business.phone}`}>{business.phoneText}</a>}
          </p>
        </header>
        {children}
      </div>
    </ThemeProvider>
  );
}
