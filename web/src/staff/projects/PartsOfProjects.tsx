import { NavLink } from 'react-router';

/** Projects as a table, or as the wall. */
export function PartsOfProjects() {
  return (
    <nav className="parts" aria-label="Parts of Projects">
      <NavLink to="/projects" end>
        Table
      </NavLink>
      <NavLink to="/projects/wall">Wall</NavLink>
    </nav>
  );
}
