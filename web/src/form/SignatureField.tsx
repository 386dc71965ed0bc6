import Link from '@mui/material/Link';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useEffect, useRef, useState } from 'react';
import type { UseFormRegister, UseFormSetValue } from 'react-hook-form';
import SignaturePad from 'signature_pad';
import { MarkShape } from '../shared/Mark';
import type { Answers, Question } from './types';
import { upload } from './upload';

interface Props {
  question: Question;
  register: UseFormRegister<Answers>;
  setValue: UseFormSetValue<Answers>;
  how: string;
  kept: boolean;
  /** What was drawn before, as the pad gave it. */
  strokes: string;
  onGoing: (is: boolean) => void;
  wrong: boolean;
}

/** What was drawn before stands there again. */
function redraw(pad: SignaturePad, strokes: string) {
  try {
    if (strokes !== '') pad.fromData(JSON.parse(strokes) as Parameters<SignaturePad['fromData']>[0]);
  } catch {
    // Nothing of ours: the board begins empty, and the picture that was sent stays.
  }
}

/** A signature: the name, and either a drawing or the word that the typed name is it. */
export function SignatureField({ question, register, setValue, how, kept, strokes, onGoing, wrong }: Props) {
  const { key } = question;
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const drawing = how === 'drawn';

  useEffect(() => {
    const board = canvas.current;
    if (!drawing || !board) return undefined;
    // As many dots as the screen has, or the line would be coarse.
    const scale = Math.max(1, window.devicePixelRatio || 1);
    board.width = board.offsetWidth * scale;
    board.height = board.offsetHeight * scale;
    board.getContext('2d')?.scale(scale, scale);
    const drawn = new SignaturePad(board, { penColor: '#21262B' });
    pad.current = drawn;
    redraw(drawn, strokes);
    let wait: ReturnType<typeof setTimeout> | undefined;
    let stroke = 0;
    const send = () => {
      wait = undefined;
      const mine = ++stroke;
      setValue(`${key}.strokes`, JSON.stringify(drawn.toData()));
      board.toBlob((blob) => {
        if (!blob) return;
        const { done } = upload(new File([blob], 'signature.png', { type: 'image/png' }), () => undefined);
        done.then(
          (file) => {
            if (mine !== stroke) return;
            setValue(`${key}.image`, file.id, { shouldDirty: true });
            setTrouble(null);
            onGoing(false);
          },
          (error: unknown) => {
            setTrouble(error instanceof Error ? error.message : 'The drawing could not be sent.');
            onGoing(false);
          },
        );
      }, 'image/png');
    };
    const ended = () => {
      onGoing(true);
      clearTimeout(wait);
      wait = setTimeout(send, 400);
    };
    drawn.addEventListener('endStroke', ended);
    return () => {
      clearTimeout(wait);
      // Turning the page must not lose the last stroke; what is on its way says itself when it has come.
      if (wait !== undefined) send();
      drawn.off();
    };
    // The board is made once for each time that drawing is chosen.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [drawing, key]);

  const clear = () => {
    pad.current?.clear();
    setValue(`${key}.image`, '');
    setValue(`${key}.strokes`, '');
  };
  return (
    <div className="signature">
      <label className="part">
        <span className="second">Your name</span>
        <OutlinedInput
          fullWidth
          error={wrong}
          inputProps={{ autoComplete: 'name', maxLength: question.maxLength, ...register(`${key}.name`) }}
        />
      </label>
      <div className="options beside" role="radiogroup" aria-label="How you sign">
        <label className="option">
          <input type="radio" value="typed" {...register(`${key}.how`)} />
          <span>My typed name is my signature</span>
        </label>
        <label className="option">
          <input type="radio" value="drawn" {...register(`${key}.how`)} />
          <span>I draw it</span>
        </label>
      </div>
      {drawing && (
        <>
          <canvas ref={canvas} className="signature-board" aria-label="Draw your signature here, or sign by typing" />
          <p className="second">
            {kept ? 'Your drawing is here. ' : 'With a finger, a pen or the mouse. '}
            <Link component="button" type="button" onClick={clear}>
              Draw anew
            </Link>
          </p>
        </>
      )}
      {trouble && (
        <p className="question-error" role="alert">
          <MarkShape kind="choose" /> {trouble}
        </p>
      )}
    </div>
  );
}
