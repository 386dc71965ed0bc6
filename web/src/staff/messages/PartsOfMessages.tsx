import { NavLink } from 'react-router';

/** The course of parts: what goes and comes, and what it is made of. */
export function PartsOfMessages() {
  return (
    <nav className="parts" aria-label="Parts of Messages">
      <NavLink to="/messages" end>
        In and out
      </NavLink>
      <NavLink to="/messages/templates">Templates</NavLink>
      <NavLink to="/messages/follow-ups">Follow-ups</NavLink>
      <NavLink to="/messages/notices">Notices</NavLink>
    </nav>
  );
}
