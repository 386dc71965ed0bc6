<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Form\Destination;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Messages\Incoming;
use Telamon\Submissions\Arriving;

/** Takes a text message in, once: the answer to one that was sent to that number, or an arrival. */
final readonly class TextIn
{
    public function __construct(private Threads $threads, private ReplyTaking $taking, private LetterArrivals $arrivals, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param string $id by which the same one is known again
     * @param string $from number (E.164)
     */
    public function take(string $id, string $from, string $text): Incoming
    {
        $key = "text-$id";
        $known = $this->taking->known($key);
        if (null !== $known) {
            return $this->taking->again($known);
        }
        $answers = $this->threads->ofNumber($from);
        $client = $answers->client ?? $this->threads->clientOfNumber($from);
        $one = new Incoming('text', MailOrigin::Person, $key, $from, mb_substr($client?->name() ?? '', 0, 200), '', $text, $text, $this->clock->now());
        if (null === $answers) {
            $number = $this->business->phoneReader()->format($from);
            $submission = $this->arrivals->receive([
                [Destination::ClientPhone, $from],
                [Destination::ProjectNotes, "Text from $number:\n\n$text"],
                [Destination::ClientName, $client?->name() ?? $number],
            ], [], new Arriving('text', $key, asFound: true));

            return $this->taking->keep($one, static function () use ($one, $client, $submission): void {
                $one->belong($client, null, null);
                if (null !== $submission) {
                    $one->arrivedAs($submission);
                }
            });
        }
        $taken = $this->taking->keep($one, function () use ($one, $answers, $client): void {
            $one->belong($client->mergedInto ?? $client, $answers->project, $answers);
            $this->taking->read($one);
        });

        return $taken === $one ? $this->taking->settle($one) : $taken;
    }
}
