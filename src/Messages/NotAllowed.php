<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** It advertises, and its client has not allowed that. */
final class NotAllowed extends Refusal
{
    public function __construct(Message $message)
    {
        parent::__construct(mb_substr("It advertises, and {$message->toName} has not said yes to “{$message->consent}”. Write their consent down first.", 0, 500));
    }

    public function title(): string
    {
        return 'Not allowed by the client';
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }
}
