import { useEffect, useRef } from 'react';
import SignaturePad from 'signature_pad';

/** A board to draw a signature on; what is drawn is given as a picture. */
export function SignPad({ onDrawn }: { onDrawn: (picture: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const told = useRef(onDrawn);
  useEffect(() => {
    told.current = onDrawn;
  }, [onDrawn]);
  useEffect(() => {
    const board = canvas.current;
    if (!board) return undefined;
    // As many dots as the screen has, or the line would be coarse; no more than the server takes.
    const scale = Math.min(2, Math.max(1, window.devicePixelRatio || 1));
    board.width = board.offsetWidth * scale;
    board.height = board.offsetHeight * scale;
    board.getContext('2d')?.scale(scale, scale);
    const drawn = new SignaturePad(board, { penColor: '#21262B' });
    pad.current = drawn;
    drawn.addEventListener('endStroke', () => told.current(drawn.toDataURL('image/png')));
    return () => drawn.off();
  }, []);
  return (
    <div className="sign-pad">
      <canvas ref={canvas} aria-label="Draw your signature here, or leave it and sign by your typed name" />
      <button
        type="button"
        className="link"
        onClick={() => {
          pad.current?.clear();
          onDrawn('');
        }}
      >
        Clear<span className="unseen"> the signature</span>
      </button>
    </div>
  );
}
