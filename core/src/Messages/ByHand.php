<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A filled document as an editor takes it up, to be written on by hand: no conditions, no empty words, a break where a value has one. */
final class ByHand
{
    /**
     * @param list<array<string, mixed>> $blocks as they are shown: fields are texts already
     *
     * @return list<array<string, mixed>>
     */
    public static function of(array $blocks): array
    {
        return array_map(static fn (array $block): array => match ($block['type']) {
            'paragraph', 'heading' => ['content' => self::line(Node::content($block))] + $block,
            'bulletList', 'orderedList', 'listItem' => ['content' => self::of(Node::content($block))] + $block,
            default => $block,
        }, $blocks);
    }

    /**
     * @param list<array<string, mixed>> $nodes
     *
     * @return list<array<string, mixed>>
     */
    private static function line(array $nodes): array
    {
        $line = [];
        foreach ($nodes as $node) {
            if ('text' !== $node['type']) {
                $line[] = $node;
                continue;
            }
            $marks = array_values(array_filter(Node::marks($node), static fn (array $mark): bool => 'only' !== $mark['type']));
            foreach (explode("\n", Node::text($node)) as $at => $words) {
                if ($at > 0) {
                    $line[] = ['type' => 'hardBreak'];
                }
                // An editor takes no empty text.
                if ('' !== $words) {
                    $line[] = ['type' => 'text', 'text' => $words] + ([] === $marks ? [] : ['marks' => $marks]);
                }
            }
        }

        return $line;
    }
}
