<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Scheduling;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\HoursInWords;

final class HoursInWordsTest extends TestCase
{
    /** @param array<int, list<array{string, string}>> $hours */
    #[DataProvider('weeks')]
    public function testAWeekIsSaidAsPeopleSayIt(string $words, array $hours): void
    {
        self::assertSame($words, HoursInWords::of($hours));
    }

    /** @return iterable<string, array{string, array<int, list<array{string, string}>>}> */
    public static function weeks(): iterable
    {
        $day = [['09:00', '17:00']];
        yield 'five days alike' => ['Mon to Fri, 9 to 5', [1 => $day, 2 => $day, 3 => $day, 4 => $day, 5 => $day, 6 => [], 7 => []]];
        yield 'a day that differs' => ['Mon to Fri, 9 to 5; Sat, 10:30 to 13:00', [1 => $day, 2 => $day, 3 => $day, 4 => $day, 5 => $day, 6 => [['10:30', '13:00']]]];
        yield 'closed in the middle' => ['Mon and Tue, 9 to 5; Thu, 9 to 5', [1 => $day, 2 => $day, 4 => $day]];
        yield 'a pause at noon' => ['Tue, 08:00 to 12:00 and 13:00 to 18:00', [2 => [['08:00', '12:00'], ['13:00', '18:00']]]];
        yield 'to midnight' => ['Sun, 18:00 to 24:00', [7 => [['18:00', '24:00']]]];
        yield 'nothing' => ['', []];
    }
}
