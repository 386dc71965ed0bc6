import { Mark } from '../../shared/Mark';
import type { Setup } from './queries';
import { roleWords } from './roles';
import { Row, Rows } from './Rows';

export function StaffSection({ staff }: { staff: Setup['staff'] }) {
  return (
    <Rows title="Staff and roles" add="Add person" adds="new.staff" columns={['role', 'holds']}>
      {staff.map((one) => (
        <Row key={one.id} shows={`staff.${one.id}`} name={one.name}>
          <span>{one.active ? roleWords[one.role] : <Mark kind="stopped">left</Mark>}</span>
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
          <span>{one.lead}</span>
          <span>{one.retired ? <Mark kind="stopped">retired</Mark> : (one.checklist ?? 'only the usual one')}</span>
        </Row>
      ))}
    </Rows>
  );
}

export function TextsSection({ texts }: { texts: Setup['texts'] }) {
  return (
    <Rows title="Mail texts" columns={['subject']}>
      {texts.map((one) => (
        <Row key={one.id} shows={`text.${one.id}`} name={one.name}>
          <span>{one.subject}</span>
        </Row>
      ))}
    </Rows>
  );
}
