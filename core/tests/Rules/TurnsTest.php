<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Rules;

use PHPUnit\Framework\TestCase;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Rules\Turns;

final class TurnsTest extends TestCase
{
    public function testTurnsGoRound(): void
    {
        [$a, $b, $c] = $all = self::three();
        self::assertSame($a, (new Turns())->choose(Turns::ROTA, 'r.0', $all));
        self::assertSame($b, (new Turns(['r.0' => 'a']))->choose(Turns::ROTA, 'r.0', $all));
        self::assertSame($a, (new Turns(['r.0' => 'c']))->choose(Turns::ROTA, 'r.0', $all));
        self::assertSame($a, (new Turns(['r.1' => 'b']))->choose(Turns::ROTA, 'r.0', $all), 'each place has turns of its own');
        self::assertSame($a, (new Turns(['r.0' => 'gone']))->choose(Turns::ROTA, 'r.0', $all), 'whoever is gone has no turn');
        self::assertNotSame($c, $b);
    }

    public function testWhoeverHasTheFewest(): void
    {
        [$a, $b, $c] = $all = self::three();
        self::assertSame($b, (new Turns([], ['a' => 3, 'b' => 1, 'c' => 2]))->choose(Turns::FEWEST, 'r.0', $all));
        self::assertSame($c, (new Turns([], ['a' => 3, 'b' => 1]))->choose(Turns::FEWEST, 'r.0', $all), 'who is not counted has none');
        self::assertSame($a, (new Turns([], ['a' => 1, 'b' => 1, 'c' => 1]))->choose(Turns::FEWEST, 'r.0', $all));
    }

    public function testOfNobodyNobodyIsChosen(): void
    {
        self::assertNull((new Turns())->choose(Turns::ROTA, 'r.0', []));
    }

    /** @return array{StaffMember, StaffMember, StaffMember} */
    private static function three(): array
    {
        return [new StaffMember('a', 'Ann Ash', 'a@example.com'), new StaffMember('b', 'Ben Bow', 'b@example.com'), new StaffMember('c', 'Cat Cove', 'c@example.com')];
    }
}
