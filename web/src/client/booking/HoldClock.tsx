import { useEffect, useState } from 'react';

/** Ten ticks, and how long it is still held; told aloud at five, two and one minute. */
export function HoldClock({
  ends,
  onOver,
  onLonger,
  canLonger,
}: {
  ends: number;
  onOver: () => void;
  onLonger: () => void;
  canLonger: boolean;
}) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const ticking = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(ticking);
  }, []);
  const left = Math.max(0, Math.round((ends - now) / 1000));
  const over = left === 0;
  useEffect(() => {
    if (over) onOver();
  }, [over, onOver]);
  const minutes = Math.floor(left / 60);
  const used = Math.min(10, Math.max(0, 10 - left / 60));
  const told = [5, 2, 1].find((minute) => left <= minute * 60 && left > minute * 60 - 20);
  return (
    <div className="hold">
      <p>
        Held for you,{' '}
        <b>
          {minutes} min {left % 60} s
        </b>{' '}
        left
        {canLonger && (
          <button type="button" className="link" onClick={onLonger}>
            Keep longer
          </button>
        )}
      </p>
      <div className="hold-strip" aria-hidden>
        <b style={{ width: `${used * 10}%` }} />
        {Array.from({ length: 11 }, (_, i) => (
          <i key={i} style={{ left: `${i * 10}%` }} />
        ))}
      </div>
      <span className="unseen" role="status">
        {told ? `Held for ${told} ${told === 1 ? 'minute' : 'minutes'} more` : ''}
      </span>
    </div>
  );
}
