<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/** How well one colour is read on another: relative luminance and contrast ratio as WCAG 2.2 defines them. */
final class Contrast
{
    /** What text of the usual size needs at least (WCAG 2.2, success criterion 1.4.3, level AA). */
    public const READABLE = 4.5;

    /**
     * @param string $one, $other as #RRGGBB
     *
     * @return float from 1 to 21: (L1 + 0.05) / (L2 + 0.05), L1 the lighter
     */
    public static function ratio(string $one, string $other): float
    {
        $a = self::luminance($one);
        $b = self::luminance($other);

        return (max($a, $b) + 0.05) / (min($a, $b) + 0.05);
    }

    /**
     * The nearest darker shade of a colour that is read on another; the colour itself where it is read already.
     *
     * @param string $colour, $on as #RRGGBB
     */
    public static function darkened(string $colour, string $on, float $ratio = self::READABLE): string
    {
        for ($step = 100; $step > 0; --$step) {
            $darker = self::hex(array_map(static fn (int $channel): int => intdiv($channel * $step, 100), self::channels($colour)));
            if (self::ratio($darker, $on) >= $ratio) {
                return $darker;
            }
        }

        return '#000000';
    }

    /** 0 for black, 1 for white; sRGB made linear with the threshold 0.04045 of IEC 61966-2-1. */
    private static function luminance(string $colour): float
    {
        [$r, $g, $b] = array_map(static function (int $channel): float {
            $share = $channel / 255;

            return $share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4;
        }, self::channels($colour));

        return 0.2126 * $r + 0.7152 * $g + 0.0722 * $b;
    }

    /** @return array{int, int, int} */
    private static function channels(string $colour): array
    {
        if (1 !== preg_match('/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/iD', $colour, $m)) {
            throw new \InvalidArgumentException("$colour is no colour like #1E4D57");
        }

        return [(int) hexdec($m[1]), (int) hexdec($m[2]), (int) hexdec($m[3])];
    }

    /** @param array<int, int> $channels */
    private static function hex(array $channels): string
    {
        return '#'.strtoupper(implode('', array_map(static fn (int $channel): string => str_pad(dechex($channel), 2, '0', \STR_PAD_LEFT), $channels)));
    }
}
