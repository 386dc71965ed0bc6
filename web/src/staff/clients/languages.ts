const names = new Intl.DisplayNames('en-GB', { type: 'language' });

/** Those that clients of a business here may read, as tags (BCP 47). */
export const languages = [
  'en',
  'ga',
  'cy',
  'fr',
  'de',
  'es',
  'it',
  'pt',
  'nl',
  'pl',
  'lt',
  'lv',
  'ro',
  'uk',
  'ru',
  'ar',
  'tr',
  'zh',
  'hi',
  'ur',
];

export function languageName(tag: string): string {
  return tag === '' ? '' : (names.of(tag) ?? tag);
}
