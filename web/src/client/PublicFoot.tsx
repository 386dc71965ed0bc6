import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { useEffect, useRef } from 'react';
import { Trouble } from '../shared/Notice';

interface Props {
  words: string;
  disabled: boolean;
  /** What happens next, in words. */
  what: string;
  onBack: (() => void) | null;
  trouble: { title: string; text: string; again: (() => void) | null } | null;
}

/** The foot of a page: its one button, the way back, and beside them what went wrong, where the eye is. */
export function PublicFoot({ words, disabled, what, onBack, trouble }: Props) {
  const notice = useRef<HTMLDivElement>(null);
  // What went wrong with sending is what one has to read now; a file that failed does not take the place of typing.
  const text = trouble?.again ? trouble.text : null;
  useEffect(() => {
    if (text) notice.current?.focus();
  }, [text]);
  return (
    <>
      {trouble && (
        <div ref={notice} tabIndex={-1} className="public-trouble">
          <Trouble title={trouble.title} {...(trouble.again ? { again: trouble.again } : {})}>
            {trouble.text}
          </Trouble>
        </div>
      )}
      <div className="public-foot">
        <Button type="submit" variant="contained" disabled={disabled}>
          {words}
        </Button>
        {onBack && (
          <Link component="button" type="button" onClick={onBack}>
            Back
          </Link>
        )}
        <span className="second" role="status">
          {what}
        </span>
      </div>
    </>
  );
}
