import { lazy, Suspense } from 'react';
// The office fetches these where they are wanted; whoever fills a form in must not wait for them, nor lose them on a bad line.
import '../form/FilesField';
import '../form/LinesField';
import '../form/SignatureField';
import { show } from '../shared/Frame';
import { ComingRows } from '../shared/Notice';
import { FormApp } from './FormApp';

// Whoever fills a form in does not wait for what shows times.
const BookApp = lazy(async () => ({ default: (await import('./booking/BookApp')).BookApp }));
const QuoteApp = lazy(async () => ({ default: (await import('./quote/QuoteApp')).QuoteApp }));
const AgreementApp = lazy(async () => ({ default: (await import('./quote/AgreementApp')).AgreementApp }));
const VisitApp = lazy(async () => ({ default: (await import('./booking/VisitApp')).VisitApp }));

const [, kind, name = ''] = window.location.pathname.split('/').map(decodeURIComponent);
show(
  <Suspense fallback={<ComingRows rows={5} />}>
    {kind === 'visit' ? (
      <VisitApp token={name} />
    ) : kind === 'agreement' ? (
      <AgreementApp token={name} />
    ) : kind === 'quote' ? (
      <QuoteApp token={name} />
    ) : kind === 'book' ? (
      <BookApp slug={name} />
    ) : (
      <FormApp slug={name} />
    )}
  </Suspense>,
);
