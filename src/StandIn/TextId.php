<?php

declare(strict_types=1);

namespace Telamon\StandIn;

use Symfony\Component\Notifier\Message\MessageOptionsInterface;

/** By which the stand-in knows a text again. */
final readonly class TextId implements MessageOptionsInterface
{
    public function __construct(public string $id)
    {
    }

    /** @return array{id: string} */
    public function toArray(): array
    {
        return ['id' => $this->id];
    }

    public function getRecipientId(): ?string
    {
        return null;
    }
}
