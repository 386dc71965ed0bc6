import { useState } from 'react';
import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import type { Setup } from './queries';
import { useShown } from './shown';
import { useFormList } from '../shell/asked';

const name = 'telamon.first-steps';

function ticked(): string[] {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '[]') as string[];
  } catch {
    return [];
  }
}

/** Six steps from an empty installation to a first plan accepted; what is done shows by itself. */
export function FirstSteps({ setup }: { setup: Setup }) {
  const [fine, setFine] = useState(ticked);
  const [, show] = useShown();
  const forms = useFormList();
  const live = forms.data?.some((form) => form.state === 'live') ?? false;
  const tick = (key: string) => {
    const next = [...fine, key];
    setFine(next);
    try {
      localStorage.setItem(name, JSON.stringify(next));
    } catch {
      // Without a store the tick holds until the page is left.
    }
  };
  const go = (section: string) => document.getElementById(`setup-${section}`)?.scrollIntoView({ block: 'start' });
  const named = setup.business.name !== 'My business' && setup.business.phone !== '';
  const steps = [
    { key: 'business', words: 'Name the business, and say how it is reached', done: named, act: () => go('business') },
    {
      key: 'hours',
      words: 'Say when you are open, and closed',
      done: setup.hoursText !== 'Mon to Fri, 9 to 5',
      act: () => go('hours'),
    },
    { key: 'staff', words: 'Add who works with you', done: setup.staff.length > 1, act: () => show('new.staff') },
    {
      key: 'services',
      words: 'Add what you offer, and who leads it',
      done: setup.services.length > 0,
      act: () => show('new.service'),
    },
  ];
  return (
    <>
      <div className="pillar-head">
        <h2>First steps</h2>
        <small>in any order</small>
      </div>
      <ol className="first-steps">
        {steps.map(({ key, words, done, act }) => (
          <li key={key}>
            <span>
              <button type="button" className="link-button" onClick={act}>
                {words}
              </button>
            </span>
            {done || fine.includes(key) ? (
              <Mark kind="done">done</Mark>
            ) : (
              <button type="button" className="link-button second" onClick={() => tick(key)}>
                fine as it is
              </button>
            )}
          </li>
        ))}
        <li>
          <Link to="/forms">Look at your first form, and change what it asks</Link>
          {live ? <Mark kind="done">live</Mark> : <Mark kind="new">to do</Mark>}
        </li>
        <li>
          <Link to="/inquiry">Write down a test inquiry, and accept its plan</Link>
          <Mark kind="new">to do</Mark>
        </li>
      </ol>
      <p className="second">Everything can be undone: the test inquiry too, once you have seen what it does.</p>
    </>
  );
}
