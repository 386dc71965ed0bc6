import { inParts } from './inParts';

export const addressParts = inParts({
  designed: {
    words: 'address in parts',
    group: 'Where',
    also: 'street town city postcode zip country location where',
  },
  parts: [
    { name: 'line', label: 'Street and number', input: { autoComplete: 'address-line1' }, wide: true, needed: true },
    { name: 'locality', label: 'Town', input: { autoComplete: 'address-level2' }, needed: true },
    { name: 'postalCode', label: 'Postal code', input: { autoComplete: 'postal-code' } },
    { name: 'country', label: 'Country, if another', input: { autoComplete: 'country-name' } },
  ],
});
