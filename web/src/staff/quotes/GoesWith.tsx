import type { Schema } from '../../shared/api';
import { fileSize } from '../../shared/numbers';
import type { Content } from './queries';

interface Props {
  files: Schema<'FileRef'>[];
  content: Content;
  /** Nothing where the client has it already. */
  onChange: ((content: Content) => void) | undefined;
}

/** Which files of the project the client sees with the quote. */
export function GoesWith({ files, content, onChange }: Props) {
  const chosen = content.attachments ?? [];
  const shown = onChange ? files : files.filter((file) => chosen.includes(file.id));
  if (shown.length === 0) return null;
  return (
    <fieldset className="quote-with">
      <legend>Goes with the quote</legend>
      {shown.map((file) => (
        <label key={file.id}>
          {onChange && (
            <input
              type="checkbox"
              checked={chosen.includes(file.id)}
              onChange={(event) =>
                onChange({
                  ...content,
                  attachments: event.target.checked ? [...chosen, file.id] : chosen.filter((one) => one !== file.id),
                })
              }
            />
          )}{' '}
          <span>{file.name}</span> <small>{fileSize(file.size)}</small>
        </label>
      ))}
    </fieldset>
  );
}
