<?php

declare(strict_types=1);

namespace Telamon\StandIn;

use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Message;

/** A mailer transport that delivers into the stand-in mailbox. */
final class MailboxTransport extends AbstractTransport
{
    /** Mail to this domain is refused, so that failing can be tried out. */
    public const REFUSED = 'refused.example';

    public function __construct(private readonly Mailbox $mailbox)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'mailbox://stand-in';
    }

    protected function doSend(SentMessage $message): void
    {
        foreach ($message->getEnvelope()->getRecipients() as $recipient) {
            // Stands in for what servers do with addresses that are none.
            if (str_ends_with($recipient->getAddress(), '@'.self::REFUSED)) {
                $refused = new TransportException("The address {$recipient->getAddress()} was refused.", 550);
                $refused->appendDebug("[stand-in] > RCPT TO\n");
                throw $refused;
            }
        }
        $original = $message->getOriginalMessage();
        $header = $original instanceof Message ? $original->getHeaders()->getHeaderBody('Message-ID') : null;
        $id = explode('@', \is_array($header) && \is_string($header[0] ?? null) ? $header[0] : '')[0];
        $this->mailbox->deliver($id, $message->toString());
    }
}
