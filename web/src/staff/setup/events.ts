/** What happens, in the order of a piece of work, and the templates that go out by themselves then. */
export interface Event {
  /** Name of the rule trigger that it is; empty for what no rule can wait for. */
  trigger: string;
  /** Where it is no trigger, how a sentence goes on after “when”. */
  words: string;
  client: string[];
  staff: string[];
}

const at = (trigger: string, client: string[] = [], staff: string[] = []): Event => ({
  trigger,
  words: '',
  client,
  staff,
});
const when = (words: string, client: string[], staff: string[] = []): Event => ({ trigger: '', words, client, staff });

export const events: Event[] = [
  at('received', ['copy']),
  at('unfinished'),
  at('accepted', ['confirmation'], ['notice', 'added']),
  at('stage'),
  at('task'),
  at('client'),
  when('a client is to choose a time', ['choose-time']),
  when('a time is kept for a client', ['offered']),
  at('visit-booked', ['booked', 'series']),
  at('visit-moved', ['moved']),
  when('a client asks to change a visit', [], ['wish']),
  when('a visit is near', ['reminder', 'on-the-way']),
  at('visit-cancelled', ['cancelled']),
  at('visit-held'),
  at('visit-missed', ['missed']),
  when('a quote is sent', ['quote']),
  at('quote-opened'),
  when('a client answers a quote', [], ['quote-answered']),
  when('a question about a quote is answered', ['quote-reply']),
  when('a reply says yes to a quote', ['quote-yes']),
  at('quote-accepted', ['quote-accepted']),
  at('quote-declined'),
  when('a quote soon runs out', ['quote-nudge']),
  at('quote-expired'),
  when('something is to be signed', ['agreement-sign']),
  at('agreement-signed', ['agreement-signed']),
  when('a rule tells staff', [], ['told']),
  when('notices stand unseen for an hour', [], ['notices']),
];

/** Sent with something else, and not by itself. */
export const notByItself = ['agreement'];
