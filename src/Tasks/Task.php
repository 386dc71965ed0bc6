<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** Something to do on a project. */
#[ORM\Entity]
#[ORM\Index(columns: ['project_id', 'position'])]
#[ORM\Index(columns: ['finished_at', 'due', 'id'])]
class Task implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $finishedAt = null;

    /**
     * @param list<int> $waitsFor positions of the tasks of this project that come first
     * @param string $checklist where it came from
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Project $project,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $position,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $assignee,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $due,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $waitsFor,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $checklist,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    public function giveTo(Staff $assignee): void
    {
        $this->assignee = $assignee;
    }

    /** As somebody writes it by hand. */
    public function become(string $name, \DateTimeImmutable $due): void
    {
        $this->name = $name;
        $this->due = $due;
    }

    /** @param list<int> $waitsFor positions of the tasks that come first */
    public function standAt(int $position, array $waitsFor): void
    {
        $this->position = $position;
        $this->waitsFor = $waitsFor;
    }

    public function beOpen(): void
    {
        $this->finishedAt = null;
    }

    public function finish(\DateTimeImmutable $now): void
    {
        $this->finishedAt = $now;
    }

    public function recordKind(): string
    {
        return 'task';
    }

    public function recordLabel(): string
    {
        return "{$this->position} {$this->name}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $project ? null : "/projects/$project";
    }

    public function recordContext(): array
    {
        return ['client' => $this->project->client->id, 'project' => $this->project->id];
    }
}
