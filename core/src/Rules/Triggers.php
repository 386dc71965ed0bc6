<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Rules\Triggers\Accepted;
use Telamon\Core\Rules\Triggers\AgreementSigned;
use Telamon\Core\Rules\Triggers\ClientChanged;
use Telamon\Core\Rules\Triggers\QuoteAccepted;
use Telamon\Core\Rules\Triggers\QuoteDeclined;
use Telamon\Core\Rules\Triggers\QuoteExpired;
use Telamon\Core\Rules\Triggers\QuoteOpened;
use Telamon\Core\Rules\Triggers\Received;
use Telamon\Core\Rules\Triggers\StageChanged;
use Telamon\Core\Rules\Triggers\TaskDone;
use Telamon\Core\Rules\Triggers\Unfinished;
use Telamon\Core\Rules\Triggers\VisitBooked;
use Telamon\Core\Rules\Triggers\VisitCancelled;
use Telamon\Core\Rules\Triggers\VisitHeld;
use Telamon\Core\Rules\Triggers\VisitMissed;
use Telamon\Core\Rules\Triggers\VisitMoved;

/** All that sets rules off. */
final class Triggers
{
    /** @var list<class-string<Trigger>> in the order that the editor offers them */
    public const ALL = [
        Received::class,
        Unfinished::class,
        Accepted::class,
        StageChanged::class,
        TaskDone::class,
        ClientChanged::class,
        VisitBooked::class,
        VisitMoved::class,
        VisitCancelled::class,
        VisitHeld::class,
        VisitMissed::class,
        QuoteOpened::class,
        QuoteAccepted::class,
        QuoteDeclined::class,
        QuoteExpired::class,
        AgreementSigned::class,
    ];

    /** @return list<Trigger> */
    public static function all(): array
    {
        return array_map(static fn (string $trigger): Trigger => new $trigger(), self::ALL);
    }

    public static function find(string $name): ?Trigger
    {
        foreach (self::ALL as $trigger) {
            if ($trigger::name() === $name) {
                return new $trigger();
            }
        }

        return null;
    }
}
