<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Calendars from outside take nothing down: what they ask for ends in a process of its own, and what is not read is named. */
final class CalendarLimitsTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testARuleThatNeverComesIsNamedAndTheOthersCount(): void
    {
        $never = '';
        for ($i = 0; $i < 4; ++$i) {
            $never .= self::event("never$i", '20260101T100000Z', 'PT1H', 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', "30 February $i");
        }
        $done = $this->bring($never.self::event('one', '20261127T100000Z', 'PT1H', '', 'A rehearsal'));
        self::assertSame(1, $done['new']);
        self::assertSame(
            [
                '“30 February 0” recurs on a day that there is none of',
                '“30 February 1” recurs on a day that there is none of',
                '“30 February 2” recurs on a day that there is none of',
                '“30 February 3” recurs on a day that there is none of',
            ],
            $done['refused'],
        );
    }

    public function testTwoHundredHourlySeriesAreRefusedInWords(): void
    {
        $series = '';
        for ($i = 0; $i < 200; ++$i) {
            $series .= self::event("hourly$i", '20260101T100000Z', 'PT30M', 'RRULE:FREQ=HOURLY', "Every hour $i");
        }
        $answer = $this->post('/api/diary/import', ['staff' => $this->pim(), 'file' => self::calendar($series), 'dry' => true])->ok(422);
        self::assertMatchesRegularExpression('/more than 20,000 times|too long to read|too much to read/', $answer->violations()['file']);
        $this->get('/api/session')->ok();
    }

    public function testASeriesIsCutAndSaidSo(): void
    {
        $done = $this->bring(self::event('hourly', '20261101T100000Z', 'PT30M', 'RRULE:FREQ=HOURLY', 'Every hour'));
        self::assertSame(1000, $done['new']);
        self::assertSame(['“Every hour” comes more than 1,000 times: only the first are taken'], $done['refused']);
    }

    public function testALargeCalendarComesInPortionsEachNamed(): void
    {
        $all = '';
        for ($i = 0; $i < 2_300; ++$i) {
            $all .= self::event("e$i", (new \DateTimeImmutable('2026-12-01 08:00 UTC'))->modify("+$i hours")->format('Ymd\THis\Z'), 'PT15M', '', "Lesson $i");
        }
        $looked = $this->bring($all);
        self::assertSame([1000, '1300 more: 1000 are brought in at once. Bring the same file in again for the next.'], [$looked['new'], $looked['refused'][0] ?? '']);
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM appointment'), 'a look brings nothing in');
        self::assertSame(1000, $this->bring($all, false)['new']);
        $second = $this->bring($all, false);
        self::assertSame([1000, 1000], [$second['known'], $second['new']]);
        $third = $this->bring($all, false);
        self::assertSame([2000, 300, []], [$third['known'], $third['new'], $third['refused']]);
        self::assertSame('2300', $this->number('SELECT COUNT(*) FROM appointment'));
    }

    /** @return array{new: int, known: int, refused: list<mixed>} */
    private function bring(string $events, bool $dry = true): array
    {
        $answer = $this->post('/api/diary/import', ['staff' => $this->pim(), 'file' => self::calendar($events), 'dry' => $dry])->ok();
        $refused = $answer->at('refused');
        self::assertIsArray($refused);

        return ['new' => $answer->number('new'), 'known' => $answer->number('known'), 'refused' => array_values($refused)];
    }

    private function pim(): string
    {
        return $this->id("SELECT id FROM staff WHERE initials = 'PT'");
    }

    private static function calendar(string $events): string
    {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n{$events}END:VCALENDAR\r\n";
    }

    private static function event(string $uid, string $start, string $duration, string $rule, string $title): string
    {
        return "BEGIN:VEVENT\r\nUID:$uid@example.org\r\nDTSTAMP:20260101T000000Z\r\nDTSTART:$start\r\nDURATION:$duration\r\n".('' === $rule ? '' : "$rule\r\n")."SUMMARY:$title\r\nEND:VEVENT\r\n";
    }
}
