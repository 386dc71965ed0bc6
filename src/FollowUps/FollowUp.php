<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\FollowUps\Series;
use Telamon\Core\FollowUps\SeriesReader;
use Telamon\Database\Ids;
use Telamon\Record\Names;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A series of messages and waits, as it is kept. Who is inside keeps the version that they began with. */
#[ORM\Entity]
#[WrittenWith(Permission::Write)]
class FollowUp implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 100)]
    public string $name;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(name: 'enabled')]
    public bool $on = false;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $version = 1;

    /**
     * @var array<string, mixed> as FollowUpCourses in the contract
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[Names('template', 'staff', 'stage', 'form', 'booking-page')]
    #[ORM\Column(type: 'json')]
    public array $courses;

    public function __construct(#[ORM\Column(name: 'code', length: 40, unique: true)] public readonly string $key, string $name, Series $series)
    {
        $this->id = Ids::next();
        $this->name = $name;
        $this->courses = $series->toArray();
    }

    public function series(): Series
    {
        return (new SeriesReader())->read($this->courses);
    }

    public function become(string $name, Series $series): void
    {
        $this->name = $name;
        $this->courses = $series->toArray();
        ++$this->version;
    }

    public function turn(bool $on): void
    {
        $this->on = $on;
    }

    public static function partKind(): string
    {
        return 'follow-up';
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/follow-ups/$id";
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
