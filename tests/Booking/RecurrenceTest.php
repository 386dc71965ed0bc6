<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Booking\CalendarFetch;
use Telamon\Booking\CalendarReader;
use Telamon\Refusal\InvalidInput;

/** Recurrences as RFC 5545, section 3.8.5.3, gives them as examples (its years are 1997 and 1998), read as busy times. */
final class RecurrenceTest extends TestCase
{
    /** @param list<string> $days */
    #[DataProvider('examples')]
    public function testTheExamplesOfTheStandard(string $rule, array $days, string $begins = '19970902'): void
    {
        $file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:x\r\nDTSTART;TZID=America/New_York:{$begins}T090000\r\nDURATION:PT1H\r\n$rule\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $zone = new \DateTimeZone('America/New_York');
        $busy = (new CalendarReader())->busy($file, new \DateTimeImmutable('1997-09-01', $zone), new \DateTimeImmutable('1998-01-01', $zone), $zone);
        self::assertSame($days, array_map(static fn (array $span): string => $span[0]->setTimezone($zone)->format('n/j'), \array_slice($busy, 0, \count($days))));
        foreach ($busy as [$from, $to]) {
            self::assertSame(
                '09:00 10:00',
                $from->setTimezone($zone)->format('H:i').' '.$to->setTimezone($zone)->format('H:i'),
                'nine by the clock, before and after the end of summer time on 26 October',
            );
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function examples(): iterable
    {
        yield 'daily for ten occurrences' => ['RRULE:FREQ=DAILY;COUNT=10', ['9/2', '9/3', '9/4', '9/5', '9/6', '9/7', '9/8', '9/9', '9/10', '9/11']];
        yield 'every other day, for ever' => [
            'RRULE:FREQ=DAILY;INTERVAL=2',
            ['9/2', '9/4', '9/6', '9/8', '9/10', '9/12', '9/14', '9/16', '9/18', '9/20', '9/22', '9/24', '9/26', '9/28', '9/30', '10/2', '10/4'],
        ];
        yield 'every ten days, five occurrences' => ['RRULE:FREQ=DAILY;INTERVAL=10;COUNT=5', ['9/2', '9/12', '9/22', '10/2', '10/12']];
        yield 'weekly until Christmas' => [
            'RRULE:FREQ=WEEKLY;UNTIL=19971224T000000Z',
            ['9/2', '9/9', '9/16', '9/23', '9/30', '10/7', '10/14', '10/21', '10/28', '11/4', '11/11', '11/18', '11/25', '12/2', '12/9', '12/16', '12/23'],
        ];
        yield 'every other week, for ever' => ['RRULE:FREQ=WEEKLY;INTERVAL=2;WKST=SU', ['9/2', '9/16', '9/30', '10/14', '10/28', '11/11', '11/25', '12/9', '12/23']];
        yield 'Tuesday and Thursday for five weeks' => [
            'RRULE:FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
            ['9/2', '9/4', '9/9', '9/11', '9/16', '9/18', '9/23', '9/25', '9/30', '10/2'],
        ];
        yield 'monthly on the second-to-last weekday' => ['RRULE:FREQ=MONTHLY;BYDAY=-2MO;COUNT=6', ['9/22', '10/20', '11/17', '12/22'], '19970922'];
        yield 'with a day left out' => ["RRULE:FREQ=DAILY;COUNT=3\r\nEXDATE;TZID=America/New_York:19970903T090000", ['9/2', '9/4']];
    }

    public function testALargeFileIsReadAndWhatIsTooLargeIsRefused(): void
    {
        $zone = new \DateTimeZone('UTC');
        $events = '';
        for ($i = 0; $i < 5000; ++$i) {
            $day = gmdate('Ymd', 1_764_547_200 + 3600 * $i);
            $events .= "BEGIN:VEVENT\r\nUID:u$i\r\nDTSTART:{$day}T090000Z\r\nDTEND:{$day}T093000Z\r\nEND:VEVENT\r\n";
        }
        $reader = new CalendarReader();
        self::assertCount(
            5000,
            $reader->busy(
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n{$events}END:VCALENDAR\r\n",
                new \DateTimeImmutable('2025-11-01', $zone),
                new \DateTimeImmutable('2027-01-01', $zone),
                $zone,
            ),
        );
        $this->expectException(InvalidInput::class);
        $reader->busy(str_repeat('x', 5_000_001), new \DateTimeImmutable(), new \DateTimeImmutable(), $zone);
    }

    public function testOnlyAddressesOfThePublicNetworkAreFetched(): void
    {
        self::assertSame('8.8.8.8', CalendarFetch::publicAddress('8.8.8.8'));
        foreach (['127.0.0.1', '10.0.0.1', '192.168.1.1', '172.16.0.1', '169.254.169.254', '100.64.0.1', '::1', '[fe80::1]', 'fd00::1', '::ffff:10.0.0.1', '0.0.0.0'] as $host) {
            try {
                CalendarFetch::publicAddress($host);
                self::fail("$host was let through");
            } catch (InvalidInput $refused) {
                self::assertStringContainsString('private network', $refused->getMessage());
            }
        }
    }
}
