<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Reading\SortedAnswer;

/** Answers in order by what they mean, not by their letters. */
final class SortedAnswerTest extends TestCase
{
    public function testAmountsAsPeopleWriteThem(): void
    {
        $written = ['1.250,50', 'about 200', '€1,200', 'no idea', '90'];
        usort($written, static fn (string $a, string $b): int => SortedAnswer::amount($a) <=> SortedAnswer::amount($b));
        self::assertSame(['no idea', '90', 'about 200', '€1,200', '1.250,50'], $written);
        self::assertSame(SortedAnswer::amount('no idea'), SortedAnswer::amount(null));
    }

    public function testDaysAsPeopleWriteThem(): void
    {
        $written = ['12 January 2027', 'soon', '2026-12-24', '03/02/2027', ''];
        usort($written, static fn (string $a, string $b): int => SortedAnswer::day($a, 'day-first') <=> SortedAnswer::day($b, 'day-first'));
        self::assertSame(['', '2026-12-24', '12 January 2027', '03/02/2027', 'soon'], $written);
    }

    public function testADayThatMayBeTwoStandsBehindTheDays(): void
    {
        self::assertSame('~03/02/2027', SortedAnswer::day(' 03/02/2027 ', 'unstated'));
        self::assertSame('2027-02-03', SortedAnswer::day('03/02/2027', 'day-first'));
        self::assertSame('2027-03-02', SortedAnswer::day('03/02/2027', 'month-first'));
        self::assertSame('', SortedAnswer::day(['a list'], null));
    }
}
