<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** The moments and days that due days are counted from. */
final readonly class Anchors
{
    public \DateTimeImmutable $start;

    /**
     * @param \DateTimeImmutable $accepted a moment in the business's zone
     * @param \DateTimeImmutable|null $readyBy ISO 8601 day
     * @param \DateTimeImmutable|null $start ISO 8601 day; that of acceptance where null
     * @param \DateTimeImmutable|null $appointment a moment in the business's zone
     */
    public function __construct(
        public \DateTimeImmutable $accepted,
        public ?\DateTimeImmutable $readyBy = null,
        ?\DateTimeImmutable $start = null,
        public ?\DateTimeImmutable $appointment = null,
    ) {
        $this->start = self::day($start ?? $accepted);
    }

    /** @return \DateTimeImmutable the day that stands there whatever its zone, as days are counted */
    public static function day(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return new \DateTimeImmutable($at->format('Y-m-d'), new \DateTimeZone('UTC'));
    }
}
