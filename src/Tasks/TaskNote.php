<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Staff;

/** What somebody says of a task, or how long they worked on it. */
#[ORM\Entity]
#[ORM\Index(columns: ['task_id', 'at'])]
class TaskNote implements PartOf
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param int $minutes of work that it logs; 0 for a comment alone */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Task $task,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
        #[ORM\Column(type: 'text')]
        public readonly string $text,
        #[ORM\Column(options: ['default' => 0])]
        public readonly int $minutes = 0,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    public static function partKind(): string
    {
        return 'note';
    }

    public function recordKind(): string
    {
        return 'task';
    }

    public function recordLabel(): string
    {
        return mb_substr('' === $this->text ? "{$this->minutes} minutes" : $this->text, 0, 100);
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
        return $this->task->recordContext();
    }
}
