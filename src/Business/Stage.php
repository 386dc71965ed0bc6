<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\KnownAs;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** A step of the way from inquiry to done. */
#[ORM\Entity]
#[KnownAs('stage', 'name')]
class Stage implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * What a project in it is.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 4, enumType: StageEnd::class, options: ['default' => 'open'])]
    public StageEnd $ends = StageEnd::Open;

    /**
     * Days after which a project should have moved on.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?int $days = null;

    /**
     * @var list<string> keys of what a project needs before it comes here
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $needs = [];

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

    public function become(string $name, StageEnd $ends, ?int $days): void
    {
        $this->name = $name;
        $this->ends = $ends;
        $this->days = $days;
    }

    /** @param list<string> $needs keys */
    public function need(array $needs): void
    {
        $this->needs = $needs;
    }

    public function standAt(int $position): void
    {
        $this->position = $position;
    }

    public static function partKind(): string
    {
        return 'stage';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
