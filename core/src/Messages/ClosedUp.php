<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/**
 * A line in which fields are empty reads as if nothing had stood there: no “, ,”, no comma before the full stop, no two
 * spaces (common practice in typesetting).
 */
final readonly class ClosedUp
{
    /**
     * @param list<array<string, mixed>> $line texts and breaks; a field that nothing fills is a text without signs
     *
     * @return list<array<string, mixed>> without those
     */
    public static function of(array $line): array
    {
        $closed = [];
        $open = false;
        foreach ($line as $node) {
            $text = \is_string($node['text'] ?? null) ? $node['text'] : '';
            if ('text' === $node['type'] && '' === $text) {
                $open = true;
                continue;
            }
            $last = \count($closed) - 1;
            $before = $last >= 0 && 'text' === $closed[$last]['type'] && \is_string($closed[$last]['text'] ?? null) ? $closed[$last]['text'] : '';
            if ($open) {
                [$before, $text] = self::joined($before, 'text' === $node['type'] ? $text : '');
                if ($last >= 0 && 'text' === $closed[$last]['type']) {
                    $closed[$last]['text'] = $before;
                }
            }
            $closed[] = 'text' === $node['type'] ? ['text' => $text] + $node : $node;
            $open = false;
        }
        $last = \count($closed) - 1;
        if ($open && $last >= 0 && 'text' === $closed[$last]['type'] && \is_string($closed[$last]['text'] ?? null)) {
            $closed[$last]['text'] = self::joined($closed[$last]['text'], '')[0];
        }

        return array_values(array_filter($closed, static fn (array $node): bool => 'text' !== $node['type'] || '' !== $node['text']));
    }

    /** @return array{string, string} what stands before the empty place and behind it, so that both read on */
    private static function joined(string $before, string $after): array
    {
        if (1 === preg_match('/^\s*[,.;:!?)]/u', $after)) {
            // What ends or goes on behind it takes the place of the comma before it.
            return [(string) preg_replace('/\s*,?\s*$/u', '', $before), '' === trim($before) ? (string) preg_replace('/^\s*,\s*/u', '', $after) : ltrim($after)];
        }
        if ('' === trim($after)) {
            return [(string) preg_replace('/\s*,?\s*$/u', '', $before), $after];
        }

        return [$before, '' === $before || 1 === preg_match('/\s$/u', $before) ? ltrim($after) : $after];
    }
}
