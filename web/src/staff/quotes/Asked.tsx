import { Mark } from '../../shared/Mark';
import { shortDay } from '../../shared/words';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import { useQuoteActs, type Quote } from './queries';

interface Props {
  quote: Quote;
  /** Its place among the questions. */
  at: number;
  question: Quote['questions'][number];
  today: string;
}

/** What the client asked, and the answer: it leaves by mail, and stands on their page. */
export function Asked({ quote, at, question, today }: Props) {
  const [words, setWords, forget] = useUnsaved(`quote.${quote.id}.answer.${at}`, '');
  const { reply } = useQuoteActs(quote.id);
  const toast = useToast();
  const asked = (
    <p>
      <Mark kind={question.answer ? 'done' : 'new'}>asked</Mark> {shortDay(question.at.slice(0, 10), today)}: “
      {question.words}”
    </p>
  );
  if (question.answer)
    return (
      <div className="quote-question">
        {asked}
        <p>Answered: {question.answer}</p>
      </div>
    );
  return (
    <form
      className="quote-question"
      onSubmit={(event) => {
        event.preventDefault();
        if (reply.isPending) return;
        reply.mutate(
          { version: quote.version, question: at, words },
          {
            onSuccess: () => {
              forget();
              toast({ words: `The answer is on its way to ${quote.email}. U takes it back.` });
            },
          },
        );
      }}
    >
      {asked}
      <label className="quote-words">
        <span className="second">Your answer, by mail and on their page</span>
        <textarea rows={3} maxLength={2000} value={words} onChange={(event) => setWords(event.target.value)} />
      </label>
      {reply.error && (
        <p className="staff-field-error" role="alert">
          {reply.error.message}
        </p>
      )}
      <button type="submit" className="link-button" disabled={reply.isPending || words.trim() === ''}>
        Send the answer
      </button>
    </form>
  );
}
