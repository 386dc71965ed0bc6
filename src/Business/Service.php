<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\KnownAs;
use Telamon\Record\Names;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** A service that the business offers, who leads it, and the checklist that it adds. */
#[ORM\Entity]
#[KnownAs('service', 'key')]
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

    /**
     * What clients are told of it: mails may name it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $words = '';

    /**
     * How its lead is found: the one who is named, by turns, or whoever leads fewest.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 6, enumType: Led::class, options: ['default' => 'named'])]
    public Led $led = Led::Named;

    /**
     * @var list<string> ids of those who take turns, in their order
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[Names('staff')]
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $among = [];

    /**
     * Working minutes until a person answers; null for what the form promises.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?int $promiseMinutes = null;

    /**
     * What is to be done once a project of it is; empty for nothing.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $careTask = '';

    /**
     * So many months after.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?int $careMonths = null;

    /**
     * In this week of the year, ISO 8601.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?int $careWeek = null;

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

    /** @param list<string> $among ids of staff; not asked where one is named */
    public function takeTurns(Led $led, array $among): void
    {
        $this->led = $led;
        $this->among = $among;
    }

    public function tell(string $words): void
    {
        $this->words = $words;
    }

    /** @param int|null $minutes working minutes; null for what the form promises */
    public function promise(?int $minutes): void
    {
        $this->promiseMinutes = $minutes;
    }

    public function asksForCare(): bool
    {
        return '' !== $this->careTask && (null !== $this->careMonths || null !== $this->careWeek);
    }

    /** @param string $task empty for none */
    public function care(string $task, ?int $months, ?int $week): void
    {
        $this->careTask = $task;
        $this->careMonths = $months;
        $this->careWeek = $week;
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
