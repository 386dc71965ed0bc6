<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A time that somebody has chosen on a booking page and not confirmed: nobody else gets it for ten minutes. */
#[ORM\Entity]
#[ORM\Index(columns: ['until'], name: 'time_held_until')]
class TimeHeld
{
    public const MINUTES = 10;
    /** How often it may be kept for as long again (WCAG 2.2, success criterion 2.2.1). */
    public const MOST_OFTEN = 3;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $extended = 0;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public \DateTimeImmutable $until;

    /**
     * @param string $begunBy digest of the link that it was chosen under: one link holds one time
     * @param non-empty-list<string> $staff ids
     * @param list<string> $resources ids
     */
    public function __construct(
        #[ORM\Column(length: 64, unique: true)]
        public readonly string $begunBy,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly VisitType $type,
        #[ORM\Column(type: 'json')]
        public readonly array $staff,
        #[ORM\Column(type: 'json')]
        public readonly array $resources,
        #[ORM\Column(length: 300)]
        public readonly string $place,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $endsAt,
        #[ORM\Column]
        public readonly int $clearBefore,
        #[ORM\Column]
        public readonly int $clearAfter,
        \DateTimeImmutable $now,
    ) {
        $this->id = Ids::next();
        $this->until = $now->modify('+'.self::MINUTES.' minutes');
    }

    /** @return bool false where it was kept as often as may be */
    public function keepLonger(\DateTimeImmutable $now): bool
    {
        if ($this->extended >= self::MOST_OFTEN) {
            return false;
        }
        ++$this->extended;
        $this->until = max($now, $this->until)->modify('+'.self::MINUTES.' minutes');

        return true;
    }
}
