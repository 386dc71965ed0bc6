import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { PutRight } from './PutRight';

const offers = [
  { value: 'am', label: 'Mornings' },
  { value: 'pm', label: 'Afternoons' },
];
type How = Parameters<typeof PutRight>[0]['answer']['right'];
const put = (right: How, was = '') => {
  const save = vi.fn();
  render(
    <PutRight
      name={`t${Math.random()}`}
      answer={{ key: 'q', number: 1, wording: 'When?', type: 'any-of', text: '', files: [], right }}
      right={was}
      onSave={save}
    />,
  );
  return save;
};
const begin = () => fireEvent.click(screen.getByRole('button', { name: 'put right: When?' }));
const use = () => fireEvent.click(screen.getByText('Use this'));

describe('an answer put right', () => {
  afterEach(() => cleanup());

  it('offers the choices that the form offered', () => {
    const save = put({ given: 'am', offers, several: false, parts: [] });
    begin();
    fireEvent.change(screen.getByLabelText('put right: When?'), { target: { value: 'pm' } });
    use();
    expect(save).toHaveBeenCalledWith('q', 'pm');
  });

  it('takes several of them, in the order of the form', () => {
    const save = put({ given: 'pm', offers, several: true, parts: [] });
    begin();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Mornings' }));
    use();
    expect(save).toHaveBeenCalledWith('q', 'am\npm');
  });

  it('takes parts one by one, an empty one too', () => {
    const save = put({ given: 'Orla\nFenick', offers: [], several: false, parts: ['Given name', 'Family name'] });
    begin();
    fireEvent.change(screen.getByLabelText('put right: When?, Given name'), { target: { value: '' } });
    fireEvent.change(screen.getByLabelText('put right: When?, Family name'), { target: { value: 'Fennick' } });
    use();
    expect(save).toHaveBeenCalledWith('q', '\nFennick');
  });

  it('tells choices by what they are called, and goes back', () => {
    const save = put({ given: 'am', offers, several: false, parts: [] }, 'pm');
    expect(screen.getByText('Afternoons')).toBeTruthy();
    fireEvent.click(screen.getByText('as it was'));
    expect(save).toHaveBeenCalledWith('q', '');
  });

  it('is not offered for what cannot be written', () => {
    put(null);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
