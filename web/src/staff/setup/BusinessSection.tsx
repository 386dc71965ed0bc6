import { FactList, type Fact } from '../shell/FactList';
import { countryNames, currencyName } from './names';
import { useBusiness, type Setup } from './queries';

type Edit = Parameters<ReturnType<typeof useBusiness>['mutateAsync']>[0];
type Field = Exclude<
  keyof Setup['business'],
  'projects' | 'logo' | 'accent' | 'replyThreshold' | 'mailServer' | 'mailsAnHour'
>;

/** What the business is called, how it is reached, and what it counts in. */
export function BusinessSection({ business }: { business: Setup['business'] }) {
  const edit = useBusiness();
  const fact = (key: Field, label: string, more: Partial<Fact<Edit>['fields'][number]> = {}, shown = business[key]) =>
    ({
      key,
      label,
      shown,
      fields: [{ key, label, value: business[key], ...more }],
      edit: (values: Record<string, string>) => ({ [key]: values[key] ?? '' }),
    }) satisfies Fact<Edit>;
  const countries = countryNames();
  return (
    <FactList
      name="setup.business"
      title="Business"
      canEdit
      saving={edit}
      save={(part) => edit.mutateAsync(part)}
      facts={[
        fact('name', 'Name'),
        fact('email', 'Email', { kind: 'email', hint: 'Mails to clients come from it, and they answer to it.' }),
        fact('phone', 'Phone', { kind: 'tel' }),
        fact('address', 'Address'),
        fact(
          'region',
          'Country',
          { options: countries, hint: 'Numbers without a country code are read as numbers from there.' },
          countries.find(({ value }) => value === business.region)?.label ?? business.region,
        ),
        fact('timeZone', 'Time zone', {
          options: Intl.supportedValuesOf('timeZone').map((zone) => ({
            value: zone,
            label: zone.replaceAll('_', ' '),
          })),
          hint: 'Hours, promises and due days count in it.',
        }),
        fact(
          'currency',
          'Currency',
          { options: Intl.supportedValuesOf('currency').map((code) => ({ value: code, label: currencyName(code) })) },
          currencyName(business.currency),
        ),
        fact('assetWord', 'You work on', {
          hint: 'In the singular: piano, garden, boiler. Client pages and plans use the word.',
        }),
        fact('vatNumber', 'VAT number', { hint: 'As it stands on your papers, with its letters.' }),
      ]}
    />
  );
}
