import { NavLink } from 'react-router';
import { Mark } from '../../../shared/Mark';
import '../../shell/list-group.css';
import { PartsOfMessages } from '../PartsOfMessages';
import { groups } from './groups';
import type { TemplateRow } from './queries';

/** All templates, by what they are for. */
export function TemplateList({ rows, at, onAdd }: { rows: TemplateRow[]; at: string | undefined; onAdd: () => void }) {
  return (
    <>
      <PartsOfMessages />
      {groups.map(([purpose, title]) => (
        <section key={purpose} aria-label={title} className="list-group">
          <h2>
            <em>{title}</em>
            <small>
              {purpose === 'client' ? (
                <button type="button" className="link-button" onClick={onAdd}>
                  Add template
                </button>
              ) : (
                ''
              )}
            </small>
          </h2>
          <ul>
            {rows
              .filter((one) => one.purpose === purpose)
              .map((one) => (
                <li key={one.id}>
                  <NavLink
                    to={`/messages/templates/${one.id}`}
                    className={one.id === at ? 'list-row active' : 'list-row'}
                  >
                    <b>{one.name}</b>
                    {one.retired ? (
                      <Mark kind="stopped">put away</Mark>
                    ) : (
                      <span className="figures second">{one.sent || ''}</span>
                    )}
                  </NavLink>
                </li>
              ))}
          </ul>
        </section>
      ))}
      <p className="second">The number is how many went out in 90 days.</p>
    </>
  );
}
