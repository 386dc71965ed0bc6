<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Telamon\Business\Profile;
use Telamon\Core\Slots\ByTheirClock;
use Telamon\Core\Slots\SlotPerson;
use Telamon\Staff\Staff;

/** When somebody works, by the clock of the business: their own hours, or those of the business where they have none. */
final readonly class PersonalHours
{
    public function __construct(private Profile $business)
    {
    }

    /**
     * @param array<int, list<array{int, int}>> $dates other hours by local day, by their clock
     * @param list<array{array{int, int}, array{int, int}}> $absent by their clock
     * @param int $from, $to local days that are asked for
     */
    public function of(Staff $one, array $dates, array $absent, int $from, int $to): SlotPerson
    {
        $isOwn = [] !== $one->hours;
        $person = new SlotPerson($one->id, array_map(Calendars::spans(...), $isOwn ? $one->hours : $this->business->business()->hours), $dates, $absent);
        if ('' === $one->zone || $one->zone === $this->business->zone()->getName()) {
            return $person;
        }
        $clock = new ByTheirClock(new \DateTimeZone($one->zone), $this->business->zone(), $from, $to);
        $away = array_map($clock->absence(...), $absent);
        // Without hours of their own they work when the business does, wherever they are; single days are by their clock.
        $theirs = $clock->dates($isOwn ? $person : new SlotPerson($one->id, [], $dates));

        return $isOwn ? new SlotPerson($one->id, [], $theirs, $away) : new SlotPerson($one->id, $person->hours, array_intersect_key($theirs, $dates), $away);
    }
}
