import '@fontsource-variable/literata/wght-italic.css';
import { show } from '../shared/Frame';
import { App } from './App';

// Styles come all at once: they are few, and a screen never stands unstyled while its own are on the way.
import.meta.glob('./*/*.css', { eager: true });

show(<App />);
