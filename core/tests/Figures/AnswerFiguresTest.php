<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Figures;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Figures\AnswerFigures;
use Telamon\Core\Figures\Spread;
use Telamon\Core\Figures\Wilson;
use Telamon\Core\Form\FormDefinition;

final class AnswerFiguresTest extends TestCase
{
    /** R. G. Newcombe, Statistics in Medicine 17, 1998, Table I, method 3 (from memory, recomputed). */
    #[DataProvider('shares')]
    public function testSharesHaveTheirInterval(int $hits, int $of, float $low, float $high): void
    {
        $interval = Wilson::interval($hits, $of);
        self::assertEqualsWithDelta($low, $interval[0], 0.00005);
        self::assertEqualsWithDelta($high, $interval[1], 0.00005);
    }

    /** @return iterable<array{int, int, float, float}> */
    public static function shares(): iterable
    {
        yield [81, 263, 0.2553, 0.3662];
        yield [15, 148, 0.0624, 0.1605];
        yield [0, 20, 0.0, 0.1611];
        yield [1, 29, 0.0061, 0.1718];
        yield [20, 20, 1 - 0.1611, 1.0];
        yield [0, 0, 0.0, 1.0];
    }

    /** The definition of type 7 (Hyndman and Fan 1996), worked by hand: position 1 + (n − 1) p. */
    public function testPercentilesAreOfTypeSeven(): void
    {
        $spread = Spread::of(['15' => 1, '50' => 1, '35' => 1, '20' => 1, '40' => 1]);
        self::assertNotNull($spread);
        self::assertSame(['15', '20', '35', '40', '50'], array_map($spread->percentile(...), ['0', '0.25', '0.5', '0.75', '1']));
        self::assertSame('29', $spread->percentile('0.4'));
        self::assertSame('32', $spread->mean());
        self::assertNull(Spread::of([]));
        self::assertSame('0.33', Spread::of(['0' => 2, '1' => 1])?->mean(), 'half up to two places');
    }

    public function testChoicesAreCountedInTheOrderOffered(): void
    {
        $figures = self::figures(
            ['type' => 'any-of', 'options' => [['value' => 'b', 'label' => 'Bell'], ['value' => 'a', 'label' => 'Arch']]],
            [['a'], ['a', 'b'], [], null, '', ['gone']],
        );
        self::assertSame(3, $figures['answered']);
        self::assertSame([['Bell', 1], ['Arch', 2], ['gone', 1]], array_map(static fn (array $line): array => [$line['label'], $line['count']], $figures['counts']));
        self::assertNull($figures['numbers']);
    }

    public function testAScaleHasEveryFigureAndItsScore(): void
    {
        $figures = self::figures(['type' => 'scale'], ['10', '9', '9', '8', '6', '0', 'x']);
        self::assertCount(12, $figures['counts'], '0 to 10, and what cannot be read');
        self::assertSame(2, $figures['counts'][9]['count']);
        self::assertSame(17, $figures['numbers']['score'] ?? null, '3 of 6 less 2 of 6');
        self::assertSame('8.5', $figures['numbers']['median'] ?? null);
        self::assertNull(self::figures(['type' => 'rating'], ['4'])['numbers']['score'] ?? null);
    }

    public function testNumbersStandInRoundSpans(): void
    {
        $figures = self::figures(['type' => 'money'], ['€ 95', '120.50', '250', '399.99', '95']);
        self::assertSame(
            [
                ['50 to under 100', 2],
                ['100 to under 150', 1],
                ['150 to under 200', 0],
                ['200 to under 250', 0],
                ['250 to under 300', 1],
                ['300 to under 350', 0],
                ['350 to under 400', 1],
            ],
            array_map(static fn (array $line): array => [$line['label'], $line['count']], $figures['counts']),
        );
        self::assertSame(
            [['3 to under 4', 2]],
            array_map(static fn (array $line): array => [$line['label'], $line['count']], self::figures(['type' => 'number'], ['3', '3'])['counts']),
        );
        self::assertSame([], self::figures(['type' => 'number'], [])['counts']);
        self::assertLessThanOrEqual(9, \count(self::figures(['type' => 'number'], ['-7', '1000000000', '3.14159'])['counts']));
    }

    /**
     * @param array<string, mixed> $question
     * @param list<mixed> $answers
     *
     * @return array{key: string, wording: string, kind: string, answered: int, counts: list<array{label: string, count: int, low: float, high: float}>, numbers: array<string, string|int|null>|null}
     */
    private static function figures(array $question, array $answers): array
    {
        $figures = new AnswerFigures(FormDefinition::fromArray(['pages' => [['questions' => [['key' => 'q'] + $question]]]])->questions()[0]);
        array_map($figures->take(...), $answers);

        return $figures->toArray();
    }
}
