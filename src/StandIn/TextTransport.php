<?php

declare(strict_types=1);

namespace Telamon\StandIn;

use Symfony\Component\Notifier\Exception\UnsupportedMessageTypeException;
use Symfony\Component\Notifier\Message\MessageInterface;
use Symfony\Component\Notifier\Message\SentMessage;
use Symfony\Component\Notifier\Message\SmsMessage;
use Symfony\Component\Notifier\Transport\TransportInterface;

/** Hands texts to the stand-in. */
final readonly class TextTransport implements TransportInterface, \Stringable
{
    /** A number that ends so is refused, so that failing can be tried out. */
    public const REFUSED = '0000';

    public function __construct(private TextFolder $folder)
    {
    }

    public function send(MessageInterface $message): SentMessage
    {
        if (!$message instanceof SmsMessage) {
            throw new UnsupportedMessageTypeException(self::class, SmsMessage::class, $message);
        }
        if (str_ends_with($message->getPhone(), self::REFUSED)) {
            // Stands in for what gateways do with numbers that are none.
            throw new \RuntimeException("The number {$message->getPhone()} was refused.", 550);
        }
        $id = $message->getOptions();
        $this->folder->deliver($id instanceof TextId ? $id->id : throw new \LogicException('the stand-in needs an id'), $message->getPhone(), $message->getSubject());

        return new SentMessage($message, (string) $this);
    }

    public function supports(MessageInterface $message): bool
    {
        return $message instanceof SmsMessage;
    }

    public function __toString(): string
    {
        return 'text-folder://stand-in';
    }
}
