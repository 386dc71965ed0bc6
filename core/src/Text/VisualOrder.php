<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/**
 * Text in the order in which it is drawn from left to right, for a renderer that knows neither right-to-left writing nor
 * joined letters. A simplification of the Unicode Bidirectional Algorithm (UAX #9): one level of embedding, no explicit
 * marks, which is what answers on a form hold. Arabic letters take the forms in which they join (Unicode Standard, 9.2).
 */
final class VisualOrder
{
    /** Letters in a line of a page: longer ones are broken before they are turned, as the renderer would break them after. */
    private const LINE = 84;

    public static function of(string $text): string
    {
        if (1 !== preg_match('/[\p{Hebrew}\p{Arabic}]/u', $text)) {
            return $text;
        }

        return implode("\n", array_map(self::line(...), self::lines($text)));
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $now = '';
            foreach (1 === preg_match('/[\p{Hebrew}\p{Arabic}]/u', $line) ? explode(' ', $line) : [] as $word) {
                if ('' !== $now && mb_strlen($now) + mb_strlen($word) >= self::LINE) {
                    $lines[] = $now;
                    $now = $word;
                } else {
                    $now = '' === $now ? $word : "$now $word";
                }
            }
            $lines[] = '' === $now ? $line : $now;
        }

        return $lines;
    }

    private static function line(string $line): string
    {
        if (1 !== preg_match('/[\p{Hebrew}\p{Arabic}]/u', $line)) {
            return $line;
        }
        // P2, P3: the first letter with a direction gives that of the line.
        $isRight = 1 === preg_match('/^[^\p{L}]*[\p{Hebrew}\p{Arabic}]/u', $line);
        $runs = self::runs(ArabicForms::of($line), $isRight);
        if ($isRight) {
            $runs = array_reverse($runs);
        }

        return implode('', array_map(static fn (array $run): string => $run[1] ? self::reversed($run[0]) : $run[0], $runs));
    }

    /**
     * Stretches of one direction. Blanks and signs between two of the same direction are part of it, others go with the line
     * (N1, N2); figures are read from left to right wherever they stand (W2 to W7, I1, I2).
     *
     * @return list<array{string, bool}> with whether it runs from right to left
     */
    private static function runs(string $line, bool $isRight): array
    {
        preg_match_all('/[\p{Hebrew}\p{Arabic}]+|\p{N}+(?:[.,:\/-]\p{N}+)*|\p{L}[\p{L}\p{M}]*|[^\p{L}\p{N}]+/u', $line, $found);
        $pieces = array_map(static fn (string $piece): array => [$piece, match (true) {
            1 === preg_match('/[\p{Hebrew}\p{Arabic}]/u', $piece) => 'R',
            1 === preg_match('/\p{N}/u', $piece) => 'N',
            1 === preg_match('/\p{L}/u', $piece) => 'L',
            default => '-',
        }], $found[0]);
        $base = $isRight ? 'R' : 'L';
        $strong = $base;
        foreach ($pieces as $i => [, $kind]) {
            // A figure belongs to the letters before it, though it is not turned with them.
            $pieces[$i][1] = 'N' === $kind ? ('R' === $strong ? 'N' : 'L') : $kind;
            $strong = 'R' === $kind || 'L' === $kind ? $kind : $strong;
        }
        $side = static fn (?array $piece): string => match ($piece[1] ?? null) {
            null => $base,
            'N' => 'R',
            default => $piece[1],
        };
        $runs = [];
        foreach ($pieces as $i => [$text, $kind]) {
            if ('-' === $kind) {
                $kind = $side($pieces[$i - 1] ?? null) === $side($pieces[$i + 1] ?? null) ? $side($pieces[$i + 1] ?? null) : $base;
            }
            $last = array_key_last($runs);
            if (null !== $last && $runs[$last][1] === ('R' === $kind) && 'N' !== $kind && 'N' !== $runs[$last][2]) {
                $runs[$last][0] .= $text;
            } else {
                $runs[] = [$text, 'R' === $kind, $kind];
            }
        }

        return self::together($runs, $isRight);
    }

    /**
     * In a line from left to right, right-to-left runs and the figures among them change places as one.
     *
     * @param list<array{string, bool, string}> $runs
     *
     * @return list<array{string, bool}>
     */
    private static function together(array $runs, bool $isRight): array
    {
        $out = [];
        $held = [];
        foreach ($runs as [$text, $turned, $kind]) {
            if (!$isRight && ($turned || 'N' === $kind)) {
                array_unshift($held, [$text, $turned]);
                continue;
            }
            array_push($out, ...$held);
            $held = [];
            $out[] = [$text, $turned];
        }

        return [...$out, ...$held];
    }

    /** Letter by letter with the marks that stand on them; brackets look the other way (L4). */
    private static function reversed(string $text): string
    {
        preg_match_all('/\X/u', $text, $letters);

        return strtr(
            implode('', array_reverse($letters[0])),
            ['(' => ')', ')' => '(', '[' => ']', ']' => '[', '{' => '}', '}' => '{', '<' => '>', '>' => '<', '«' => '»', '»' => '«'],
        );
    }
}
