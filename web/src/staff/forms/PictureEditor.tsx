import { useId, useState } from 'react';
import type { DraftQuestion } from '../definition/design';

/** Longest side in pixels, and the most that the server takes, in characters. */
const longest = 1200;
const most = 200_000;

/** The picture of a text: made small enough in the browser, and kept inside the form. */
export function PictureEditor({
  question,
  onChange,
}: {
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}) {
  const id = useId();
  const [trouble, setTrouble] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    try {
      onChange({ picture: await small(file) });
      setTrouble('');
    } catch {
      setTrouble('This file is no picture that can be shown. Take a PNG, JPEG or WebP.');
    }
  };
  return (
    <div>
      <dt>Picture</dt>
      <dd>
        {question.picture ? (
          <>
            <img className="statement-picture" src={question.picture} alt={question.hint ?? ''} />
            <button type="button" className="link-button" onClick={() => onChange({ picture: '' })}>
              take the picture out
            </button>
          </>
        ) : (
          <>
            <label htmlFor={id}>none; choose one</label>{' '}
            <input
              id={id}
              type="file"
              accept="image/png,image/jpeg,image/webp"
              onChange={(event) => void take(event.target.files?.[0])}
            />
          </>
        )}
        {trouble && <p className="question-error">{trouble}</p>}
      </dd>
    </div>
  );
}

/** As a data: address, drawn smaller until it fits. */
async function small(file: File): Promise<string> {
  const picture = await createImageBitmap(file);
  const canvas = document.createElement('canvas');
  for (let side = longest; side >= 150; side = Math.round(side * 0.75)) {
    const scale = Math.min(1, side / Math.max(picture.width, picture.height));
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('no canvas');
    // A JPEG has no clear parts: white stands behind them.
    pen.fillStyle = '#fff';
    pen.fillRect(0, 0, canvas.width, canvas.height);
    pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const address = canvas.toDataURL('image/jpeg', 0.85);
    if (address.length <= most) return address;
  }
  throw new Error('too large');
}
