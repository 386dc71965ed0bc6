<?php

declare(strict_types=1);

namespace Telamon\Core\Figures;

/** The Wilson score interval, 95 % (E. B. Wilson, JASA 22, 1927). */
final class Wilson
{
    /** The 97.5 % point of the standard normal distribution. */
    private const Z = 1.959963984540054;

    /** @return array{float, float} lower and upper bound of a share, 0 to 1; 0 and 1 where nobody was asked */
    public static function interval(int $hits, int $of): array
    {
        if ($of < 1) {
            return [0.0, 1.0];
        }
        $share = $hits / $of;
        $z2 = self::Z ** 2;
        $middle = ($share + $z2 / (2 * $of)) / (1 + $z2 / $of);
        $reach = self::Z / (1 + $z2 / $of) * sqrt($share * (1 - $share) / $of + $z2 / (4 * $of ** 2));

        return [0 === $hits ? 0.0 : $middle - $reach, $hits === $of ? 1.0 : $middle + $reach];
    }
}
