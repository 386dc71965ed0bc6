<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\AnsweredDays;
use Telamon\Core\Time\DayOrder;

/** Given on Tuesday 1 December 2026, late in the evening at the business. */
final class AnsweredDaysTest extends TestCase
{
    #[DataProvider('answers')]
    public function testCountFromTheDayOnWhichTheyWereGiven(string $text, string $days, DayOrder $order = DayOrder::DayFirst): void
    {
        $reader = (new AnsweredDays())->on(new \DateTimeImmutable('2026-12-01 23:30 Europe/Dublin'));
        self::assertSame($days, implode(' ', array_map(static fn (\DateTimeImmutable $day): string => $day->format('Y-m-d'), $reader->read($text, $order))));
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: DayOrder}> */
    public static function answers(): iterable
    {
        yield 'written out' => ['12 June 2027', '2027-06-12'];
        yield 'without a year' => ['19 Dec', '2026-12-19'];
        yield 'in weeks' => ['in three weeks', '2026-12-22'];
        yield 'in figures' => ['12/6', '2027-06-12'];
        yield 'in figures, of which nobody said the order' => ['12/6', '2026-12-06 2027-06-12', DayOrder::Unstated];
        yield 'a span is both its ends' => ['next week', '2026-12-07 2026-12-13'];
        yield 'a span of one day' => ['by Friday', '2026-12-04'];
        yield 'nothing' => ['soon', ''];
    }

    public function testOnlyWhatIsWrittenOutCountsWhereNobodyKnowsWhenItWasGiven(): void
    {
        self::assertSame([], (new AnsweredDays())->read('19 Dec', DayOrder::DayFirst));
        self::assertCount(1, (new AnsweredDays())->read('19 Dec 2026', DayOrder::DayFirst));
    }
}
