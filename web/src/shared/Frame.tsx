import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/literata/wght.css';
import './base.css';
import { theme } from './theme';
import { tokens } from './tokens';
import { worthRetrying } from './api';

function cssName(name: string): string {
  return `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;
}

/** Puts an interface into the page: colours as CSS variables, theme, and the cache of what the server said. */
export function show(app: ReactNode): void {
  for (const [name, value] of Object.entries(tokens)) {
    document.documentElement.style.setProperty(cssName(name), value);
  }
  const nonce = document.querySelector('meta[name="style-nonce"]')?.getAttribute('content') ?? '';
  const styles = createCache({ key: 't', nonce, prepend: true });
  const queries = new QueryClient({
    defaultOptions: {
      // Without a connection a call fails and says so; it does not wait unseen.
      queries: { retry: worthRetrying, staleTime: 2000, refetchOnWindowFocus: true, networkMode: 'always' },
      mutations: { networkMode: 'always' },
    },
  });
  const root = document.getElementById('root');
  if (!root) throw new Error('the page has no root');
  createRoot(root).render(
    <StrictMode>
      <CacheProvider value={styles}>
        <ThemeProvider theme={theme}>
          <QueryClientProvider client={queries}>{app}</QueryClientProvider>
        </ThemeProvider>
      </CacheProvider>
    </StrictMode>,
  );
}
