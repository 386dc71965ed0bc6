<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Psr\Clock\ClockInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Telamon\Business\Profile;
use Telamon\Database\Ids;
use Telamon\Messages\Message;
use Telamon\Messages\SignedAddresses;

/** Writes a mail as a client's program would: with the ids of what it answers, and that repeated below. */
final readonly class StandInLetters
{
    public function __construct(private SignedAddresses $addresses, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param Message|null $message what it answers
     * @param string $subject empty for the usual one
     *
     * @return string RFC 5322
     */
    public function write(?Message $message, string $from, string $subject, string $words): string
    {
        $email = (new Email())->from(new Address($from, $message->toName ?? ''))
            ->date($this->clock->now())
            ->to(null === $message ? $this->business->business()->email : $this->addresses->replyTo($message));
        $email->subject('' !== $subject ? $subject : (null === $message ? 'A question' : "Re: {$message->subject}"));
        $quoted = null === $message ? '' : "\n\nOn {$message->queuedAt->format('D, j M Y')}, {$message->fromName} wrote:\n> ".str_replace("\n", "\n> ", $message->text);
        $email->text("$words$quoted\n");
        $email->getHeaders()->addIdHeader('Message-ID', Ids::next().'@stand-in.example');
        if (null !== $message) {
            $email->getHeaders()->addIdHeader('In-Reply-To', $message->id.'@'.substr($message->fromAddress, (int) strrpos($message->fromAddress, '@') + 1));
        }

        return $email->toString();
    }
}
