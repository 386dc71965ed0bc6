import { kinds } from '../../form/kinds';
import type { Group } from '../../form/kinds/kind';
import type { Kind } from '../definition/design';

const order: Group[] = ['Text', 'Choices', 'Who', 'Where', 'When', 'How much', 'Files', 'More'];

/** The kinds of questions by what they are about, in the order in which they are offered. */
export const kindGroups: { name: Group; kinds: Kind[] }[] = order.map((name) => ({
  name,
  kinds: (Object.keys(kinds) as Kind[]).filter((kind) => kinds[kind].designed.group === name),
}));

/** Kinds whose name, or an everyday word for them, has a word that begins with these letters; a name counts for more. */
export function kindsLike(letters: string): Kind[] {
  const wanted = letters.trim().toLowerCase();
  const all = kindGroups.flatMap((group) => group.kinds);
  if (wanted === '') return all;
  const begins = (text: string) => ` ${text.toLowerCase()}`.includes(` ${wanted}`);
  const words = (kind: Kind) => kinds[kind].designed.words;
  const named = all.filter((kind) => begins(words(kind).replaceAll('-', ' ')) || begins(kind.replaceAll('-', ' ')));
  return [...named, ...all.filter((kind) => !named.includes(kind) && begins(kinds[kind].designed.also))];
}
