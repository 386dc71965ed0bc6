import { NavLink, useNavigate, useParams, useSearchParams } from 'react-router';
import { ProblemError, type Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import '../definition/forms.css';
import { useKey } from '../keys';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind } from '../shell/Behind';
import { partsOf, taking } from '../shell/parts';
import { useEdited } from '../shell/useEdited';
import { useKeepRule, useMoveRule, useRules, useTakeOutRule, type KeptRule, type Offers } from './queries';
import { draft, editing, fresh, type Editing } from './rule';
import { RuleEditor } from './RuleEditor';
import { PartsOfRules } from './PartsOfRules';
import { RuleHistory } from './RuleHistory';
import './rules.css';
import { Trial } from './Trial';

/** Handling rules: what goes into a plan when something holds, in the order they apply. */
export function RulesScreen() {
  const { id } = useParams();
  const list = useRules();
  const rules = list.data?.items ?? [];
  const kept = rules.find((rule) => rule.id === id);
  if (list.data && id && id !== 'new' && !kept) return <NotFound what="rule" />;
  const shown = id === 'new' ? undefined : (kept ?? rules[0]);
  return (
    <Rules key={id === 'new' ? 'new' : (shown?.id ?? '')} list={list} rules={rules} kept={shown} isNew={id === 'new'} />
  );
}

interface Props {
  list: ReturnType<typeof useRules<Schema<'RuleList'>>>;
  rules: KeptRule[];
  kept: KeptRule | undefined;
  isNew: boolean;
}

function Rules({ list, rules, kept, isNew }: Props) {
  const navigate = useNavigate();
  const toast = useToast();
  const today = useToday();
  const keep = useKeepRule();
  const move = useMoveRule();
  const takeOut = useTakeOutRule();
  // Kept under the rule's name: choosing another one loses nothing.
  const { edited, set: setEdited, sending } = useEdited<Editing>('rule', kept?.id ?? 'new');
  // Whoever leads here may know when it is to speak.
  const [search] = useSearchParams();
  const speaks = list.data?.offers.triggers.find((one) => one.value === search.get('when'))?.value ?? fresh.when;
  const rule = edited ?? (kept ? editing(kept) : isNew ? { ...fresh, when: speaks } : null);
  const faults =
    keep.error instanceof ProblemError
      ? Object.fromEntries(keep.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  const behind = kept !== undefined && edited !== null && edited.version !== kept.version;
  const place = rules.findIndex((one) => one.id === kept?.id);
  const go = (to: number) => {
    const next = rules[to];
    if (next) void navigate(`/rules/${next.id}`);
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const save = (enabled?: boolean) => {
    if (!rule || keep.isPending) return;
    const to = enabled === undefined ? rule : { ...rule, enabled };
    const afterwards = sending();
    keep.mutate(draft(to), {
      onSuccess: (saved) => {
        afterwards(saved.id, (typed) => ({ ...typed, id: saved.id, version: saved.version, enabled: saved.enabled }));
        toast({ words: `${saved.name} saved, ${saved.enabled ? 'on' : 'off'}` });
        void navigate(`/rules/${saved.id}`, { replace: true });
      },
    });
  };
  const shift = (up: boolean) => kept && move.mutate({ id: kept.id, up });
  const leave = () =>
    kept &&
    takeOut.mutate(kept.id, {
      onSuccess: () => {
        toast({ words: `${kept.name} removed. U takes it back.` });
        void navigate('/rules');
      },
    });
  useKey('up', kept ? () => shift(true) : undefined);
  useKey('down', kept ? () => shift(false) : undefined);
  useKey('takeOut', kept ? leave : undefined);
  const blocks: PlinthBlock[] = rule
    ? [
        {
          label: keep.isPending ? 'Saving…' : 'Save',
          keyName: 'main',
          main: true,
          disabled: keep.isPending || (edited === null && !isNew),
          act: () => save(),
        },
        { label: rule.enabled ? 'Switch off' : 'Switch on', act: () => save(!rule.enabled), disabled: keep.isPending },
      ]
    : [];
  return (
    <Pillars
      title={rule?.name ? `${rule.name}, Rules` : 'Rules'}
      pillars={[
        {
          name: 'List',
          width: '260px',
          middling: '236px',
          folds: true,
          tally: rules.length || undefined,
          content: (
            <>
              <PartsOfRules rules={rules.length || undefined} />
              <div className="pillar-head">
                <h1>Rules</h1>
                <small>in their order</small>
              </div>
              {list.isPending && <ComingRows rows={6} />}
              {list.isError && (
                <Trouble title="Not loaded" again={() => void list.refetch()}>
                  {list.error.message}
                </Trouble>
              )}
              {list.isSuccess && rules.length === 0 && (
                <Empty fact="No rules yet.">A rule puts tasks, tags, notes and people into plans by itself.</Empty>
              )}
              <ol className="rule-list">
                {rules.map((one) => (
                  <li key={one.id}>
                    <NavLink to={`/rules/${one.id}`} className={one.id === kept?.id ? 'rule-row active' : 'rule-row'}>
                      <span className="line-top">
                        <b>{one.name}</b>
                        {one.enabled ? <Mark kind="done">on</Mark> : <Mark kind="stopped">off</Mark>}
                      </span>
                      <span className="second">
                        {one.times === 0
                          ? 'never used'
                          : `${one.times} times, last ${one.last ? when(one.last, today) : ''}`}
                        {one.failures > 0 && `, ${one.failures} with a fault`}
                      </span>
                    </NavLink>
                  </li>
                ))}
              </ol>
              <p className="rule-new">
                <NavLink to="/rules/new">New rule</NavLink>
              </p>
            </>
          ),
        },
        {
          name: 'Rule',
          sheet: true,
          width: '1fr',
          content:
            rule && list.data ? (
              <>
                {kept && <AlsoWriting name={`rule.${kept.id}`} />}
                {behind && (
                  <Behind
                    version={kept.version}
                    parts={partsOf(undefined, { ...rule, version: kept.version }, editing(kept))}
                    onGoOn={(theirs) => {
                      const now = editing(kept);
                      const chosen = partsOf(undefined, rule, now).filter((part) => theirs.includes(part.path));
                      setEdited({ ...taking(rule, chosen), version: kept.version });
                      keep.reset();
                    }}
                    onDiscard={() => {
                      setEdited(null);
                      keep.reset();
                    }}
                  />
                )}
                <OneRule
                  rule={rule}
                  offers={list.data.offers}
                  faults={faults}
                  isNew={isNew}
                  error={keep.error}
                  onEdit={(part) => setEdited({ ...rule, ...part })}
                  onMove={shift}
                  onTakeOut={leave}
                />
              </>
            ) : list.isPending ? (
              <ComingRows rows={8} />
            ) : null,
          blocks,
        },
        {
          name: 'Test',
          width: '440px',
          middling: '380px',
          content: rule ? (
            <>
              <Trial rule={rule} offers={list.data?.offers} />
              {kept && <RuleHistory offers={list.data?.offers} kept={kept} onBring={setEdited} />}
            </>
          ) : null,
        },
      ]}
    />
  );
}

interface OneProps {
  rule: Editing;
  offers: Offers;
  faults: Record<string, string>;
  isNew: boolean;
  error: Error | null;
  onEdit: (part: Partial<Editing>) => void;
  onMove: (up: boolean) => void;
  onTakeOut: () => void;
}

function OneRule({ rule, offers, faults, isNew, error, onEdit, onMove, onTakeOut }: OneProps) {
  return (
    <>
      <div className="pillar-head">
        <h2>{isNew ? 'A new rule' : rule.name}</h2>
        <small>{rule.enabled ? 'on' : 'off'}</small>
      </div>
      {!isNew && (
        <p className="rule-acts">
          <button type="button" className="link-button" onClick={() => onMove(true)}>
            earlier <kbd>Alt ↑</kbd>
          </button>
          <button type="button" className="link-button" onClick={() => onMove(false)}>
            later <kbd>Alt ↓</kbd>
          </button>
          <button type="button" className="link-button" onClick={onTakeOut}>
            remove <kbd>Del</kbd>
          </button>
        </p>
      )}
      {error && Object.keys(faults).length === 0 && <Trouble title="Not kept">{error.message}</Trouble>}
      <RuleEditor rule={rule} offers={offers} faults={faults} onChange={onEdit} />
    </>
  );
}
