<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;

/** Puts an asset of the client on file. */
final readonly class MakeAsset implements Changeable
{
    /**
     * @param array<string, string> $custom own fields by key
     */
    public function __construct(
        public string $description,
        public string $place,
        public string $make = '',
        public string $model = '',
        public string $serial = '',
        public string $notes = '',
        public array $custom = [],
    ) {
    }

    public static function name(): string
    {
        return 'asset.create';
    }

    public function fields(): array
    {
        return [
            new LineField('description', 'What it is', 'text', $this->description),
            new LineField('serial', 'Number', 'text', $this->serial),
            new LineField('place', 'Where', 'text', $this->place),
        ];
    }

    public function with(array $values): static
    {
        return new self($values['description'] ?? $this->description, $values['place'] ?? $this->place, $this->make, $this->model, $values['serial'] ?? $this->serial, $this->notes, $this->custom);
    }
}
