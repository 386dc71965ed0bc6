import ButtonBase from '@mui/material/ButtonBase';
import Snackbar from '@mui/material/Snackbar';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import './toast.css';

export interface ToastMessage {
  words: string;
  details?: string[];
  action?: { label: string; shown: string; act: () => void };
}

const ToastContext = createContext<(message: ToastMessage) => void>(() => undefined);

/** Shows a slab that stands on the plinth for ten seconds; longer where there is more to read. */
export function useToast(): (message: ToastMessage) => void {
  return useContext(ToastContext);
}

export function ToastStand({ children }: { children: ReactNode }) {
  const [message, setMessage] = useState<(ToastMessage & { id: number }) | null>(null);
  const [open, setOpen] = useState(false);
  const show = useCallback((next: ToastMessage) => {
    setMessage({ ...next, id: Date.now() });
    setOpen(true);
  }, []);
  const action = message?.action;
  return (
    <ToastContext value={show}>
      {children}
      <Snackbar
        key={message?.id}
        className="toast"
        open={open}
        autoHideDuration={message?.details?.length ? 20_000 : 10_000}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') setOpen(false);
        }}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        transitionDuration={120}
      >
        <div className="toast-slab" role="status">
          <div className="toast-words">
            {message?.words}
            {message?.details && message.details.length > 0 && (
              <ul>
                {message.details.map((detail) => (
                  <li key={detail}>{detail}</li>
                ))}
              </ul>
            )}
          </div>
          {action && (
            <ButtonBase
              onClick={() => {
                setOpen(false);
                action.act();
              }}
            >
              {action.label} {action.shown && <kbd>{action.shown}</kbd>}
            </ButtonBase>
          )}
          <ButtonBase onClick={() => setOpen(false)} aria-label="Close">
            Close
          </ButtonBase>
        </div>
      </Snackbar>
    </ToastContext>
  );
}
