<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** A room of the notice board. */
#[ORM\Entity]
class NoticeRoom implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $about = '';

    /**
     * Whether only its members may read it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $closed = false;

    /**
     * @var list<string> ids of staff; empty for everybody
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $members = [];

    public function __construct(
        #[ORM\Column(name: 'code', length: 40, unique: true)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60)]
        public string $name,
    ) {
        $this->id = Ids::next();
    }

    /** @param list<string> $members ids of staff */
    public function become(string $name, string $about, bool $closed, array $members): void
    {
        $this->name = $name;
        $this->about = $about;
        $this->closed = $closed;
        $this->members = $members;
    }

    public function admits(Staff $staff): bool
    {
        return !$this->closed || \in_array($staff->id, $this->members, true);
    }

    public function isFor(Staff $staff): bool
    {
        return [] === $this->members || \in_array($staff->id, $this->members, true);
    }

    public static function partKind(): string
    {
        return 'room';
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/notices/$id";
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
