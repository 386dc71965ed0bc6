import { Link, NavLink, useLocation } from 'react-router';

/** The course of parts: what goes and comes, and what it is made of. */
export function PartsOfMessages() {
  const { pathname } = useLocation();
  // A message that is open, and one that is written, belong to what comes and goes.
  const isHere = !/^\/messages\/(templates|follow-ups|notices)(\/|$)/.test(pathname);
  return (
    <nav className="parts" aria-label="Parts of Messages">
      <Link to="/messages" className={isHere ? 'active' : undefined} aria-current={isHere ? 'page' : undefined}>
        In and out
      </Link>
      <NavLink to="/messages/templates">Templates</NavLink>
      <NavLink to="/messages/follow-ups">Follow-ups</NavLink>
      <NavLink to="/messages/notices">Notices</NavLink>
    </nav>
  );
}
