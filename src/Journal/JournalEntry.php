<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Action;
use Telamon\Record\Journaled;

/** What a change did to one record: its columns before and after, as the database holds them. */
#[ORM\Entity]
#[ORM\Index(columns: ['record_id', 'id'])]
#[ORM\Index(columns: ['record_id', 'seq'])]
#[ORM\Index(columns: ['client_id', 'id'])]
#[ORM\Index(columns: ['project_id', 'id'])]
class JournalEntry
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * The order in which entries were written, given by the database.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(insertable: false, updatable: false, options: ['default' => 0])]
    public int $seq = 0;

    /**
     * @param class-string $recordClass
     * @param array<string, mixed> $before by property; empty for a new record
     * @param array<string, mixed> $after by property; empty for a removed one
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Change $change,
        #[ORM\Column(enumType: Action::class)]
        public readonly Action $action,
        #[ORM\Column]
        public readonly string $recordClass,
        #[ORM\Column(length: 20)]
        public readonly string $recordKind,
        #[ORM\Column(length: 36)]
        public readonly string $recordId,
        #[ORM\Column(length: 300)]
        public readonly string $recordLabel,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $clientId,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $projectId,
        #[ORM\Column(type: 'json')]
        public readonly array $before,
        #[ORM\Column(type: 'json')]
        public readonly array $after,
    ) {
        $this->id = Ids::next();
    }

    /** @return array{kind: string, id: string, label: string, path: string|null} as RecordRef in the contract */
    public function record(): array
    {
        return self::named($this->recordClass, $this->recordKind, $this->recordId, $this->recordLabel, $this->clientId, $this->projectId);
    }

    /** @return array{kind: string, id: string, label: string, path: string|null} as RecordRef in the contract */
    public static function named(string $class, string $kind, string $id, string $label, ?string $client, ?string $project): array
    {
        return [
            'kind' => $kind,
            'id' => $id,
            'label' => $label,
            'path' => is_a($class, Journaled::class, true) ? $class::pathOf($id, '' === $client ? null : $client, '' === $project ? null : $project) : null,
        ];
    }
}
