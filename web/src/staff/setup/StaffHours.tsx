import { longDay } from '../../shared/words';
import { FactList } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { tellSpans, weekdays } from './hours';
import { DaysOffFile } from './DaysOffFile';
import { useAbsence, useStaffHours, type SetupStaff } from './queries';

type Hours = Parameters<ReturnType<typeof useStaffHours>['mutateAsync']>[0];
type Away = Parameters<ReturnType<typeof useAbsence>['mutateAsync']>[0];

/** When somebody works, and when they are away. */
export function StaffHours({ one, canEdit }: { one: SetupStaff; canEdit: boolean }) {
  const edit = useStaffHours();
  const away = useAbsence();
  const toast = useToast();
  const days = [1, 2, 3, 4, 5, 6, 7];
  return (
    <>
      <FactList<Hours>
        name={`setup.staff-hours.${one.id}`}
        title="Hours"
        level="h3"
        canEdit={canEdit}
        saving={edit}
        save={(part) => edit.mutateAsync(part)}
        facts={[
          {
            key: 'hours',
            label: 'Works',
            shown: `${one.hoursText || 'when the business is open'}${one.zone ? `, by the clock of ${one.zone}` : ''}`,
            fields: [
              {
                key: 'own',
                label: 'Works',
                value: one.hours.length > 0 ? 'own' : '',
                options: [
                  { value: '', label: 'when the business is open' },
                  { value: 'own', label: 'at hours of their own, written below' },
                ],
              },
              ...days.map((day) => ({
                key: `day${day}`,
                label: weekdays[day] ?? '',
                value: tellSpans(one.hours.find((hours) => hours.day === day)?.spans ?? []),
                ...(day === 1 ? { hint: 'Such as 09:00 to 12:30, 13:30 to 18:00. Empty is a day off.' } : {}),
              })),
              {
                key: 'zone',
                label: 'By the clock of',
                value: one.zone,
                options: [
                  { value: '', label: 'the business' },
                  ...Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone })),
                ],
              },
            ],
            edit: (values) => ({
              id: one.id,
              own: values.own === 'own',
              texts: days.map((day) => values[`day${day}`] ?? ''),
              zone: values.zone ?? '',
            }),
          },
        ]}
      />
      <FactList<Away>
        name={`setup.away.${one.id}`}
        title="Away"
        level="h3"
        canEdit={canEdit}
        saving={away}
        save={(part) => away.mutateAsync(part)}
        facts={[]}
        adding={[
          {
            key: 'new',
            label: 'Absence',
            shown: '',
            fields: [
              { key: 'first', label: 'First day', value: '', kind: 'date' },
              { key: 'last', label: 'Last day, where it is several', value: '', kind: 'date' },
              { key: 'note', label: 'Why, if you like', value: '' },
            ],
            edit: ({ first = '', last = '', note = '' }) => ({ of: one.id, first, last, note }),
          },
        ]}
      />
      {canEdit && <DaysOffFile staff={one.id} />}
      {one.absences.length === 0 ? (
        <p className="second">Nothing ahead. Who is away gets no turn.</p>
      ) : (
        <ul className="rows">
          {one.absences.map(({ id, first, last, note }) => (
            <li key={id} className="line-top">
              <span>
                {first === last ? longDay(first) : `${longDay(first)} to ${longDay(last)}`}
                {note && <span className="second">, {note}</span>}
              </span>
              {canEdit && (
                <button
                  type="button"
                  className="link-button"
                  aria-label={`Remove ${longDay(first)}`}
                  disabled={away.isPending}
                  onClick={() =>
                    away.mutate(
                      { of: one.id, absence: id },
                      { onSuccess: () => toast({ words: 'Absence removed. U takes it back.' }) },
                    )
                  }
                >
                  Remove
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
