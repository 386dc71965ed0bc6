import Button from '@mui/material/Button';
import { ProblemError } from '../../shared/api';
import { Trouble } from '../../shared/Notice';
import { useToast } from '../shell/Toast';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind } from '../shell/Behind';
import { useDraftOf } from '../shell/useDraftOf';
import { usePriceActs, type PriceList } from './queries';
import { TemplatesKept } from './TemplatesKept';

type Setup = PriceList['setup'];
type Row = Setup['rows'][number];

const blank: Row = { service: '', question: '', answer: '', code: '', count: '', quantity: '1', optional: false };

/** What is usual in quotes, as sentences; and the table by which answers become lines. */
export function HowWeQuote({ list }: { list: PriceList }) {
  const work = useDraftOf<Setup>('quotes.setup', list.setup.version ?? 0, list.setup);
  const setup = work.value;
  const { setUp } = usePriceActs();
  const toast = useToast();
  const set = (next: Partial<Setup>) => work.set({ ...setup, ...next });
  const row = (i: number, next: Partial<Row>) =>
    set({ rows: setup.rows.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  const violations = setUp.error instanceof ProblemError ? setUp.error.violations : [];
  const text = (label: string, value: string, write: (value: string) => void, size = 4) => (
    <input
      className="value"
      aria-label={label}
      size={size}
      value={value}
      onChange={(event) => write(event.target.value)}
    />
  );
  const stage = (label: string, value: string, write: (value: string) => void) => (
    <select className="value" aria-label={label} value={value} onChange={(event) => write(event.target.value)}>
      <option value="">nowhere</option>
      {list.stages.map((one) => (
        <option key={one}>{one}</option>
      ))}
    </select>
  );
  return (
    <div className="how-we-quote">
      <div className="pillar-head">
        <h2>How we quote</h2>
      </div>
      <AlsoWriting name="quotes.setup" />
      {work.behind && (
        <Behind version={list.setup.version ?? 0} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
      )}
      <p>
        Prices are{' '}
        <select
          className="value"
          aria-label="With or without VAT"
          value={setup.gross ? 'gross' : 'net'}
          onChange={(event) => set({ gross: event.target.value === 'gross' })}
        >
          <option value="net">without VAT</option>
          <option value="gross">with VAT</option>
        </select>
        , usually at {text('Usual VAT rate', setup.vat.rate, (rate) => set({ vat: { ...setup.vat, rate } }))} %. A quote
        is good for{' '}
        {text(
          'Days for which a quote is good',
          String(setup.validDays),
          (days) => set({ validDays: Number(days) || 0 }),
          3,
        )}{' '}
        days; the client is reminded{' '}
        {text('Days before the end', String(setup.nudgeDays), (days) => set({ nudgeDays: Number(days) || 0 }), 2)} days
        before the last one (0 for never). The deposit is{' '}
        {text('Deposit in percent', setup.deposit, (deposit) => set({ deposit }))} %. A project with a new quote comes
        to {stage('Stage with a new quote', setup.draftStage, (draftStage) => set({ draftStage }))}, with a yes to{' '}
        {stage('Stage with a yes', setup.yesStage, (yesStage) => set({ yesStage }))}.
      </p>
      <label className="quote-words">
        <span className="second">Terms on every quote</span>
        <textarea
          rows={3}
          maxLength={10000}
          value={setup.terms}
          onChange={(event) => set({ terms: event.target.value })}
        />
      </label>
      <h3>Answers become lines</h3>
      {setup.rows.length === 0 && <p className="second">No row yet: every quote begins empty.</p>}
      <ol className="pricing-rows">
        {setup.rows.map((one, i) => (
          <li key={i}>
            For{' '}
            <select
              className="value"
              aria-label={`Service, row ${i + 1}`}
              value={one.service}
              onChange={(event) => row(i, { service: event.target.value })}
            >
              <option value="">any service</option>
              {list.services.map((service) => (
                <option key={service.key} value={service.key}>
                  {service.name}
                </option>
              ))}
            </select>{' '}
            where {text(`Key of the question, row ${i + 1}`, one.question, (question) => row(i, { question }), 10)} says{' '}
            {text(`Answer, row ${i + 1}`, one.answer, (answer) => row(i, { answer }), 10)} add{' '}
            <select
              className="value"
              aria-label={`Price, row ${i + 1}`}
              value={one.code}
              onChange={(event) => row(i, { code: event.target.value })}
            >
              <option value="">a line to price</option>
              {list.items.map((item) => (
                <option key={item.id} value={item.code}>
                  {item.name}
                </option>
              ))}
            </select>
            , {text(`How many, row ${i + 1}`, one.quantity, (quantity) => row(i, { quantity }), 3)} or as many as{' '}
            {text(`Key of the question that says how many, row ${i + 1}`, one.count, (count) => row(i, { count }), 8)}{' '}
            says{' '}
            <label className="inline-check">
              <input
                type="checkbox"
                checked={one.optional}
                onChange={(event) => row(i, { optional: event.target.checked })}
              />{' '}
              may be left out
            </label>{' '}
            <button
              type="button"
              className="link-button"
              onClick={() => set({ rows: setup.rows.filter((_, at) => at !== i) })}
            >
              Remove
            </button>
            {violations
              .filter((wrong) => wrong.path.startsWith(`rows.${i}.`))
              .map((wrong) => (
                <p key={wrong.path} className="staff-field-error" role="alert">
                  {wrong.message}
                </p>
              ))}
          </li>
        ))}
      </ol>
      {violations
        .filter((wrong) => !wrong.path.startsWith('rows.'))
        .map((wrong) => (
          <p key={wrong.path} className="staff-field-error" role="alert">
            {wrong.message}
          </p>
        ))}
      {setUp.error && violations.length === 0 && <Trouble title="Not saved">{setUp.error.message}</Trouble>}
      <p className="visit-buttons">
        <Button size="small" variant="outlined" onClick={() => set({ rows: [...setup.rows, blank] })}>
          Add a row
        </Button>{' '}
        <Button
          size="small"
          variant="contained"
          disabled={setUp.isPending || JSON.stringify(setup) === JSON.stringify(list.setup)}
          onClick={() => {
            const wasSaved = work.sending();
            setUp.mutate(
              { ...setup, version: work.from },
              {
                onSuccess: (next) => {
                  wasSaved(next.setup.version ?? 0);
                  toast({ words: 'How we quote is saved.' });
                },
              },
            );
          }}
        >
          Save how we quote
        </Button>
      </p>
      <TemplatesKept />
    </div>
  );
}
