<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Checklists;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Interleave;

final class InterleaveTest extends TestCase
{
    /** A letter is an item: of the base b, of the list that is asked l, by hand h. */
    #[DataProvider('orders')]
    public function testTheListTakesItsPlacesAndAllElseKeepsItsOrder(string $current, string $wanted, ?string $after, string $expected): void
    {
        $keys = static fn (string $words): array => '' === $words ? [] : explode(' ', $words);
        self::assertSame($expected, implode(' ', Interleave::of($keys($current), $keys($wanted), $after)));
    }

    /** @return iterable<string, array{string, string, string|null, string}> */
    public static function orders(): iterable
    {
        yield 'a list of which nothing is there stands behind what it joins' => ['b1 b2 b3', 'l1 l2', 'b1', 'b1 l1 l2 b2 b3'];
        yield 'behind nothing that is there, at the end' => ['b1 b2', 'l1', 'b9', 'b1 b2 l1'];
        yield 'one that joins nothing stands at the end' => ['b1 b2', 'l1 l2', null, 'b1 b2 l1 l2'];
        yield 'a new item stands behind the one before it' => ['b1 l1 b2 l2 b3', 'l1 l3 l2', 'b1', 'b1 l1 l3 b2 l2 b3'];
        yield 'a new first one before the first' => ['b1 l1 b2', 'l0 l1', 'b1', 'b1 l0 l1 b2'];
        yield 'a new last one behind the last' => ['b1 l1 h1', 'l1 l2', 'b1', 'b1 l1 l2 h1'];
        yield 'turned round, they change places' => ['b1 l1 b2 l2 b3', 'l2 l1', 'b1', 'b1 l2 b2 l1 b3'];
        yield 'what somebody moved stays where it is' => ['l2 b1 l1', 'l1 l2', 'b1', 'l1 b1 l2'];
        yield 'a version with less leaves the rest' => ['b1 l1 b2', 'l1', null, 'b1 l1 b2'];
        yield 'nothing' => ['', '', null, ''];
    }
}
