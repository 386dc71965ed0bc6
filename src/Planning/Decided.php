<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Telamon\Core\Planning\Amendments;

/** What has been decided on a plan that is not accepted yet, by whom. */
final readonly class Decided
{
    /**
     * @param int $version grows with every change; 0 where nothing was decided
     * @param array<string, string> $choices by key
     * @param array<string, string> $answers put right, by question key
     */
    public function __construct(
        public int $version = 0,
        public string $by = '',
        public string $at = '',
        public array $choices = [],
        public array $answers = [],
        public Amendments $amendments = new Amendments(),
    ) {
    }

    /** @return array<string, mixed> as Decided in the contract */
    public function toArray(): array
    {
        return [
            'version' => $this->version, 'by' => $this->by, 'at' => $this->at, 'choices' => (object) $this->choices, 'answers' => (object) $this->answers,
            'dropped' => $this->amendments->dropped, 'edits' => (object) array_map(static fn (array $values): object => (object) $values, $this->amendments->edits),
            'added' => array_map(static fn (array $one): array => ['kind' => $one['kind'], 'values' => (object) $one['values']], $this->amendments->added),
        ];
    }
}
