<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A line in its sentences: for leaving out the one that cannot be filled. */
final class Sentences
{
    /**
     * @param list<array<string, mixed>> $nodes
     * @param list<string> $fields
     *
     * @return list<array<string, mixed>> without the sentences that name one of the fields
     */
    public static function without(array $nodes, array $fields): array
    {
        $left = [];
        foreach (self::of($nodes) as $sentence) {
            $names = array_filter(
                $sentence,
                static fn (array $node): bool => 'field' === $node['type'] && \is_array($node['attrs'] ?? null) && \in_array($node['attrs']['field'] ?? '', $fields, true),
            );
            if ([] === $names) {
                array_push($left, ...$sentence);
            }
        }

        return $left;
    }

    /**
     * @param list<array<string, mixed>> $nodes
     *
     * @return list<list<array<string, mixed>>>
     */
    private static function of(array $nodes): array
    {
        $sentences = [[]];
        foreach ($nodes as $node) {
            if ('text' !== $node['type'] || !\is_string($node['text'] ?? null)) {
                $sentences[\count($sentences) - 1][] = $node;
                if ('hardBreak' === $node['type']) {
                    $sentences[] = [];
                }
                continue;
            }
            $pieces = preg_split('/(?<=[.!?])(?=\s)/u', $node['text']) ?: [];
            foreach ($pieces as $at => $piece) {
                if ($at > 0) {
                    $sentences[] = [];
                }
                if ('' !== $piece) {
                    $sentences[\count($sentences) - 1][] = ['text' => $piece] + $node;
                }
            }
        }

        return $sentences;
    }
}
