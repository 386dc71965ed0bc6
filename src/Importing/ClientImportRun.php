<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Importing\ClientField;
use Telamon\Database\Ids;
use Telamon\Staff\Staff;

/** A file of clients that somebody brought: looked at first, carried out when they say so. */
#[ORM\Entity]
#[ORM\Table(name: 'client_import')]
class ClientImportRun
{
    public const READY = 'ready';
    public const RUNNING = 'running';
    public const DONE = 'done';
    /** The file was here no more when its turn came, or could not be read. */
    public const FAILED = 'failed';

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10)]
    public string $state = self::READY;

    /**
     * @var list<string> by column: a ClientField, or empty
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $fields = [];

    /**
     * @var array<string, int> by verdict
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $counts = [];

    /**
     * @var list<array{line: int, name: string, verdict: string, why: string}> the first of those that are doubtful or wrong
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $told = [];

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $total = 0;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $done = 0;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $changeId = null;

    /** @param list<string> $heads */
    public function __construct(
        #[ORM\Column(length: 200)]
        public readonly string $fileName,
        #[ORM\Column(type: 'json')]
        public readonly array $heads,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Ids::next();
    }

    /** @return array<int, ClientField> by column */
    public function columns(): array
    {
        return array_filter(array_map(ClientField::tryFrom(...), $this->fields), static fn (?ClientField $field): bool => null !== $field);
    }

    /** @param list<string> $fields where each column goes; empty for nowhere */
    public function assign(array $fields): void
    {
        $this->fields = $fields;
    }

    public function begin(): void
    {
        $this->state = self::RUNNING;
    }

    public function lookAgain(): void
    {
        $this->counts = ['new' => 0, 'matched' => 0, 'doubtful' => 0, 'wrong' => 0];
        $this->told = [];
        $this->total = 0;
    }

    /** @param array{line: int, name: string, verdict: string, why: string}|null $told null where nothing is said of it */
    public function see(string $verdict, ?array $told): void
    {
        ++$this->total;
        $this->counts[$verdict] = ($this->counts[$verdict] ?? 0) + 1;
        if (null !== $told) {
            $this->told[] = $told;
        }
    }

    /** @return array<string, mixed> as ClientImport in the contract */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'state' => $this->state, 'fileName' => $this->fileName, 'heads' => $this->heads, 'fields' => $this->fields,
            'offers' => array_map(static fn (ClientField $field): array => ['value' => $field->value, 'label' => str_replace('_', ' ', $field->value)], ClientField::cases()),
            'counts' => $this->counts + ['new' => 0, 'matched' => 0, 'doubtful' => 0, 'wrong' => 0], 'told' => $this->told, 'total' => $this->total,
            'done' => $this->done, 'changeId' => $this->changeId,
        ];
    }
}
