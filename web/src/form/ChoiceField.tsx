import type { UseFormRegister } from 'react-hook-form';
import type { Answers, Question } from './types';

interface Props {
  question: Question;
  register: UseFormRegister<Answers>;
}

const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, i) => ({ value: String(from + i), label: String(from + i) }));

/** What a question of this kind offers to choose from. */
export function offered(question: Question): { value: string; label: string }[] {
  switch (question.type) {
    case 'yes-no':
      return [
        { value: 'yes', label: 'Yes' },
        { value: 'no', label: 'No' },
      ];
    case 'scale':
      return numbers(0, 10);
    case 'rating':
      return numbers(1, 5);
    case 'consent':
      return [{ value: 'yes', label: question.wording }];
    default:
      return question.options;
  }
}

/** Answers to choose from, one or several. */
export function ChoiceField({ question, register }: Props) {
  if (question.type === 'one-of' && question.asList)
    return (
      <select className="public-select" aria-label={question.wording} {...register(question.key)}>
        <option value="">choose</option>
        {question.options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    );
  const many = question.type === 'any-of' || question.type === 'consent';
  const beside = question.type === 'scale' || question.type === 'rating' || question.type === 'yes-no';
  return (
    <div className={beside ? 'options beside' : 'options'}>
      {offered(question).map((option) => (
        <label key={option.value} className="option">
          <input type={many ? 'checkbox' : 'radio'} value={option.value} {...register(question.key)} />
          <span>{option.label}</span>
        </label>
      ))}
    </div>
  );
}
