<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** A day on which the business does not work. */
#[ORM\Entity]
class Closure implements PartOf
{
    use Setting;

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

    public function become(\DateTimeImmutable $day, string $name): void
    {
        $this->day = $day;
        $this->name = $name;
    }

    public static function partKind(): string
    {
        return 'closure';
    }

    public function recordLabel(): string
    {
        return "{$this->name}, {$this->day->format('j F Y')}";
    }
}
