<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** Days on which somebody of the staff is not there, the first and the last included. */
#[ORM\Entity]
class Absence implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $first,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $last,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $note,
    ) {
        $this->id = Ids::next();
    }

    public static function partKind(): string
    {
        return 'absence';
    }

    public function recordLabel(): string
    {
        return "{$this->staff->name}, {$this->first->format('j F')} to {$this->last->format('j F Y')}";
    }
}
