import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { when } from '../../shared/words';
import { MessageMark } from './messageState';

/** Messages of a client or project, a line each. */
export function MessageLines({ messages, today }: { messages: Schema<'MessageRow'>[]; today: string }) {
  return (
    <ul className="rows lines">
      {messages.map((message) => (
        <li key={message.id}>
          <span className="line-top">
            <Link to={`/messages/${message.id}`}>{message.subject}</Link>
            {message.channel === 'text' && <small className="second"> text</small>}
            <MessageMark state={message.state} />
          </span>
          <small>
            {message.kind === 'notice' ? `to ${message.toName}` : message.to},{' '}
            {when(message.sentAt ?? message.queuedAt, today)}
          </small>
        </li>
      ))}
    </ul>
  );
}
