import { Mark } from '../../shared/Mark';
import { shortDay } from '../../shared/words';
import { useToday } from '../shell/day';
import type { Setup, SetupStaff } from './queries';
import { Row, Rows } from './Rows';

/** Until when somebody is away who is not here today. */
function away({ absences }: SetupStaff, today: string): string | null {
  const now = absences.find(({ first, last }) => first <= today && today <= last);
  return now ? `away until ${shortDay(now.last, today)}` : null;
}

export function StaffSection({ staff }: { staff: Setup['staff'] }) {
  const today = useToday();
  return (
    <Rows title="Staff and roles" add="Add person" adds="new.staff" columns={['role', 'hours', 'holds']}>
      {staff.map((one) => (
        <Row key={one.id} shows={`staff.${one.id}`} name={one.name}>
          <span>{one.active ? one.roleName : <Mark kind="stopped">left</Mark>}</span>
          <span>{away(one, today) ?? (one.hoursText || 'as the business')}</span>
          <span>{one.holds.map(({ what }) => what).join(', ')}</span>
        </Row>
      ))}
    </Rows>
  );
}

export function ServicesSection({ services }: { services: Setup['services'] }) {
  return (
    <Rows title="Services" add="Add service" adds="new.service" columns={['led by', 'checklist that joins']}>
      {services.length === 0 && (
        <li className="second">No services yet. A service says who leads the work and which checklist joins.</li>
      )}
      {services.map((one) => (
        <Row key={one.id} shows={`service.${one.id}`} name={one.name}>
          <span>{{ named: one.lead, turns: 'by turns', fewest: 'whoever leads fewest' }[one.led]}</span>
          <span>{one.retired ? <Mark kind="stopped">retired</Mark> : (one.checklist ?? 'only the usual one')}</span>
        </Row>
      ))}
    </Rows>
  );
}
