<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface as MailFailed;
use Symfony\Component\Mailer\Transport\TransportInterface as Mailer;
use Symfony\Component\Notifier\Message\SmsMessage;
use Symfony\Component\Notifier\Transport\TransportInterface as Texter;
use Telamon\StandIn\TextId;

/** Hands a message to whoever carries it: a mail server, or a gateway for texts. */
final readonly class Carrier
{
    public function __construct(private Mailer $mailer, #[Autowire(service: 'texter.transports')] private Texter $texter, private EmailMaker $emails, private string $textDsn)
    {
    }

    /**
     * @throws MailFailed
     * @throws \RuntimeException where it was refused or could not be handed over
     */
    public function carry(Message $message): void
    {
        if (Channel::Mail === $message->channel) {
            $this->mailer->send($this->emails->make($message));

            return;
        }
        $this->texter->send(new SmsMessage($message->toAddress, $message->text, options: str_starts_with($this->textDsn, 'text-folder:') ? new TextId($message->id) : null));
    }
}
