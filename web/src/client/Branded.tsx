import { ThemeProvider } from '@mui/material/styles';
import { useEffect, useMemo, type ReactNode } from 'react';
import type { Schema } from '../shared/api';
import { branded, brandVariables } from './brand';
import { isEmbedded } from './whereFrom';

/** What every public page stands in: the colour of the business, its name or logo, hours and phone above. */
export function Branded({
  business,
  className,
  children,
}: {
  business: Schema<'PublicFace'>;
  className: string;
  children: ReactNode;
}) {
  const { accent } = business;
  useEffect(() => {
    // On the root, so that what opens above the page has it too.
    const { style } = document.documentElement;
    const variables = Object.entries(brandVariables(accent));
    for (const [name, value] of variables) style.setProperty(name, value);
    return () => {
      for (const [name] of variables) style.removeProperty(name);
    };
  }, [accent]);
  return (
    <ThemeProvider theme={useMemo(() => branded(accent), [accent])}>
      <div className={isEmbedded() ? `${className} embedded` : className}>
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
