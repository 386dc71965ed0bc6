<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Staff\Staff;

/** A service that the business offers, who leads it, and the checklist that it adds. */
#[ORM\Entity]
class Service
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(name: 'code', length: 40, unique: true)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $lead,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $rule,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?ChecklistTemplate $addOn,
    ) {
        $this->id = Ids::next();
    }
}
