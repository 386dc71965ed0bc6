<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\KnownAs;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** Something that an appointment takes and that only one can have at a time: a van, a room. */
#[ORM\Entity]
#[KnownAs('resource', 'id')]
class Resource implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(options: ['default' => false])]
    public bool $gone = false;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60)]
        public string $name,
    ) {
        $this->id = Ids::next();
    }

    public function become(string $name, bool $gone): void
    {
        $this->name = $name;
        $this->gone = $gone;
    }

    public static function partKind(): string
    {
        return 'resource';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
