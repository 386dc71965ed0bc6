<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/**
 * What a message says, as data: a tree of nodes as the editor keeps it (type, attrs, content, marks). It is checked
 * when it is read (DocumentReader), so whoever has one can rely on its shape.
 */
final readonly class MessageDocument
{
    /** @param list<array<string, mixed>> $blocks */
    public function __construct(public array $blocks)
    {
    }

    /** @return array{type: string, content: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['type' => 'doc', 'content' => $this->blocks];
    }

    /** @return list<string> the fields that it names, also in its conditions, each once */
    public function fields(): array
    {
        $names = [];
        $blocks = $this->blocks;
        array_walk_recursive($blocks, static function (mixed $value, int|string $key) use (&$names): void {
            if ('field' === $key && \is_string($value) && '' !== $value) {
                $names[] = $value;
            }
        });

        return array_values(array_unique($names));
    }
}
