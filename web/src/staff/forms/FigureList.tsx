import type { Schema } from '../../shared/api';
import { ComingRows, Empty } from '../../shared/Notice';

type Figures = Schema<'FormFigures'>;
type Counted = Figures['questions'][number];

/** Of fewer than these, a share is told as a span and not drawn as a bar of its own. */
const few = 20;

/** The answers counted and drawn, question by question. */
export function FigureList({ figures }: { figures: Figures | undefined }) {
  if (!figures) return <ComingRows rows={8} />;
  if (figures.questions.length === 0)
    return <Empty fact="This form asks nothing that can be counted.">Choices, scales and numbers are counted.</Empty>;
  return (
    <div className="figure-list">
      {figures.questions.map((question) => (
        <section key={question.key}>
          <h2>{question.wording || question.key}</h2>
          <p className="second">
            answered in {question.answered} of {figures.submissions}
            {question.numbers && `; ${numberWords(question)}`}
          </p>
          {question.answered > 0 && <Bars question={question} />}
        </section>
      ))}
    </div>
  );
}

function numberWords({ numbers }: Counted): string {
  if (!numbers) return '';
  const { least, lowerQuarter, median, upperQuarter, most, mean, score } = numbers;
  return `${least} to ${most}, half of them ${lowerQuarter} to ${upperQuarter}, middle ${median}, mean ${mean}${
    score === null ? '' : `; score ${score > 0 ? '+' : ''}${score}`
  }`;
}

function Bars({ question }: { question: Counted }) {
  const most = Math.max(1, ...question.counts.map((line) => line.count));
  const uncertain = question.answered < few;
  return (
    <table className="bars">
      <tbody>
        {question.counts.map((line) => (
          <tr key={line.label}>
            <th scope="row">{line.label}</th>
            <td className="figures right">{line.count}</td>
            <td className="bar-cell" aria-hidden="true">
              <span className={uncertain ? 'bar few' : 'bar'} style={{ width: `${(line.count / most) * 100}%` }} />
            </td>
            <td className="second figures">
              {uncertain
                ? `${percent(line.low)} to ${percent(line.high)}`
                : `${percent(line.count / question.answered)} (${percent(line.low)} to ${percent(line.high)})`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
