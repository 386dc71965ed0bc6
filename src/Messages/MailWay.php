<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\Mailer\Transport\TransportInterface;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Reading\EmailReader;
use Telamon\Refusal\InvalidInput;
use Telamon\StandIn\Mailbox;

/** By a mail server. */
final readonly class MailWay implements Way
{
    public function __construct(private TransportInterface $mailer, private EmailMaker $emails, private EmailReader $reader, private Mailbox $mailbox, private string $mailerDsn)
    {
    }

    public static function channel(): Channel
    {
        return Channel::Mail;
    }

    public function kind(): ContactKind
    {
        return ContactKind::Email;
    }

    public function of(Client $client): string
    {
        return $client->first(ContactKind::Email) ?? '';
    }

    public function address(string $given): string
    {
        return $this->reader->read($given) ?? throw new InvalidInput('to', '' === trim($given) ? 'Write the mail address that it goes to.' : $this->reader->fault($given) ?? 'Write a mail address.');
    }

    public function refuseLong(string $text): void
    {
    }

    public function carry(Message $message): MessageState
    {
        $this->mailer->send($this->emails->make($message));

        return MessageState::Sent;
    }

    /** A stand-in knows; a mail server cannot be asked. */
    public function wasDelivered(Message $message): ?bool
    {
        return str_starts_with($this->mailerDsn, 'mailbox:') ? $this->mailbox->has($message->id) : null;
    }

    /** As it went out; where it has not gone out yet, as it would. */
    public function kept(Message $message): array
    {
        return ['bytes' => $this->mailbox->read($message->id) ?? $this->emails->make($message)->toString(), 'type' => 'message/rfc822', 'name' => "{$message->id}.eml"];
    }
}
