<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface as MailFailed;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Refusal\InvalidInput;

/** How messages of a channel are addressed and handed over: a class a channel, and nothing else knows one by name. */
#[AutoconfigureTag('telamon.message_way')]
interface Way
{
    public static function channel(): Channel;

    /** @return ContactKind|null by what clients are reached this way; null where it is none of their contact points */
    public function kind(): ?ContactKind;

    /** @return string where this client is reached this way; empty for nowhere */
    public function of(Client $client): string;

    /**
     * @return string as it is kept with a message
     *
     * @throws InvalidInput at “to”
     */
    public function address(string $given): string;

    /** @throws InvalidInput at “text” where it is longer than goes this way */
    public function refuseLong(string $text): void;

    /**
     * @return MessageState how it stands then
     *
     * @throws MailFailed
     * @throws \RuntimeException where it was refused or could not be handed over
     */
    public function carry(Message $message): MessageState;

    /** @return bool|null whether it has reached the outside; null where nobody can tell */
    public function wasDelivered(Message $message): ?bool;

    /** @return array{bytes: string, type: string, name: string}|null the message as a file; null where it is none */
    public function kept(Message $message): ?array;
}
