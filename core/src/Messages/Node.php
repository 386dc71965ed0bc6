<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** What stands in a node of a document, which the reader has checked. */
final class Node
{
    /** @param array<string, mixed> $node */
    public static function href(array $node): string
    {
        foreach (self::marks($node) as $mark) {
            if ('link' === $mark['type'] && \is_string($mark['attrs']['href'] ?? null)) {
                return $mark['attrs']['href'];
            }
        }

        return '';
    }

    /**
     * @param array<string, mixed> $node
     *
     * @return array<string, string>
     */
    public static function attrs(array $node): array
    {
        return array_filter(\is_array($node['attrs'] ?? null) ? $node['attrs'] : [], \is_string(...));
    }

    /**
     * @param array<string, mixed> $node
     *
     * @return list<array{type: string, attrs?: array<string, mixed>}>
     */
    public static function marks(array $node): array
    {
        /** @var list<array{type: string, attrs?: array<string, mixed>}> $marks as the reader lets through */
        $marks = $node['marks'] ?? [];

        return $marks;
    }

    /**
     * @param array<string, mixed> $node
     *
     * @return list<array<string, mixed>>
     */
    public static function content(array $node): array
    {
        /** @var list<array<string, mixed>> $content as the reader lets through */
        $content = $node['content'] ?? [];

        return $content;
    }

    /** @param array<string, mixed> $node */
    public static function text(array $node): string
    {
        return \is_string($node['text'] ?? null) ? $node['text'] : '';
    }
}
