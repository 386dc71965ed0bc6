import { expect, it } from 'vitest';
import { firstName } from './firstName';

it('is the first of their names, unless that is none', () => {
  expect(
    ['Nessa Quarle', 'Sorcha', '  Pim   Tarrow ', 'The Owner', 'Dr. Vell', 'Thea Owens', 'The', ''].map(firstName),
  ).toEqual(['Nessa', 'Sorcha', 'Pim', 'The Owner', 'Dr. Vell', 'Thea', 'The', '']);
});
