import { lazy } from 'react';
import type { Area } from '../shell/area';

export const quotes: Area = {
  may: 'quotes.see',
  word: { to: '/quotes', label: 'Quotes' },
  onClient: [
    {
      pillar: 'work',
      may: 'quotes.see',
      Body: lazy(async () => ({ default: (await import('./QuotesOf')).QuotesOfClient })),
    },
  ],
  onProject: [
    {
      pillar: 'papers',
      may: 'quotes.see',
      Body: lazy(async () => ({ default: (await import('./QuotesOf')).QuotesOfProject })),
    },
    {
      pillar: 'papers',
      may: 'quotes.see',
      Body: lazy(async () => ({ default: (await import('./AgreementsOf')).AgreementsOfProject })),
    },
  ],
  screens: [
    { path: 'quotes', Screen: lazy(async () => ({ default: (await import('./QuotesScreen')).QuotesScreen })) },
    {
      path: 'quotes/prices',
      may: 'prices.see',
      Screen: lazy(async () => ({ default: (await import('./PricesScreen')).PricesScreen })),
    },
    { path: 'quotes/:id', Screen: lazy(async () => ({ default: (await import('./QuoteScreen')).QuoteScreen })) },
  ],
};
