import { FactList, type Fact } from '../shell/FactList';
import { useIntake, useMatching, type Setup } from './queries';

type Intake = Parameters<ReturnType<typeof useIntake>['mutateAsync']>[0];
type Matching = Parameters<ReturnType<typeof useMatching>['mutateAsync']>[0];

/** How submissions are taken. */
export function IntakeSection({ setup }: { setup: Setup }) {
  const edit = useIntake();
  const { shortensAddresses, unfinishedMinutes } = setup;
  return (
    <FactList<Intake>
      name="setup.intake"
      title="Taking submissions"
      canEdit
      saving={edit}
      save={(part) => edit.mutateAsync(part)}
      facts={[
        {
          key: 'unfinishedMinutes',
          label: 'Did not finish',
          shown: `after ${unfinishedMinutes} minutes`,
          fields: [
            {
              key: 'unfinishedMinutes',
              label: 'After so many minutes',
              value: String(unfinishedMinutes),
              hint: 'Where a short form leads on to a long one and the long one has not come by then, the arrival says so.',
            },
          ],
          edit: (values) => ({ shortensAddresses, unfinishedMinutes: Number(values.unfinishedMinutes) }),
        },
        {
          key: 'shortensAddresses',
          label: 'Network addresses',
          shown: shortensAddresses ? 'kept without their last part' : 'kept whole',
          fields: [
            {
              key: 'shortensAddresses',
              label: 'Network addresses of whoever writes',
              value: shortensAddresses ? 'yes' : 'no',
              options: [
                { value: 'yes', label: 'kept without their last part' },
                { value: 'no', label: 'kept whole' },
              ],
            },
          ],
          edit: (values) => ({ unfinishedMinutes, shortensAddresses: values.shortensAddresses === 'yes' }),
        },
      ]}
    />
  );
}

const matching = {
  sameFrom: ['Same person', 'Treat as the same person at so many per cent or more', (n: number) => `at ${n} % or more`],
  perhapsFrom: ['Ask', 'Ask at so many per cent or more', (n: number) => `at ${n} % or more`],
  againDays: ['Open work', 'Offer open projects up to so many days old', (n: number) => `offered up to ${n} days old`],
} as const;

/** When two records count as one person, and when somebody is asked. */
export function MatchingSection({ setup }: { setup: Setup }) {
  const edit = useMatching();
  const values = { sameFrom: setup.sameFrom, perhapsFrom: setup.perhapsFrom, againDays: setup.againDays };
  const facts = (Object.keys(matching) as (keyof typeof matching)[]).map((key): Fact<Matching> => {
    const [label, asked, shown] = matching[key];
    return {
      key,
      label,
      shown: shown(values[key]),
      fields: [{ key, label: asked, value: String(values[key]) }],
      edit: (typed) => ({ ...values, [key]: Number(typed[key]) }),
    };
  });
  return (
    <FactList
      name="setup.matching"
      title="Matching people"
      canEdit
      facts={facts}
      saving={edit}
      save={(part) => edit.mutateAsync(part)}
    />
  );
}
