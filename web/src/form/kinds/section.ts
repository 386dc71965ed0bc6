import { telling } from './telling';

export const section = telling({ words: 'a heading', also: 'heading title header divider part' });
