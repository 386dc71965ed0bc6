<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** Something to do on a project. */
#[ORM\Entity]
#[ORM\Index(columns: ['project_id', 'position'])]
#[ORM\Index(columns: ['finished_at', 'due', 'id'])]
#[ORM\Index(columns: ['item'])]
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
     * Full key of the checklist's item that it came from; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 121, options: ['default' => ''])]
    public string $item = '';

    /**
     * Of the checklist.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 0])]
    public int $listVersion = 0;

    /**
     * Working days.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 1])]
    public int $takes = 1;

    /**
     * Minutes of work.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 0])]
    public int $effort = 0;

    /**
     * @var array<string, mixed> what else the item says: group, words, due, doneBy, approval, shown, steps
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $brief = [];

    /**
     * Whether a person set its day: it does not move by itself then.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $handDated = false;

    /**
     * Whether a person said what it waits for: no version of its checklist changes that.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $handWaits = false;

    /**
     * Whether a person said how long it takes.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $handTakes = false;

    /**
     * @var list<int> places of the steps that are ticked
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $ticked = [];

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

    /** As somebody writes it by hand: another day than before stays where it is. */
    public function become(string $name, \DateTimeImmutable $due): void
    {
        $this->name = $name;
        $this->handDated = $this->handDated || $due->format('Y-m-d') !== $this->due->format('Y-m-d');
        $this->due = $due;
    }

    /** As it follows from what it hangs on. */
    public function fallDue(\DateTimeImmutable $due): void
    {
        $this->due = $due;
    }

    /** It follows its checklist again. */
    public function dateItself(): void
    {
        $this->handDated = false;
    }

    public function briefed(TaskBrief $brief, bool $handDated = false): void
    {
        $this->item = $brief->item;
        $this->listVersion = $brief->version;
        $this->takes = $this->handTakes ? $this->takes : $brief->takes;
        $this->effort = $brief->effort;
        $this->brief = [
            'group' => $brief->group,
            'words' => $brief->words,
            'due' => $brief->due,
            'doneBy' => $brief->doneBy,
            'approval' => $brief->approval,
            'shown' => $brief->shown,
            'steps' => $brief->steps,
        ];
        $this->handDated = $this->handDated || $handDated;
    }

    public function briefedLike(self $other): void
    {
        [$this->item, $this->listVersion, $this->takes, $this->effort, $this->brief] = [$other->item, $other->listVersion, $other->takes, $other->effort, $other->brief];
    }

    /** As long and as much work as somebody says. */
    public function take(int $days, int $minutes): void
    {
        $this->handTakes = $this->handTakes || $days !== $this->takes;
        $this->takes = $days;
        $this->effort = $minutes;
    }

    /** @param list<int> $places of its steps */
    public function tick(array $places): void
    {
        $this->ticked = $places;
    }

    /** @return list<string> */
    public function steps(): array
    {
        $steps = $this->brief['steps'] ?? [];

        return \is_array($steps) ? array_values(array_filter($steps, \is_string(...))) : [];
    }

    /** Whether a checklist says when it is due: not one that a person, a rule or a yearly care dated. */
    public function followsList(): bool
    {
        return '' !== $this->item && $this->listVersion > 0;
    }

    /** Whether its day is counted from this: item for the completion of another, appointment and so on. */
    public function isDueAfter(string $what): bool
    {
        $due = $this->brief['due'] ?? null;

        return \is_array($due) && $what === ($due['from'] ?? null);
    }

    /** @return string one of the texts that its item says, empty where it says none */
    public function told(string $what): string
    {
        return \is_string($this->brief[$what] ?? null) ? $this->brief[$what] : '';
    }

    /** @param list<int> $waitsFor positions of the tasks that come first */
    public function standAt(int $position, array $waitsFor): void
    {
        $this->position = $position;
        $this->waitsFor = $waitsFor;
    }

    /** @param list<int> $waitsFor as somebody says: it stays so */
    public function waitByHand(array $waitsFor): void
    {
        $this->handWaits = $this->handWaits || $waitsFor !== $this->waitsFor;
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
