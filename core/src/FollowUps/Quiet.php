<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

use Telamon\Core\Time\WorkingDays;

/** When nothing leaves that nobody waits for. */
final readonly class Quiet
{
    /** Days that are looked through: a business may close for a season. */
    private const FARTHEST = 370;

    /** @param string $from, $until as 20:00 and 08:00; empty or equal for no quiet hours */
    public function __construct(public string $from = '', public string $until = '', public QuietDays $days = QuietDays::None)
    {
    }

    /**
     * @param \DateTimeImmutable $at in the time zone that days and hours are counted in
     *
     * @return \DateTimeImmutable the same where it is not quiet then, or else when it ends
     */
    public function after(\DateTimeImmutable $at, WorkingDays $working): \DateTimeImmutable
    {
        for ($i = 0; $i < self::FARTHEST; ++$i) {
            $next = $this->days->has($at, $working) ? $at->modify('+1 day')->setTime(0, 0) : $this->afterHours($at);
            if ($next->getTimestamp() === $at->getTimestamp()) {
                return $at;
            }
            $at = $next;
        }

        return $at;
    }

    private function afterHours(\DateTimeImmutable $at): \DateTimeImmutable
    {
        if ('' === $this->from || '' === $this->until || $this->from === $this->until) {
            return $at;
        }
        $time = $at->format('H:i');
        [$hour, $minute] = array_map(intval(...), explode(':', $this->until));
        $end = $at->setTime($hour, $minute);
        if ($this->from < $this->until) {
            return $time >= $this->from && $time < $this->until ? $end : $at;
        }

        return $time >= $this->from ? $end->modify('+1 day') : ($time < $this->until ? $end : $at);
    }
}
