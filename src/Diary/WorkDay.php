<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** Other hours of somebody on one day, in the place of those of the week; none is a day off. */
#[ORM\Entity]
#[WrittenWith(Permission::KeepDiary)]
#[ORM\UniqueConstraint(columns: ['staff_id', 'day'], name: 'UNIQ_work_day')]
class WorkDay implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param list<array{string, string}> $spans local times */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $day,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $spans,
    ) {
        $this->id = Ids::next();
    }

    /** @param list<array{string, string}> $spans */
    public function work(array $spans): void
    {
        $this->spans = $spans;
    }

    public static function partKind(): string
    {
        return 'day';
    }

    public function recordLabel(): string
    {
        return "{$this->staff->name}, {$this->day->format('j F Y')}";
    }
}
