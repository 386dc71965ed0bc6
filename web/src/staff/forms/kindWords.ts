import { kinds, type Kind } from '../definition/design';

/** The kinds of questions by what they are about, in the order in which they are offered. */
export const kindGroups: { name: string; kinds: Kind[] }[] = [
  { name: 'Text', kinds: ['short-text', 'long-text'] },
  { name: 'Choices', kinds: ['one-of', 'any-of', 'yes-no', 'scale', 'rating', 'consent'] },
  { name: 'Who', kinds: ['person-name', 'name-parts', 'organisation', 'email', 'phone'] },
  { name: 'Where', kinds: ['address', 'address-parts'] },
  { name: 'When', kinds: ['day', 'time', 'day-time', 'day-span'] },
  { name: 'How much', kinds: ['number', 'money'] },
  { name: 'Files', kinds: ['files', 'signature'] },
  { name: 'More', kinds: ['lines', 'statement', 'section', 'hidden'] },
];

/** Everyday words for them, beside their names. */
const others: Record<Kind, string> = {
  'short-text': 'line word input single field title subject answer',
  'long-text': 'paragraph textarea message comment notes description multi essay story',
  'person-name': 'full first last forename surname who client customer contact',
  'name-parts': 'first last forename surname given family full person',
  organisation: 'company business firm school hall club charity employer',
  email: 'mail e-mail address',
  phone: 'telephone mobile cell call number',
  address: 'street place location postcode zip where',
  'address-parts': 'street town city postcode zip country location where',
  number: 'integer count quantity amount how many age digits',
  money: 'price budget cost amount euro currency sum payment',
  day: 'date calendar deadline birthday when',
  time: 'hour clock when o’clock',
  'day-time': 'date datetime appointment when',
  'day-span': 'dates range period from until weeks holiday when',
  'one-of': 'choice choose select dropdown list radio options single pick',
  'any-of': 'choices choose select multiple checkbox checkboxes tick options pick',
  'yes-no': 'boolean choice true false switch toggle',
  scale: 'nps recommend score slider likert 0-10',
  rating: 'stars score satisfaction review likert',
  files: 'photo photograph picture image upload attachment document pdf file',
  signature: 'sign sign-off autograph drawn',
  consent: 'agree terms privacy gdpr permission checkbox tick accept',
  lines: 'table rows list repeat several grid items',
  statement: 'text information note paragraph picture instructions html',
  section: 'heading title header divider part',
  hidden: 'parameter campaign utm source url',
};

/** Kinds whose name, or an everyday word for them, has a word that begins with these letters; a name counts for more. */
export function kindsLike(letters: string): Kind[] {
  const wanted = letters.trim().toLowerCase();
  const all = kindGroups.flatMap((group) => group.kinds);
  if (wanted === '') return all;
  const begins = (text: string) => ` ${text.toLowerCase()}`.includes(` ${wanted}`);
  const named = all.filter((kind) => begins(kinds[kind].replaceAll('-', ' ')) || begins(kind.replaceAll('-', ' ')));
  return [...named, ...all.filter((kind) => !named.includes(kind) && begins(others[kind]))];
}
