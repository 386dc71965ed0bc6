// The office fetches these where they are wanted; whoever fills a form in must not wait for them, nor lose them on a bad line.
import '../form/FilesField';
import '../form/LinesField';
import '../form/SignatureField';
import { show } from '../shared/Frame';
import { FormApp } from './FormApp';

show(<FormApp slug={decodeURIComponent(window.location.pathname.split('/')[2] ?? '')} />);
