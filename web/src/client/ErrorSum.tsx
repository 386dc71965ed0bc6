import Link from '@mui/material/Link';
import { MarkShape } from '../shared/Mark';
import type { Question } from '../form/types';

/** The answers that need another look, summed up, each a way to its field. */
export function ErrorSum({ wrong, onGo }: { wrong: Question[]; onGo: (question: Question) => void }) {
  return (
    <div className="public-sum" role="alert">
      <MarkShape kind="choose" />
      <div>
        <b>{wrong.length} answers need another look</b>
        <ul>
          {wrong.map((question) => (
            <li key={question.key}>
              <Link component="button" type="button" onClick={() => onGo(question)}>
                {question.wording}
              </Link>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
