import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { complete, type DraftQuestion } from '../definition/design';
import { OffersEditor } from './OffersEditor';
import { canCount, PointsEditor } from './PointsEditor';

function edit(question: DraftQuestion, Editor: typeof PointsEditor | typeof OffersEditor): { now: DraftQuestion } {
  const seen = { now: question };
  function Editing() {
    const [one, setOne] = useState(question);
    return (
      <Editor
        definition={complete({})}
        question={one}
        onChange={(part) => {
          seen.now = { ...one, ...part };
          setOne(seen.now);
        }}
      />
    );
  }
  render(<Editing />);
  return seen;
}

const offered: DraftQuestion = {
  key: 'service',
  type: 'one-of',
  wording: 'What?',
  options: [
    { value: 'repair', label: 'Repair it' },
    { value: 'tune', label: 'Tune it' },
  ],
};

describe('What answers count', () => {
  afterEach(cleanup);

  it('gives points to each choice', () => {
    const seen = edit(offered, PointsEditor);
    fireEvent.change(screen.getByLabelText('Counts for'), { target: { value: 'need' } });
    fireEvent.change(screen.getByLabelText('Points for Repair it'), { target: { value: '3' } });
    fireEvent.change(screen.getByLabelText('Points for Tune it'), { target: { value: '500' } });
    expect(seen.now.points?.part).toBe('need');
    expect(seen.now.points?.steps).toEqual([
      { at: 'repair', points: 3 },
      { at: 'tune', points: 100 },
    ]);
    fireEvent.change(screen.getByLabelText('Counts for'), { target: { value: '' } });
    expect(seen.now.points).toBeUndefined();
  });

  it('gives points by steps of an amount, or within days', () => {
    const seen = edit({ key: 'budget', type: 'money', wording: 'Budget?' }, PointsEditor);
    fireEvent.change(screen.getByLabelText('Counts for'), { target: { value: 'budget' } });
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '500' } });
    fireEvent.click(screen.getByText('add a step'));
    fireEvent.change(screen.getAllByLabelText('Points')[1] as HTMLElement, { target: { value: '4' } });
    expect(seen.now.points?.steps).toEqual([
      { at: '500', points: 1 },
      { at: '', points: 4 },
    ]);
    fireEvent.click(screen.getAllByText('remove')[1] as HTMLElement);
    expect(seen.now.points?.steps).toHaveLength(1);
    expect([canCount('day'), canCount('email')]).toEqual([true, false]);
  });

  it('offers the services where the answer says which one, each under its own key', () => {
    const services = [
      { value: 'tuning', label: 'Tuning' },
      { value: 'repair', label: 'Repair' },
    ];
    const Editor = (props: Parameters<typeof OffersEditor>[0]) => <OffersEditor {...props} services={services} />;
    const seen = edit({ ...offered, destination: 'project.service' }, Editor);
    fireEvent.click(screen.getByText('Offer our services'));
    expect(seen.now.options?.map((one) => one.value)).toEqual(
      expect.arrayContaining([...(offered.options ?? []).map((one) => one.value), 'tuning', 'repair']),
    );
    expect(new Set(seen.now.options?.map((one) => one.value)).size).toBe(seen.now.options?.length);
    expect(screen.queryByText('Offer our services')).toBeNull();
    cleanup();
    const begun = edit(
      {
        ...offered,
        destination: 'project.service',
        options: [
          { value: 'c_1', label: 'First' },
          { value: 'c_2', label: 'Second' },
        ],
      },
      Editor,
    );
    fireEvent.click(screen.getByText('Offer our services'));
    expect(begun.now.options).toEqual(services);
    cleanup();
    edit({ ...offered, destination: 'project.notes' }, Editor);
    expect(screen.queryByText('Offer our services')).toBeNull();
  });

  it('keeps other words for an answer, also when its label is changed', () => {
    const seen = edit(offered, OffersEditor);
    const [words] = screen.getAllByPlaceholderText(/parted by commas/);
    fireEvent.blur(words as HTMLElement, { target: { value: 'mend, , fix it' } });
    expect(seen.now.options?.[0]).toEqual({ value: 'repair', label: 'Repair it', also: ['mend', 'fix it'] });
    fireEvent.change(screen.getByLabelText('Choice 1'), { target: { value: 'Mend it' } });
    expect(seen.now.options?.[0]).toEqual({ value: 'repair', label: 'Mend it', also: ['mend', 'fix it'] });
    fireEvent.blur(screen.getAllByPlaceholderText(/parted by commas/)[0] as HTMLElement, { target: { value: ' ' } });
    expect(seen.now.options?.[0]).toEqual({ value: 'repair', label: 'Mend it' });
  });
});
