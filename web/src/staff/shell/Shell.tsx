import { useState } from 'react';
import { Outlet, useNavigate } from 'react-router';
import { useKey } from '../keys';
import { DayRuler } from './DayRuler';
import { KeyList } from './KeyList';
import { Lintel } from './Lintel';
import { SentQuestions } from './SentQuestions';
import './shell.css';
import { ToastStand } from './Toast';

/** What every staff screen stands in: lintel and day ruler above, the screen's own pillars and plinth below. */
export function Shell() {
  const [keysShown, setKeysShown] = useState(false);
  const navigate = useNavigate();
  useKey('help', () => setKeysShown(true));
  useKey('goArrivals', () => void navigate('/arrivals'));
  useKey('goClients', () => void navigate('/clients'));
  useKey('goProjects', () => void navigate('/projects'));
  useKey('goForms', () => void navigate('/forms'));
  useKey('goRules', () => void navigate('/rules'));
  useKey('goMessages', () => void navigate('/messages'));
  return (
    <ToastStand>
      <SentQuestions>
        <div className="shell">
          <a className="skip" href="#main">
            Skip to the screen
          </a>
          <Lintel onKeys={() => setKeysShown(true)} />
          <DayRuler />
          <Outlet />
        </div>
        <KeyList open={keysShown} onClose={() => setKeysShown(false)} />
      </SentQuestions>
    </ToastStand>
  );
}
