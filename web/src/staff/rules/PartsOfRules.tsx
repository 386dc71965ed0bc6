import { NavLink } from 'react-router';

/** The course of parts: ways of work are written in two places. */
export function PartsOfRules({ rules, lists }: { rules?: number | undefined; lists?: number | undefined }) {
  return (
    <nav className="parts" aria-label="Parts of Rules">
      <NavLink to="/rules">Rules {rules !== undefined && <span className="figures">{rules}</span>}</NavLink>
      <NavLink to="/checklists">Checklists {lists !== undefined && <span className="figures">{lists}</span>}</NavLink>
    </nav>
  );
}
