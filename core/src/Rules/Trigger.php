<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What sets a handling rule off. Bookings, quotes and replies will join. */
enum Trigger: string
{
    /** A submission came: the rule has its part in the plan. */
    case Received = 'received';
    /** The longer form that was to follow did not come in time: the rule has its part in the plan from then on. */
    case Unfinished = 'unfinished';
    /** A plan was accepted. */
    case Accepted = 'accepted';
    /** A project came to another stage. */
    case StageChanged = 'stage';
    /** A task was finished. */
    case TaskDone = 'task';
    /** Something on file about a client was changed. */
    case ClientChanged = 'client';

    /** Whether the rule speaks before a plan is accepted; the others act at once, on what is there. */
    public function isOfPlan(): bool
    {
        return self::Received === $this || self::Unfinished === $this;
    }
}
