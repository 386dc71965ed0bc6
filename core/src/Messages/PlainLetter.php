<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A filled document as plain text: lists with marks, links with their addresses behind them. */
final class PlainLetter
{
    /** @param list<array<string, mixed>> $blocks */
    public static function of(array $blocks, string $indent = ''): string
    {
        $parts = [];
        foreach ($blocks as $block) {
            $attrs = Node::attrs($block);
            $parts[] = match ($block['type']) {
                'horizontalRule' => '----',
                'picture' => '' === ($attrs['alt'] ?? '') ? '' : "[{$attrs['alt']}]",
                'button' => ($attrs['label'] ?? '').': '.($attrs['href'] ?? ''),
                'bulletList', 'orderedList' => self::items($block, $indent),
                'paragraph', 'heading' => self::line(Node::content($block)),
                default => self::of(Node::content($block), $indent),
            };
        }

        return implode("\n\n", array_filter($parts, static fn (string $part): bool => '' !== $part));
    }

    /** @param array<string, mixed> $list */
    private static function items(array $list, string $indent): string
    {
        $items = [];
        foreach (Node::content($list) as $at => $item) {
            $mark = 'orderedList' === $list['type'] ? ($at + 1).'. ' : '- ';
            $inner = str_replace("\n\n", "\n", self::of(Node::content($item), "$indent  "));
            $items[] = $indent.$mark.str_replace("\n", "\n$indent".str_repeat(' ', \strlen($mark)), ltrim($inner));
        }

        return implode("\n", $items);
    }

    /** @param list<array<string, mixed>> $nodes */
    private static function line(array $nodes): string
    {
        $text = '';
        foreach ($nodes as $at => $node) {
            if ('hardBreak' === $node['type']) {
                $text = rtrim($text, ' ')."\n";
                continue;
            }
            $text .= Node::text($node);
            $href = Node::href($node);
            // A link of several pieces is told once, after its last.
            if ('' !== $href && $href !== Node::href($nodes[$at + 1] ?? []) && $href !== Node::text($node)) {
                $text .= ' ('.(string) preg_replace('/^(mailto|tel):/', '', $href).')';
            }
        }

        return trim($text);
    }
}
