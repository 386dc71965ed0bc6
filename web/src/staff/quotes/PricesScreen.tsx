import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Empty, Trouble } from '../../shared/Notice';
import { Allowed } from '../shell/Allowed';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { ReadFile } from '../shell/ReadFile';
import { ReadOnly, useMay } from '../shell/ReadOnly';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind } from '../shell/Behind';
import { useDraftOf } from '../shell/useDraftOf';
import { HowWeQuote } from './HowWeQuote';
import { usePriceActs, usePrices, type PriceList } from './queries';
import './quotes.css';
import { money } from './states';

type Item = PriceList['items'][number];

/** The price list, and how the business quotes: what is usual, and which answers become which lines. */
export function PricesScreen() {
  const list = usePrices();
  const [at, setAt] = useState('');
  const keeps = useMay('prices.keep');
  if (!list.data) return <PillarsWaiting title="Price list" query={list} />;
  const chosen = list.data.items.find((item) => item.id === at);
  return (
    <Pillars
      title="Price list"
      pillars={[
        {
          name: 'Prices',
          width: '640px',
          middling: '1fr',
          content: <Items list={list.data} at={at} onChoose={setAt} />,
          blocks: keeps ? [{ label: 'Add a price', keyName: 'add', act: () => setAt('new') }] : [],
        },
        {
          name: at === '' ? 'How we quote' : 'Price',
          width: '1fr',
          sheet: true,
          content: (
            <ReadOnly unless="prices.keep">
              {at === '' ? (
                <HowWeQuote key={list.data.setup.version} list={list.data} />
              ) : (
                <PriceForm key={`${at} ${chosen?.version}`} item={chosen} list={list.data} onDone={() => setAt('')} />
              )}
            </ReadOnly>
          ),
        },
      ]}
    />
  );
}

function Items({ list, at, onChoose }: { list: PriceList; at: string; onChoose: (id: string) => void }) {
  const { read } = usePriceActs();
  const busy = read.isPending;
  const toast = useToast();
  const [csv, setCsv] = useState('');
  return (
    <div className="price-list">
      <div className="pillar-head">
        <h1>Price list</h1>
        <small>
          <Link to="/quotes">Quotes</Link> <a href="/api/prices/export">Save as CSV</a>{' '}
          <Allowed to="prices.keep">
            <ReadFile
              plain
              label="Read a CSV file"
              accept=".csv,text/csv"
              onText={(text) => {
                setCsv(text);
                read.mutate({ csv: text, dry: true });
              }}
            />
          </Allowed>
        </small>
      </div>
      {csv !== '' && read.data && (
        <div className="price-dry" role="status">
          <p>
            <b>{read.data.added}</b> new, <b>{read.data.changed}</b> changed
            {read.data.wrong.length > 0 &&
              `, ${read.data.wrong.length} wrong: nothing is read in until they are right.`}
          </p>
          <ul>
            {read.data.wrong.slice(0, 10).map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Button
            size="small"
            variant="contained"
            disabled={busy || read.data.wrong.length > 0}
            onClick={() =>
              read.mutate(
                { csv, dry: false },
                {
                  onSuccess: () => {
                    setCsv('');
                    toast({ words: 'The prices are read in.' });
                  },
                },
              )
            }
          >
            Read them in
          </Button>{' '}
          <Button size="small" variant="outlined" onClick={() => setCsv('')}>
            Leave it
          </Button>
        </div>
      )}
      {read.error && <Trouble title="Not read">{read.error.message}</Trouble>}
      {list.items.length === 0 ? (
        <Empty fact="Nothing has a price yet.">Add what you do, with +, or read a CSV file.</Empty>
      ) : (
        <table className="quotes-table">
          <thead>
            <tr>
              <th>code, name</th>
              <th>unit</th>
              <th className="right">price</th>
              <th className="right">VAT %</th>
              <th className="right">used</th>
            </tr>
          </thead>
          <tbody>
            {list.items.map((item) => (
              <tr key={item.id} className={item.id === at ? 'chosen' : item.offered ? '' : 'gone'}>
                <td>
                  <span className="second figures">{item.code}</span>{' '}
                  <button type="button" className="link-button" onClick={() => onChoose(item.id)}>
                    {item.name}
                  </button>
                  {item.retired && <span className="second"> retired</span>}
                </td>
                <td>{list.units.find((unit) => unit.code === item.unit)?.one ?? item.unit}</td>
                <td className="right figures">{item.price === null ? 'each time' : money(item.price)}</td>
                <td className="right figures">{item.vat.rate}</td>
                <td className="right second">{item.used || ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

function PriceForm({ item, list, onDone }: { item: Item | undefined; list: PriceList; onDone: () => void }) {
  const { keep } = usePriceActs();
  const toast = useToast();
  const work = useDraftOf(`price.${item?.id ?? 'new'}`, item?.version ?? 0, {
    code: item?.code ?? '',
    name: item?.name ?? '',
    text: item?.text ?? '',
    unit: item?.unit ?? 'C62',
    price: item?.price ?? '',
    category: item?.vat.category ?? list.setup.vat.category,
    rate: item?.vat.rate ?? list.setup.vat.rate,
    group: item?.group ?? '',
    effort: String(item?.effort ?? 0),
    steps: item?.steps ?? [],
    validFrom: item?.validFrom ?? '',
    validTo: item?.validTo ?? '',
  });
  const typed = work.value;
  const { code, name, text, unit, price, category, rate, group, effort, steps, validFrom, validTo } = typed;
  const set = (next: Partial<typeof typed>) => work.set({ ...typed, ...next });
  const leave = () => {
    work.discard();
    onDone();
  };
  const violations = keep.error instanceof ProblemError ? keep.error.violations : [];
  const beside = (path: string) => violations.find((one) => one.path.startsWith(path))?.message;
  const save = (retired: boolean) =>
    keep.mutate(
      {
        id: item?.id ?? '',
        version: item ? work.from : 1,
        item: { code, name, text, unit, price: price === '' ? null : price, vat: { category, rate }, group, steps },
        effort: Number(effort) || 0,
        validFrom,
        validTo,
        retired,
      },
      {
        onSuccess: () => {
          toast({ words: `${name} is ${retired ? 'retired' : 'saved'}.` });
          leave();
        },
      },
    );
  return (
    <form
      className="price-form"
      onSubmit={(event) => {
        event.preventDefault();
        save(false);
      }}
    >
      <div className="pillar-head">
        <h2>{item ? item.name : 'A new price'}</h2>
        <small>{item && item.used > 0 ? `named by ${item.used} quotes, which stay as they are` : ''}</small>
      </div>
      {item && <AlsoWriting name={`price.${item.id}`} />}
      {item && work.behind && (
        <Behind version={item.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
      )}
      {!item && (
        <StaffField
          label="Code"
          value={code}
          maxLength={40}
          required
          error={beside('item.code')}
          onChange={(event) => set({ code: event.target.value })}
        />
      )}
      <StaffField
        label="Name"
        value={name}
        maxLength={200}
        required
        error={beside('item.name')}
        onChange={(event) => set({ name: event.target.value })}
      />
      <StaffField
        label="What it is, for the client"
        value={text}
        maxLength={2000}
        onChange={(event) => set({ text: event.target.value })}
      />
      <StaffField
        label={`Price of one, ${list.setup.gross ? 'with' : 'without'} VAT; empty to price it each time`}
        value={price}
        inputMode="decimal"
        error={beside('item.price')}
        onChange={(event) => set({ price: event.target.value })}
      />
      <label className="staff-field">
        <span>Unit</span>
        <select value={unit} onChange={(event) => set({ unit: event.target.value })}>
          {list.units.map((one) => (
            <option key={one.code} value={one.code}>
              {one.one}
            </option>
          ))}
        </select>
      </label>
      <label className="staff-field">
        <span>VAT</span>
        <select value={category} onChange={(event) => set({ category: event.target.value })}>
          {list.categories.map((one) => (
            <option key={one.code} value={one.code}>
              {one.code}, {one.words}
            </option>
          ))}
        </select>
      </label>
      <StaffField
        label="VAT rate in %"
        value={rate}
        inputMode="decimal"
        error={beside('item.vat')}
        onChange={(event) => set({ rate: event.target.value })}
      />
      <StaffField
        label="Stands under"
        value={group}
        maxLength={100}
        placeholder="The work"
        onChange={(event) => set({ group: event.target.value })}
      />
      <StaffField
        label="Minutes of work"
        value={effort}
        inputMode="numeric"
        onChange={(event) => set({ effort: event.target.value })}
      />
      <StaffField
        label="Offered from"
        type="date"
        value={validFrom}
        onChange={(event) => set({ validFrom: event.target.value })}
      />
      <StaffField
        label="Offered until"
        type="date"
        value={validTo}
        error={beside('validTo')}
        onChange={(event) => set({ validTo: event.target.value })}
      />
      {steps.map((step, i) => (
        <p key={i} className="price-step">
          from{' '}
          <input
            className="value figures"
            aria-label={`From how many, step ${i + 1}`}
            size={4}
            value={step.from}
            onChange={(event) =>
              set({ steps: steps.map((one, at) => (at === i ? { ...one, from: event.target.value } : one)) })
            }
          />{' '}
          on, each{' '}
          <input
            className="value figures"
            aria-label={`Price of one, step ${i + 1}`}
            size={7}
            value={step.price}
            onChange={(event) =>
              set({ steps: steps.map((one, at) => (at === i ? { ...one, price: event.target.value } : one)) })
            }
          />{' '}
          <button
            type="button"
            className="link-button"
            onClick={() => set({ steps: steps.filter((_, at) => at !== i) })}
          >
            Remove
          </button>
        </p>
      ))}
      {beside('item.steps') && <p className="staff-field-error">{beside('item.steps')}</p>}
      <p>
        <button
          type="button"
          className="link-button"
          onClick={() => set({ steps: [...steps, { from: '', price: '' }] })}
        >
          Another price from a quantity on
        </button>
      </p>
      {keep.error && violations.length === 0 && <Trouble title="Not saved">{keep.error.message}</Trouble>}
      <p className="visit-buttons">
        <Button type="submit" size="small" variant="contained" disabled={keep.isPending}>
          {item?.retired ? 'Offer it again' : 'Save'}
        </Button>{' '}
        {item && !item.retired && (
          <Button size="small" variant="outlined" disabled={keep.isPending} onClick={() => save(true)}>
            Retire it
          </Button>
        )}{' '}
        <Button size="small" variant="outlined" onClick={leave}>
          Leave it
        </Button>
      </p>
    </form>
  );
}
