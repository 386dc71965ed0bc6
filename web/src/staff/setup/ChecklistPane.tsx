import { count } from '../../shared/numbers';
import type { Setup } from './queries';
import { useShown } from './shown';

/** What a checklist asks for, and which services bring it. */
export function ChecklistPane({ list, setup }: { list: Setup['lists'][number]; setup: Setup }) {
  const [, show] = useShown();
  const services = setup.services.filter((one) => one.checklist === list.name && !one.retired);
  return (
    <>
      <div className="pillar-head">
        <h2>{list.name}</h2>
      </div>
      <p className="second">
        {list.isBase ? 'Every new project gets it.' : services.length === 0 ? 'No service brings it.' : 'Comes with '}
        {services.map((one, i) => (
          <span key={one.id}>
            {i > 0 && ', '}
            <button type="button" className="link-button" onClick={() => show(`service.${one.id}`)}>
              {one.name}
            </button>
          </span>
        ))}
      </p>
      <ol className="checklist-items">
        {list.items.map((item) => (
          <li key={item.name}>
            <b>{item.name}</b>
            <span className="second">
              {item.doer === 'lead' ? 'whoever leads' : 'the coordinator'}, {due(item)}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

function due({ days, from }: Setup['lists'][number]['items'][number]): string {
  const anchor = from === 'ready-by' ? 'the ready-by day' : 'the plan is accepted';
  return days === 0
    ? `the day ${anchor}`
    : `${count(Math.abs(days), 'working day')} ${days < 0 ? 'before' : 'after'} ${anchor}`;
}
