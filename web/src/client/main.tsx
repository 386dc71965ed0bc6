import { show } from '../shared/Frame';
import { FormApp } from './FormApp';

show(<FormApp slug={decodeURIComponent(window.location.pathname.split('/')[2] ?? '')} />);
