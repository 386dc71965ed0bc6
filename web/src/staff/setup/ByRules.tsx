import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { queryKeys } from '../queryKeys';

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

/** What rules send at each event, to the client and to staff. */
export function ByRules() {
  const list = useQuery({ queryKey: queryKeys.rules, queryFn: () => need(api.GET('/api/rules')) });
  if (list.error) return <Trouble title="Not loaded">{list.error.message}</Trouble>;
  if (!list.data) return <ComingRows rows={4} />;
  const { items, offers } = list.data;
  const rows = offers.triggers.map((trigger) => {
    const rules = items.filter((rule) => rule.enabled && rule.when === trigger.value);
    const say = (words: (action: Action, offers: Offers) => string) =>
      rules
        .map((rule) => ({ rule, words: rule.then.map((action) => words(action, offers)).filter((one) => one !== '') }))
        .filter((one) => one.words.length > 0);
    return { trigger, client: say(toClient), staff: say(toStaff) };
  });
  return (
    <table className="events-table">
      <caption>What rules send</caption>
      <thead>
        <tr>
          <th scope="col">When</th>
          <th scope="col">To the client</th>
          <th scope="col">To staff</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ trigger, client, staff }) => (
          <tr key={trigger.value}>
            <td>{trigger.label}</td>
            {[client, staff].map((said, i) => (
              <td key={i}>
                {said.length === 0 && <span className="second">nothing</span>}
                {said.map(({ rule, words }) => (
                  <span key={rule.id} className="events-rule">
                    {words.join(', ')} <Link to={`/rules/${rule.id}`}>{rule.name}</Link>
                  </span>
                ))}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
