<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** How long the road takes from one area to another. */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['"from"', '"to"'], name: 'UNIQ_road')]
class Road implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(name: '`from`', length: 60)]
        public readonly string $from,
        #[ORM\Column(name: '`to`', length: 60)]
        public readonly string $to,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $minutes,
    ) {
        $this->id = Ids::next();
    }

    public function takes(int $minutes): void
    {
        $this->minutes = $minutes;
    }

    public static function partKind(): string
    {
        return 'road';
    }

    public function recordLabel(): string
    {
        return "{$this->from} to {$this->to}";
    }
}
