// The office fetches these where they are wanted; whoever fills a form in must not wait for them, nor lose them on a bad line.
import '../form/FilesField';
import '../form/LinesField';
import '../form/SignatureField';
import { show } from '../shared/Frame';
import { BookApp } from './booking/BookApp';
import { VisitApp } from './booking/VisitApp';
import { FormApp } from './FormApp';

const [, kind, name = ''] = window.location.pathname.split('/').map(decodeURIComponent);
show(
  kind === 'visit' ? <VisitApp token={name} /> : kind === 'book' ? <BookApp slug={name} /> : <FormApp slug={name} />,
);
