<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

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

    public function sentence(Telling $telling, Sources $from): array
    {
        $parts = [Part::words("Add {$telling->assetWord} ")];
        $named = array_filter(
            ['description' => $this->description === trim("{$this->make} {$this->model}") ? '' : $this->description, 'make' => $this->make, 'model' => $this->model],
            static fn (string $text): bool => '' !== $text,
        );
        foreach ($named as $name => $text) {
            array_push($parts, ...(1 === \count($parts) ? [] : [Part::words(' ')]), ...[$from->part($name, $text)]);
        }
        foreach (['serial' => [] === $named ? 'number ' : ', number ', 'place' => ', at '] as $name => $words) {
            if ('' !== $this->$name) {
                array_push($parts, Part::words($words), $from->part($name, $this->$name));
            }
        }

        return $parts;
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
        return new self(
            $values['description'] ?? $this->description,
            $values['place'] ?? $this->place,
            $this->make,
            $this->model,
            $values['serial'] ?? $this->serial,
            $this->notes,
            $this->custom,
        );
    }
}
