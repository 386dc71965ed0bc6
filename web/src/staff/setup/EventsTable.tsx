import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { useToast } from '../shell/Toast';
import { events, notByItself, type Event } from './events';
import { useRuleList } from '../people/queries';
import { useTemplateList } from '../shell/asked';

type Row = Schema<'TemplateRow'>;
type Rule = Schema<'HandlingRule'>;
type Offers = Schema<'RuleList'>['offers'];
type Action = Schema<'RuleAction'>;

const named = (offers: Schema<'Offer'>[], value = '') => offers.find((one) => one.value === value)?.label ?? value;

/** What an action sends to the client, in words; nothing where it sends them nothing. */
function toClient(action: Action, offers: Offers): string {
  switch (action.kind) {
    case 'message':
      return `“${named(offers.templates, action.template)}”`;
    case 'follow-up':
      return `the follow-up “${named(offers.followUps ?? [], action.followUp)}”`;
    case 'times':
      return 'times to choose from';
    default:
      return '';
  }
}

/** What an action tells staff, in words. */
function toStaff(action: Action, offers: Offers): string {
  switch (action.kind) {
    case 'notice':
      return 'a mail';
    case 'room':
      return `a notice in ${named(offers.rooms ?? [], action.room)}`;
    case 'task':
      return `the task “${action.name ?? ''}”`;
    default:
      return '';
  }
}

/** What goes to the client and to staff at each event: by itself, with a switch where it may be left out, and by rules. */
export function EventsTable() {
  const queries = useQueryClient();
  const toast = useToast();
  const rules = useRuleList();
  const templates = useTemplateList();
  const turn = useMutation({
    mutationFn: ({ id, goes }: { id: string; goes: boolean }) =>
      need(api.POST('/api/templates/{id}/goes', { params: { path: { id } }, body: { goes } })),
    onSuccess: (now) =>
      toast({ words: `“${now.name}” ${now.goes ? 'goes' : 'does not go any more'}. U takes it back.` }),
    onError: (error) => toast({ words: error.message }),
    onSettled: () => queries.invalidateQueries(),
  });
  const error = rules.error ?? templates.error;
  if (error) return <Trouble title="Not loaded">{error.message}</Trouble>;
  if (!rules.data || !templates.data) return <ComingRows rows={8} />;
  const { items, offers } = rules.data;
  const rows = templates.data;
  const known = events.flatMap((event) => [...event.client, ...event.staff]);
  // What has no event of its own here still stands in the table.
  const more = rows
    .filter((one) => one.sentWhen !== '' && ![...known, ...notByItself].includes(one.key))
    .map((one): Event => ({ trigger: '', words: one.sentWhen, client: [one.key], staff: [] }));
  const own = events.map((event) => event.trigger);
  const others = offers.triggers
    .filter((trigger) => !own.includes(trigger.value))
    .map((trigger): Event => ({ trigger: trigger.value, words: '', client: [], staff: [] }));
  return (
    <table className="events-table">
      <caption>What goes out, and when</caption>
      <thead>
        <tr>
          <th scope="col">When</th>
          <th scope="col">To the client</th>
          <th scope="col">To staff</th>
          <th scope="col">Rule</th>
        </tr>
      </thead>
      <tbody>
        {[...events, ...others, ...more].map((event) => {
          const trigger = offers.triggers.find((one) => one.value === event.trigger);
          const words = trigger?.label ?? event.words;
          if (words === '') return null;
          const at = trigger ? items.filter((rule) => rule.enabled && rule.when === trigger.value) : [];
          const cell = (keys: string[], say: typeof toClient) => (
            <Cell
              rows={keys.flatMap((key) => rows.filter((one) => one.key === key))}
              said={said(at, say, offers)}
              isBusy={turn.isPending}
              onTurn={(id, goes) => turn.mutate({ id, goes })}
            />
          );
          return (
            <tr key={words}>
              <td>{words}</td>
              <td>{cell(event.client, toClient)}</td>
              <td>{cell(event.staff, toStaff)}</td>
              <td>
                {trigger && (
                  <Link to={`/rules/new?when=${trigger.value}`} aria-label={`Add a rule for when ${words}`}>
                    Add
                  </Link>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface Said {
  rule: Rule;
  words: string[];
}

const said = (rules: Rule[], words: typeof toClient, offers: Offers): Said[] =>
  rules
    .map((rule) => ({ rule, words: rule.then.map((action) => words(action, offers)).filter((one) => one !== '') }))
    .filter((one) => one.words.length > 0);

interface CellProps {
  rows: Row[];
  said: Said[];
  isBusy: boolean;
  onTurn: (id: string, goes: boolean) => void;
}

/** What goes to one side: templates that go by themselves, then what rules add. */
function Cell({ rows, said, isBusy, onTurn }: CellProps) {
  if (rows.length + said.length === 0) return <span className="second">nothing</span>;
  return (
    <>
      {rows.map((one) => (
        <span key={one.id} className="events-rule">
          {one.optional && (
            <input
              type="checkbox"
              aria-label={`“${one.name}” goes ${one.sentWhen}`}
              checked={one.goes}
              disabled={isBusy}
              onChange={(event) => onTurn(one.id, event.target.checked)}
            />
          )}{' '}
          <Link to={`/messages/templates/${one.id}`}>{one.name}</Link>{' '}
          <span className="second figures">
            {one.sent > 0 ? `${one.sent} in 90 days` : one.optional ? '' : 'always'}
          </span>
        </span>
      ))}
      {said.map(({ rule, words }) => (
        <span key={rule.id} className="events-rule">
          {words.join(', ')} by <Link to={`/rules/${rule.id}`}>{rule.name}</Link>
        </span>
      ))}
    </>
  );
}
