<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A step of the way from inquiry to done. */
#[ORM\Entity]
class Stage
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $position,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40, unique: true)]
        public string $name,
    ) {
        $this->id = Ids::next();
    }
}
