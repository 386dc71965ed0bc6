<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A day on which the business does not work. */
#[ORM\Entity]
class Closure
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable', unique: true)]
        public \DateTimeImmutable $day,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
    ) {
        $this->id = Ids::next();
    }
}
