<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\OfferTimes;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\LetChoose;
use Telamon\Core\Rules\RuleAction;

/** A link to choose a time; none where one is booked with it already. */
final readonly class TimesLine implements ActionLines
{
    public static function of(): string
    {
        return LetChoose::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof LetChoose);

        return null !== $at->now->inquiry->booked ? $at->says('Messages', 'No link to choose a time: one is booked already') : $at->does('Messages', new OfferTimes($action->page));
    }
}
