import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { StoneFigure } from '../../shared/Figure';
import { useSignedIn, useSignOut } from '../session';
import type { Area } from './area';
import { useDay } from './day';
import { FindField } from './FindField';
import { useScreenNumbers } from './useScreenNumbers';

export function Lintel({ areas, onKeys }: { areas: Area[]; onKeys: () => void }) {
  const { user } = useSignedIn();
  const words = areas.flatMap(({ word }) => (word && !(word.unless && user.may.includes(word.unless)) ? word : []));
  const { data: day } = useDay();
  // As many words as fit, the rest behind “More”: a text twice as large is a window half as wide.
  const narrowest = useMediaQuery('(max-width: 519px)', { noSsr: true });
  const narrower = useMediaQuery('(max-width: 699px)', { noSsr: true });
  const narrow = useMediaQuery('(max-width: 899px)', { noSsr: true });
  const fits = narrowest ? 2 : narrower ? 5 : narrow ? 7 : words.length;
  const signOut = useSignOut();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const navigate = useNavigate();
  const location = useLocation();
  const numbered = useScreenNumbers(words.map(({ to }) => to));
  return (
    <header className="lintel">
      <NavLink to="/" className="wordmark" aria-label="Telamon">
        <StoneFigure size={24} />
        <span>Telamon</span>
      </NavLink>
      <nav aria-label="Screens">
        {words.slice(0, fits).map(({ to, label }, i) => (
          <NavLink key={to} to={to}>
            {label}
            {numbered && (
              <kbd className="word-number" aria-hidden="true">
                {i + 1}
              </kbd>
            )}
            {to === '/arrivals' && day && day.toAnswer > 0 && (
              <span className="figures tally">
                {' '}
                {day.toAnswer}
                <span className="unseen"> to answer</span>
              </span>
            )}
          </NavLink>
        ))}
        {fits < words.length && <MoreWords words={words.slice(fits)} />}
      </nav>
      <FindField />
      <ButtonBase
        className={location.pathname.startsWith('/setup') ? 'initials here' : 'initials'}
        aria-label={`${user.initials}, ${user.name}: setup, account, keys, sign out`}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {user.initials}
      </ButtonBase>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <div className="menu-name">
          {user.name}, {user.roleName}
        </div>
        {user.may.includes('setup.change') && (
          <MenuItem
            onClick={() => {
              setAnchor(null);
              void navigate('/setup');
            }}
          >
            Setup
          </MenuItem>
        )}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            void navigate('/account');
          }}
        >
          Your account
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            onKeys();
          }}
        >
          All keys <kbd>?</kbd>
        </MenuItem>
        <MenuItem onClick={() => signOut.mutate()}>Sign out</MenuItem>
      </Menu>
    </header>
  );
}

/** The words that do not fit, one press away. */
function MoreWords({ words: rest }: { words: { to: string; label: string }[] }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const here = rest.find(({ to }) => pathname.startsWith(to));
  return (
    <>
      <button
        type="button"
        className={here ? 'more-words active' : 'more-words'}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {here?.label ?? 'More'}
      </button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {rest.map(({ to, label }) => (
          <MenuItem
            key={to}
            onClick={() => {
              setAnchor(null);
              void navigate(to);
            }}
          >
            {label}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
