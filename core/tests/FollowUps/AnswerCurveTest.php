<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\FollowUps;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\FollowUps\AnswerCurve;

/**
 * Held against the weeks of remission that every textbook of survival analysis works through: E. J. Freireich and others,
 * The Effect of 6-Mercaptopurine on the Duration of Steroid-induced Remissions in Acute Leukemia, Blood 21 (1963),
 * 699–716; the estimates as in D. R. Cox and D. Oakes, Analysis of Survival Data (1984). Data and values from memory; the
 * products are reckoned again here as fractions.
 */
final class AnswerCurveTest extends TestCase
{
    /** Weeks; those with a + were still in remission when they were last seen. */
    private const TREATED = '6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+';
    private const UNTREATED = '1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23';

    private static function curve(string $weeks): AnswerCurve
    {
        return AnswerCurve::of(array_map(
            static fn (string $one): array => ['days' => (float) $one, 'answered' => !str_ends_with($one, '+')],
            '' === $weeks ? [] : explode(' ', $weeks),
        ));
    }

    /** @return array<string, array{float, string, float}> */
    public static function published(): array
    {
        return [
            'week 6' => [6.0, '0.857', 18 / 21],
            'week 7' => [7.0, '0.807', 18 / 21 * 16 / 17],
            'week 10' => [10.0, '0.753', 18 / 21 * 16 / 17 * 14 / 15],
            'week 13' => [13.0, '0.690', 18 / 21 * 16 / 17 * 14 / 15 * 11 / 12],
            'week 16' => [16.0, '0.627', 18 / 21 * 16 / 17 * 14 / 15 * 11 / 12 * 10 / 11],
            'week 22' => [22.0, '0.538', 18 / 21 * 16 / 17 * 14 / 15 * 11 / 12 * 10 / 11 * 6 / 7],
            'week 23' => [23.0, '0.448', 18 / 21 * 16 / 17 * 14 / 15 * 11 / 12 * 10 / 11 * 6 / 7 * 5 / 6],
        ];
    }

    #[DataProvider('published')]
    public function testTheTreatedOfFreireich(float $week, string $printed, float $product): void
    {
        $curve = self::curve(self::TREATED);
        self::assertSame($printed, number_format($curve->at($week), 3));
        self::assertEqualsWithDelta($product, $curve->at($week), 1e-12);
        self::assertGreaterThan($curve->at($week), $curve->at($week - 0.5), 'it falls there');
    }

    public function testItFallsOnlyWhereSomebodyAnswered(): void
    {
        $curve = self::curve(self::TREATED);
        self::assertSame(21, $curve->cases);
        self::assertSame([6.0, 7.0, 10.0, 13.0, 16.0, 22.0, 23.0], array_column($curve->points, 'days'));
        self::assertSame($curve->at(23), $curve->at(400), 'whoever was let go later does not pull it down');
    }

    /** Where nobody is let go without an answer it is the plain share of those who have not answered. */
    public function testWithoutAnybodyLetGoItIsThePlainShare(): void
    {
        $curve = self::curve(self::UNTREATED);
        $weeks = array_map(floatval(...), explode(' ', self::UNTREATED));
        foreach ([0.5, 1, 4, 8, 11.5, 22, 23] as $week) {
            self::assertEqualsWithDelta(\count(array_filter($weeks, static fn (float $one): bool => $one > $week)) / 21, $curve->at($week), 1e-12, "$week");
        }
        self::assertEqualsWithDelta(0.0, $curve->at(23), 1e-12);
    }

    public function testTheOrderInWhichTheyAreNamedDoesNotMatter(): void
    {
        $weeks = explode(' ', self::TREATED);
        sort($weeks);
        self::assertSame(self::curve(self::TREATED)->points, self::curve(implode(' ', array_reverse($weeks)))->points);
    }

    /** By convention whoever is let go at the moment of an answer was still watched then. */
    public function testLetGoAtTheMomentOfAnAnswer(): void
    {
        self::assertSame(0.5, self::curve('3 3+')->at(3));
    }

    public function testNobodyAndNobodyWhoAnswered(): void
    {
        self::assertSame([0, [], 1.0], [self::curve('')->cases, self::curve('')->points, self::curve('')->at(5)]);
        self::assertSame([2, [], 1.0], [self::curve('3+ 9+')->cases, self::curve('3+ 9+')->points, self::curve('3+ 9+')->at(50)]);
    }

    public function testAnAnswerBeforeItsBeginningCountsAtTheBeginning(): void
    {
        self::assertSame([['days' => 0.0, 'left' => 0.0]], self::curve('-2')->points);
    }
}
