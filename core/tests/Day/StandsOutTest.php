<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Day;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Day\Standing;
use Telamon\Core\Day\StandsOut;

final class StandsOutTest extends TestCase
{
    /** @param list<string> $words */
    #[DataProvider('days')]
    public function testOnlyWhatTheNumbersCarryIsSaid(Standing $day, array $words): void
    {
        self::assertSame($words, array_column((new StandsOut())->of($day), 'words'));
    }

    /** @return iterable<string, array{Standing, list<string>}> */
    public static function days(): iterable
    {
        yield 'a quiet day' => [new Standing(came: [1, 2, 1, 0, 1, 1, 2, 1]), []];
        yield 'one of each' => [
            new Standing([34], 1, ['Sorcha' => 1], ['Teo is at two places at 10:00.'], 1, 1, 1),
            [
                'Teo is at two places at 10:00.',
                'One answer is 34 min late.',
                'One mail could not be sent.',
                'One client asks to change a visit.',
                'One plan waits for a decision.',
                'One task is late, it is Sorcha’s.',
                'One visit is over: held, or missed?',
            ],
        ];
        yield 'several' => [
            new Standing([10, 125, 60], 3, ['Agnes' => 21, 'Pim' => 3]),
            ['3 answers are late, the longest by 2 h 5.', '3 plans wait for a decision.', '24 tasks are late, 21 of them Agnes’.'],
        ];
        yield 'nobody has most of them' => [new Standing(late: ['Sorcha' => 2, 'Pim' => 2]), ['4 tasks are late.']];
        yield 'a crowd' => [new Standing(came: [1, 0, 2, 1, 1, 3, 1, 19]), ['19 came yesterday; usually 1.']];
        yield 'twice as many is no crowd, more is' => [new Standing(came: [3, 3, 3, 3, 3, 3, 3, 6]), []];
        yield 'a mean would be led astray by one wild day' => [new Standing(came: [0, 0, 90, 0, 0, 1, 0, 5]), ['5 came yesterday; on most days nobody does.']];
        yield 'an even number of days' => [new Standing(came: [1, 2, 1, 2, 1, 2, 1, 2, 6]), ['6 came yesterday; usually 1.5.']];
        yield 'what Telamon cannot do comes first' => [
            new Standing(failed: 2, stuck: ['Reminders: could not be done.']),
            ['Reminders: could not be done.', '2 mails could not be sent.'],
        ];
        yield 'two machines' => [new Standing(silenced: ['robot@example.org']), ['robot@example.org is answered by itself no more: perhaps a machine answers there.']];
        yield 'a visit of nobody' => [
            new Standing([34], unknown: ['Tuning, Thu 26 Nov, 10:00, Wilf Ambry']),
            ['Tuning, Thu 26 Nov, 10:00, Wilf Ambry is confirmed, and is on no client.', 'One answer is 34 min late.'],
        ];
        yield 'a new installation knows no usual' => [new Standing(came: [0, 0, 9]), []];
    }
}
