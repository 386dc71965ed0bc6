const names = (type: 'region' | 'currency') => new Intl.DisplayNames('en-GB', { type });

/** Every country by its name (ISO 3166-1, as the browser knows them). */
export function countryNames(): { value: string; label: string }[] {
  const region = names('region');
  const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(65 + i));
  return letters
    .flatMap((one) => letters.map((two) => one + two))
    .map((code) => ({ value: code, label: region.of(code) ?? code }))
    .filter(({ value, label }) => label !== value && !/^(EU|EZ|UN|ZZ|XA|XB|QO|AC|CP|CQ|DG|EA|IC|TA)$/.test(value))
    .sort((a, b) => a.label.localeCompare(b.label, 'en'));
}

export function currencyName(code: string): string {
  const name = names('currency').of(code);
  return name && name !== code ? `${name} (${code})` : code;
}
