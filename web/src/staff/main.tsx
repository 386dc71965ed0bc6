import '@fontsource-variable/literata/wght-italic.css';
import { show } from '../shared/Frame';
import { App } from './App';

show(<App />);
