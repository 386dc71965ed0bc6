<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Replies;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Replies\NamedDay;

final class NamedDayTest extends TestCase
{
    /** @return iterable<string, array{string, string|null}> */
    public static function replies(): iterable
    {
        foreach ([
            ['Not now. Could you ask me again in three weeks?', '2026-12-16'],
            ['Please come back to me in 10 days', '2026-12-05'],
            ['ask me in a couple of months', '2027-01-25'],
            ['We are away, try us next week.', '2026-11-30'],
            ['maybe next month', '2026-12-01'],
            ['After Christmas would be better', '2027-01-01'],
            ['In the new year please', '2027-01-01'],
            ['Could you ask me again in March?', '2027-03-01'],
            ['not before December', '2026-12-01'],
            ['Not before the end of December', '2026-12-01'],
            ['after June we can talk', '2027-07-01'],
            ['after December', '2027-01-01'],
            ['Melden Sie sich bitte in zwei Wochen wieder', '2026-12-09'],
            ['Im März gern', '2027-03-01'],
            ['Nach Weihnachten', '2027-01-01'],
            ['nächste Woche', '2026-11-30'],
            ['Rappelez-moi dans un mois', '2026-12-25'],
            ['pas avant; après les fêtes', '2027-01-01'],
            ['En mars, si possible', '2027-03-01'],
            ['la semaine prochaine', '2026-11-30'],
            // No day, or more than one: a person decides.
            ['Not now, thank you.', null],
            ['In March or in April', null],
            ['In 90 years', null],
            ['March past the shop and ring', null],
            ['We may be interested', null],
            ['', null],
        ] as [$said, $day]) {
            yield '' === $said ? 'nothing' : $said => [$said, $day];
        }
    }

    #[DataProvider('replies')]
    public function testTheDayThatIsNamedIsRead(string $said, ?string $day): void
    {
        $today = new \DateTimeImmutable('2026-11-25', new \DateTimeZone('UTC'));
        self::assertSame($day, (new NamedDay())->read($said, $today)?->format('Y-m-d'));
    }

    public function testAMonthEndsWithItsOwnLastDay(): void
    {
        $end = new \DateTimeImmutable('2027-01-31', new \DateTimeZone('UTC'));
        self::assertSame('2027-02-28', (new NamedDay())->read('in a month', $end)?->format('Y-m-d'));
    }
}
