<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Booking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Booking\Clashes;
use Telamon\Core\Booking\Placed;
use Telamon\Core\Booking\Roads;

final class ClashesTest extends TestCase
{
    /**
     * @param list<Placed> $placed
     * @param list<string> $clashes “a b”
     */
    #[DataProvider('days')]
    public function testWhoeverCannotBeInTimeIsNamed(array $placed, array $clashes): void
    {
        $roads = new Roads(['Marrowby' => ['Dunmarl' => 40]], 20);
        self::assertSame($clashes, array_map(static fn (array $one): string => "{$one['first']} {$one['second']}", (new Clashes($roads))->of($placed)));
    }

    /** @return iterable<string, array{list<Placed>, list<string>}> */
    public static function days(): iterable
    {
        $at = static fn (string $id, int $from, int $to, string $where = '', array $crew = ['t'], string $group = ''): Placed => new Placed(
            $id,
            array_values(array_filter($crew, \is_string(...))),
            60 * $from,
            60 * $to,
            $where,
            $group,
        );
        yield 'one after the other' => [[$at('a', 0, 60), $at('b', 60, 120)], []];
        yield 'a minute too many' => [[$at('a', 0, 61), $at('b', 60, 120)], ['a b']];
        yield 'in whatever order they come' => [[$at('b', 60, 120), $at('a', 0, 61)], ['a b']];
        yield 'others' => [[$at('a', 0, 60), $at('b', 0, 60, crew: ['s'])], []];
        yield 'somebody who comes along' => [[$at('a', 0, 60, crew: ['t', 's']), $at('b', 30, 60, crew: ['p', 's'])], ['a b']];
        yield 'too little road' => [[$at('a', 0, 60, 'Marrowby'), $at('b', 99, 120, 'Dunmarl')], ['a b']];
        yield 'just enough road' => [[$at('a', 0, 60, 'Marrowby'), $at('b', 100, 120, 'Dunmarl')], []];
        yield 'one session of a group' => [[$at('a', 0, 60, group: 'g'), $at('b', 0, 60, group: 'g')], []];
        yield 'two sessions of a group' => [[$at('a', 0, 60, group: 'g'), $at('b', 30, 90, group: 'g')], ['a b']];
        yield 'one that lasts over several' => [[$at('a', 0, 300), $at('b', 10, 20), $at('c', 200, 210)], ['a b', 'a c']];
    }

    public function testFreeMinutesCountWhatOverlapsOnce(): void
    {
        $free = static fn (array $open, array $taken): int => Clashes::freeMinutes(self::seconds($open), self::seconds($taken));
        self::assertSame(480, $free([[540, 1020]], []));
        self::assertSame(360, $free([[540, 1020]], [[600, 660], [900, 960]]));
        self::assertSame(390, $free([[540, 1020]], [[600, 660], [630, 690]]), 'two at one time take it once');
        self::assertSame(0, $free([[540, 600]], [[500, 700]]));
        self::assertSame(180, $free([[540, 660], [720, 840]], [[600, 720]]));
    }

    /**
     * @param array<mixed> $spans minutes
     *
     * @return list<array{int, int}>
     */
    private static function seconds(array $spans): array
    {
        $seconds = [];
        foreach ($spans as $span) {
            self::assertIsArray($span);
            [$from, $to] = $span;
            self::assertIsInt($from);
            self::assertIsInt($to);
            $seconds[] = [60 * $from, 60 * $to];
        }

        return $seconds;
    }
}
