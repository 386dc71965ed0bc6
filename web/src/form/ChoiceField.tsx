import type { UseFormRegister } from 'react-hook-form';
import type { Answers, Question } from './types';

interface Props {
  question: Question;
  register: UseFormRegister<Answers>;
  offered: { value: string; label: string }[];
  /** Several may be ticked. */
  many?: boolean | undefined;
  /** The choices stand beside one another. */
  beside?: boolean | undefined;
}

/** Answers to choose from, one or several. */
export function ChoiceField({ question, register, offered, many = false, beside = false }: Props) {
  if (question.asList && !many)
    return (
      <select className="public-select" aria-label={question.wording} {...register(question.key)}>
        <option value="">choose</option>
        {offered.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    );
  return (
    <div className={beside ? 'options beside' : 'options'}>
      {offered.map((option) => (
        <label key={option.value} className="option">
          <input type={many ? 'checkbox' : 'radio'} value={option.value} {...register(question.key)} />
          <span>{option.label}</span>
        </label>
      ))}
    </div>
  );
}
