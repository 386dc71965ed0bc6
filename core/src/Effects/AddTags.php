<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Tags a record. */
final readonly class AddTags implements Changeable
{
    /**
     * @param string $record client or project
     * @param list<string> $tags
     */
    public function __construct(
        public string $record,
        public array $tags,
    ) {
    }

    public static function name(): string
    {
        return 'tags.add';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words("Tag the {$this->record} "), $from->part('tags', implode(', ', $this->tags))];
    }

    public function fields(): array
    {
        return [
            new LineField('tags', 'Tags, parted by commas', 'text', implode(', ', $this->tags)),
        ];
    }

    public function with(array $values): static
    {
        return !isset($values['tags'])
            ? $this
            : new self($this->record, array_values(array_filter(array_map(trim(...), explode(',', $values['tags'])), static fn (string $tag): bool => '' !== $tag)));
    }
}
