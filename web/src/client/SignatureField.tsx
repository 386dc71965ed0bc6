import Link from '@mui/material/Link';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useEffect, useRef, useState } from 'react';
import type { UseFormRegister, UseFormSetValue } from 'react-hook-form';
import SignaturePad from 'signature_pad';
import { MarkShape } from '../shared/Mark';
import type { Answers, Question } from './queries';
import { upload } from './uploads';

interface Props {
  question: Question;
  register: UseFormRegister<Answers>;
  setValue: UseFormSetValue<Answers>;
  how: string;
  kept: boolean;
  onGoing: (is: boolean) => void;
  wrong: boolean;
}

/** A signature: the name, and either a drawing or the word that the typed name is it. */
export function SignatureField({ question, register, setValue, how, kept, onGoing, wrong }: Props) {
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
    let wait: ReturnType<typeof setTimeout> | undefined;
    let stroke = 0;
    const send = () => {
      const mine = ++stroke;
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
      drawn.off();
      onGoing(false);
    };
    // The board is made once for each time that drawing is chosen.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [drawing, key]);

  const clear = () => {
    pad.current?.clear();
    setValue(`${key}.image`, '');
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
