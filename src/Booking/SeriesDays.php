<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Sabre\VObject\Recur\RRuleIterator;
use Telamon\Business\Profile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;

/** The times of a series, at the same time by the clock whatever season it is (RFC 5545, RRULE; expanded by sabre/vobject). */
final readonly class SeriesDays
{
    private const MOST = 60;
    private const RULES = ['WEEKLY' => 'FREQ=WEEKLY', 'FORTNIGHTLY' => 'FREQ=WEEKLY;INTERVAL=2', 'MONTHLY' => 'FREQ=MONTHLY'];

    public function __construct(private Profile $business)
    {
    }

    /**
     * @return non-empty-list<\DateTimeImmutable> the first is the one that was given
     *
     * @throws InvalidInput
     */
    public function of(Edit $edit, \DateTimeImmutable $start): array
    {
        $every = $edit->text('every', 20) ?? '';
        if ('' === $every) {
            return [$start];
        }
        $rule = self::RULES[$every] ?? throw new InvalidInput('every', 'Choose how often.');
        $times = $edit->whole('times', 2, self::MOST) ?? throw new InvalidInput('times', 'Say how many times, 2 to '.self::MOST.'.');
        $without = $edit->texts('without', self::MOST, 10) ?? [];
        $days = [];
        $found = new RRuleIterator("$rule;COUNT=$times", $start->setTimezone($this->business->zone()));
        for (; $found->valid(); $found->next()) {
            $at = $found->current();
            if ($at instanceof \DateTimeInterface && !\in_array($at->format('Y-m-d'), $without, true)) {
                $days[] = \DateTimeImmutable::createFromInterface($at);
            }
        }

        return [] === $days ? throw new InvalidInput('without', 'Nothing is left of it.') : $days;
    }
}
