<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/**
 * How alike two words are, 0 to 1.
 *
 * M. A. Jaro, "Advances in Record-Linkage Methodology", JASA 84, 1989; W. E. Winkler, "String Comparator
 * Metrics and Enhanced Decision Rules in the Fellegi–Sunter Model of Record Linkage", 1990. Prefix scale
 * 0.1, at most four letters. Compares bytes: fold the words to plain letters before.
 */
final class JaroWinkler
{
    private const PREFIX_SCALE = 0.1;
    private const PREFIX_MOST = 4;

    public static function similarity(string $a, string $b): float
    {
        $jaro = self::jaro($a, $b);
        $prefix = 0;
        $most = min(self::PREFIX_MOST, \strlen($a), \strlen($b));
        while ($prefix < $most && $a[$prefix] === $b[$prefix]) {
            ++$prefix;
        }

        return $jaro + $prefix * self::PREFIX_SCALE * (1 - $jaro);
    }

    public static function jaro(string $a, string $b): float
    {
        if ($a === $b) {
            return 1.0;
        }
        $lengthA = \strlen($a);
        $lengthB = \strlen($b);
        if (0 === $lengthA || 0 === $lengthB) {
            return 0.0;
        }
        $window = max(0, intdiv(max($lengthA, $lengthB), 2) - 1);
        $taken = [];
        $matchedA = '';
        for ($i = 0; $i < $lengthA; ++$i) {
            $to = min($lengthB - 1, $i + $window);
            for ($j = max(0, $i - $window); $j <= $to; ++$j) {
                if (!isset($taken[$j]) && $a[$i] === $b[$j]) {
                    $taken[$j] = true;
                    $matchedA .= $a[$i];
                    break;
                }
            }
        }
        $matches = \strlen($matchedA);
        if (0 === $matches) {
            return 0.0;
        }
        ksort($taken);
        $transposed = 0;
        $k = 0;
        foreach ($taken as $j => $_) {
            $transposed += $matchedA[$k++] === $b[$j] ? 0 : 1;
        }

        return ($matches / $lengthA + $matches / $lengthB + ($matches - $transposed / 2) / $matches) / 3;
    }
}
