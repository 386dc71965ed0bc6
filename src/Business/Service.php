<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** A service that the business offers, who leads it, and the checklist that it adds. */
#[ORM\Entity]
class Service implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * No longer offered; what was opened for it stays.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $retired = false;

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

    public function become(string $name, ?ChecklistTemplate $addOn, bool $retired): void
    {
        $this->name = $name;
        $this->addOn = $addOn;
        $this->retired = $retired;
    }

    /** @param string $rule why this person, “Repairs go to Sorcha” */
    public function leadBy(Staff $lead, string $rule): void
    {
        $this->lead = $lead;
        $this->rule = $rule;
    }

    public static function partKind(): string
    {
        return 'service';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
