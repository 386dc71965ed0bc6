<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\Books;

/** A client books by themselves: from the form to the diary, the project and the mails, and back out again. */
final class BookingStoryTest extends AppTestCase
{
    use AsksRows;
    use Books;

    public function testABookingOpensOneProjectWithTheAnswersAndLandsInTheDiary(): void
    {
        $t = $this->begin();
        $page = $this->get("/api/public/booking/visit?t=$t")->ok();
        self::assertSame('Orla', $page->text('who.first'));
        self::assertContains('7 Weir Cottages, Marrowby', $page->column('who.known', 'value'));
        $starts = $this->starts($t, 'tuning');
        self::assertGreaterThan(20, \count($starts));
        self::assertSame('2026-11-26T11:00:00+00:00', $starts[0], 'a day from now at the earliest');
        $held = $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'tuning', 'at' => $starts[0]])->ok(201);
        self::assertSame('2026-11-25T10:52:00+00:00', $held->text('until'));
        $visit = $this->book($t, $starts[0])->ok(201);
        self::assertSame('Thursday 26 November, 11:00 to 12:00', $visit->text('when'));
        self::assertSame('7 Weir Cottages, Marrowby', $visit->text('place'));
        self::assertSame($visit->text('startsAt'), $this->book($t, $starts[4])->ok(201)->text('startsAt'), 'a link books once');
        $this->work();
        $this->work();
        $this->signIn();
        $projects = $this->get('/api/projects')->ok()->rows('items');
        self::assertCount(1, $projects);
        self::assertSame('accepted', $this->get('/api/submissions/'.$this->lastSubmission())->ok()->text('state'));
        $project = $projects[0]['id'];
        self::assertIsString($project);
        $appointment = $this->get("/api/appointments?project=$project")->ok()->rows('items')[0];
        self::assertSame('Orla Fennick', $appointment['who']);
        $diary = $this->get('/api/diary?from=2026-11-26&to=2026-11-26')->ok();
        self::assertSame(['Tuning'], $diary->column('appointments', 'title'));
        self::assertSame([], $diary->rows('clashes'));
        self::assertNotContains(
            $starts[0],
            array_map(static fn (string $start): string => $start, $this->starts($this->begin('Wilf Ambry', 'wilf@example.org'), 'tuning', $visit->text('with'))),
        );
    }

    public function testTheSamePersonThreeTimesIsOneClientAndWhileItIsOpenOneProject(): void
    {
        foreach ([0, 4, 8] as $i) {
            $t = $this->begin();
            $this->book($t, $this->starts($t, 'tuning')[$i])->ok(201);
            $this->work();
            // Somebody in the office has looked at it; strangers confirm the third one by mail.
            $this->db()->executeStatement('UPDATE contact_point SET confirmed = 1');
        }
        self::assertSame([1, 1, 3], [$this->countRows('client'), $this->countRows('project'), $this->countRows('appointment')]);
        $this->signIn();
        $project = $this->id('SELECT id FROM project');
        self::assertCount(3, $this->get("/api/appointments?project=$project")->ok()->rows('items'));
        self::assertSame(0, (int) $this->number("SELECT COUNT(*) FROM submission WHERE state = 'waiting'"));
        $this->db()->executeStatement("UPDATE project SET closed_at = '2026-11-25 10:00:00', outcome = 'won'");
        $t = $this->begin();
        $this->book($t, $this->starts($t, 'tuning')[12])->ok(201);
        $this->work();
        self::assertSame(2, $this->countRows('project'), 'once it is closed, another one is opened');
    }

    public function testAKindOpensNoProjectOrAsksAsItIsSetUp(): void
    {
        $t = $this->begin();
        $this->post('/api/public/booking/visit/bookings', ['t' => $t, 'type' => 'talk', 'length' => 20, 'at' => $this->starts($t, 'talk')[0]])->ok(201);
        $this->work();
        self::assertSame([1, 0, 1], [$this->countRows('client'), $this->countRows('project'), $this->countRows('appointment')]);
        $this->db()->executeStatement('UPDATE contact_point SET confirmed = 1');
        $t = $this->begin();
        $this->book($t, $this->starts($t, 'tuning')[0])->ok(201);
        self::assertSame(1, $this->countRows('project'), 'at once, before the worker comes');
        $this->signIn();
        $types = $this->get('/api/diary/types')->ok()->rows('types');
        $tuning = array_values(array_filter($types, static fn (array $one): bool => 'tuning' === $one['slug']))[0] ?? [];
        self::assertIsArray($tuning['settings'] ?? null);
        self::assertIsString($tuning['id']);
        $this->call(
            'PUT',
            "/api/diary/types/{$tuning['id']}",
            ['version' => $tuning['version'], 'name' => 'Tuning', 'slug' => 'tuning', 'live' => true, 'settings' => ['onto' => 'asks'] + $tuning['settings']],
        )
            ->ok();
        $t = $this->begin();
        $this->book($t, $this->starts($t, 'tuning')[6])->ok(201);
        $this->work();
        $sheet = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame('waiting', $sheet->text('state'));
        self::assertContains('waiting', array_column($this->get('/api/diary?from=2026-11-26&to=2026-12-10')->ok()->rows('needs'), 'what'), 'the diary says that its plan is open');
        $this->accept($this->lastSubmission(), ['project' => 'new'])->ok();
        self::assertSame(2, $this->countRows('project'));
    }

    public function testWhatBecameOfAStartStandsWithTheArrival(): void
    {
        $t = $this->begin();
        $this->book($t, $this->starts($t, 'tuning')[0])->ok(201);
        $this->work();
        $this->signIn();
        $booked = $this->lastSubmission();
        $row = fn (): mixed => array_column($this->get('/api/submissions?state=accepted')->ok()->rows('items'), 'visit', 'id')[$booked] ?? null;
        $visit = $this->id('SELECT id FROM appointment');
        $at = $this->get("/api/appointments/$visit")->ok()->text('startsAt');
        self::assertSame(['state' => 'booked', 'startsAt' => $at], $row());
        self::assertSame([], $this->get('/api/submissions?state=owed')->ok()->rows('items'), 'a time of their own is the answer');
        self::assertSame('its booking', $this->get("/api/submissions/$booked")->ok()->text('decidedBy'));
        self::assertSame('booked', $this->get("/api/submissions/$booked")->ok()->text('visit.state'));
        $this->call('PUT', "/api/appointments/$visit/state", ['state' => 'cancelled'])->ok();
        self::assertSame(['state' => 'cancelled', 'startsAt' => $at], $row());
        // Where another one stands, that is what became of it, though it comes first.
        $one = $this->db()->fetchAssociative('SELECT * FROM appointment');
        self::assertIsArray($one);
        $this->db()->insert('appointment', ['id' => '0195f4f8-0000-7000-8000-00000000000a', 'uid' => 'x', 'state' => 'booked', 'starts_at' => '2026-11-26 07:00:00'] + $one);
        self::assertSame(['state' => 'booked', 'startsAt' => '2026-11-26T07:00:00+00:00'], $row());
    }

    public function testWhoIsSentAwayPolitelyIsOwedNoAnswer(): void
    {
        $question = ['key' => 'far', 'type' => 'yes-no', 'wording' => 'Is it more than 60 km away?', 'required' => true];
        $form = ['purpose' => 'open', 'pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'], $question,
        ]]], 'endings' => [
            ['kind' => 'thanks', 'text' => 'We do not come that far.', 'when' => ['question' => 'far', 'op' => 'is', 'value' => 'yes'], 'sendsAway' => true],
            ['kind' => 'thanks', 'text' => 'We ring you.'],
        ]];
        $this->signIn();
        $this->publish('Far', $form);
        $send = function (string $far): string {
            $this->call('POST', '/api/public/forms/far/submissions', ['answers' => ['name' => "Orla $far", 'far' => $far]])->ok(201);

            return $this->lastSubmission();
        };
        $away = $this->get('/api/submissions/'.$send('yes'))->ok();
        self::assertSame([], $this->get('/api/today')->ok()->rows('waiting'), 'nobody waits for an answer');
        self::assertSame(['set-aside', 'sent-away'], [$away->text('state'), $away->text('aside.reason')]);
        self::assertSame('waiting', $this->get('/api/submissions/'.$send('no'))->ok()->text('state'));
        $this->post('/api/submissions/'.$away->text('id').'/undo')->ok();
        self::assertSame('waiting', $this->get('/api/submissions/'.$away->text('id'))->ok()->text('state'), 'she can look at it all the same');
    }

    public function testWhomTheLongFormSendsAwayTheShortOneOwesNothingEither(): void
    {
        $this->signIn();
        $name = ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'];
        $page = static fn (array ...$questions): array => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [$name, ...array_values($questions)]]];
        $this->publish(
            'Far',
            [
                'purpose' => 'open',
                'pages' => $page(['key' => 'far', 'type' => 'yes-no', 'wording' => 'Far?', 'required' => true]),
                'endings' => [['kind' => 'thanks', 'text' => 'Too far.', 'when' => ['question' => 'far', 'op' => 'is', 'value' => 'yes'], 'sendsAway' => true]],
            ],
        );
        $this->publish('Short', ['purpose' => 'open', 'pages' => $page(), 'endings' => [['kind' => 'form', 'text' => 'far']]]);
        foreach (['yes' => 'sent-away', 'no' => 'continued'] as $far => $reason) {
            $continues = $this->call('POST', '/api/public/forms/short/submissions', ['answers' => ['name' => "Orla $far"]])->ok(201)->text('continues');
            $short = $this->lastSubmission();
            $this->call('POST', '/api/public/forms/far/submissions', ['answers' => ['name' => "Orla $far", 'far' => $far], 'continues' => $continues])->ok(201);
            self::assertSame(['set-aside', $reason], [($shown = $this->get("/api/submissions/$short")->ok())->text('state'), $shown->text('aside.reason')], $far);
        }
    }

    public function testWhoeverLeavesBeforeATimeIsFoundAndToldAsUnfinished(): void
    {
        $t = $this->begin();
        $this->starts($t, 'tuning');
        $this->signIn();
        $sheet = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame('waiting', $sheet->text('state'));
        self::assertNotFalse($this->db()->fetchOne('SELECT continue_by FROM submission WHERE continue_by IS NOT NULL'));
        $pages = $this->get('/api/diary/types')->ok()->rows('pages');
        self::assertSame(['begun' => 1, 'times' => 1, 'held' => 0, 'waits' => 0, 'booked' => 0], array_column($pages, 'starts', 'slug')['visit'] ?? null);
    }

    public function testAHeldTimeIsNobodyElsesForTenMinutesAndCanBeKeptThreeTimes(): void
    {
        $t = $this->begin();
        $other = $this->begin('Wilf Ambry', 'wilf@example.org');
        $teo = $this->id("SELECT id FROM staff WHERE initials = 'TA'");
        $at = $this->starts($t, 'tuning', $teo)[8];
        $choice = static fn (string $t): array => ['t' => $t, 'type' => 'tuning', 'at' => $at, 'with' => $teo];
        $this->post('/api/public/booking/visit/holds', $choice($t))->ok(201);
        $this->post('/api/public/booking/visit/holds', $choice($other))->ok(409);
        self::assertNotContains($at, $this->starts($other, 'tuning', $teo));
        self::assertContains($at, $this->starts($t, 'tuning', $teo), 'to whoever holds it, it is free');
        for ($i = 1; $i <= 3; ++$i) {
            self::assertSame($i, $this->post('/api/public/booking/visit/holds/longer', ['t' => $t])->ok()->number('extended'));
        }
        $this->post('/api/public/booking/visit/holds/longer', ['t' => $t])->ok(409);
        $this->clock->sleep(40 * 60 + 1);
        $this->post('/api/public/booking/visit/holds', $choice($other))->ok(201);
        self::assertSame('That time is not free', $this->book($t, $at, $teo)->ok(409)->text('title'), 'it went to somebody else meanwhile');
        $this->book($other, $at, $teo)->ok(201);
    }

    public function testTheInvitationIsReadBackAndFollowsTheAppointment(): void
    {
        $t = $this->begin();
        $starts = $this->starts($t, 'tuning');
        // Far enough ahead for moving and cancelling it by the link.
        $visit = $this->book($t, $starts[\count($starts) - 1])->ok(201);
        $this->work();
        $this->work();
        $token = $visit->text('token');
        $first = $this->invitation();
        self::assertSame(['REQUEST', '0'], [self::of($first, 'METHOD'), self::of($first, 'SEQUENCE')]);
        $this->post("/api/public/visits/$token/move", ['at' => $starts[\count($starts) - 2]])->ok();
        $this->work();
        $moved = $this->invitation();
        self::assertSame(['REQUEST', '1', self::of($first, 'UID')], [self::of($moved, 'METHOD'), self::of($moved, 'SEQUENCE'), self::of($moved, 'UID')]);
        self::assertSame((new \DateTimeImmutable($starts[\count($starts) - 2]))->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'), self::of($moved, 'DTSTART'));
        $this->post("/api/public/visits/$token/cancel")->ok();
        self::assertSame('cancelled', $this->post("/api/public/visits/$token/cancel")->ok()->text('visit.state'), 'twice is once');
        $this->work();
        $gone = $this->invitation();
        self::assertSame(['CANCEL', '2', 'CANCELLED'], [self::of($gone, 'METHOD'), self::of($gone, 'SEQUENCE'), self::of($gone, 'STATUS')]);
        self::assertSame(3, (int) $this->number("SELECT COUNT(*) FROM message WHERE calendar <> ''"));
        self::assertSame('cancelled', $this->get("/api/public/visits/$token")->ok()->text('visit.state'), 'a link that was used says what became of it');
        $this->post("/api/public/visits/$token/move", ['at' => $starts[3]])->ok(409);
        self::assertContains($starts[\count($starts) - 1], $this->starts($this->begin('Wilf Ambry', 'wilf@example.org'), 'tuning'), 'its time is free again');
    }

    public function testItRemindsOnceAtItsTimeAndOfWhatStandsOnly(): void
    {
        $t = $this->begin();
        $starts = $this->starts($t, 'tuning');
        $at = new \DateTimeImmutable($starts[\count($starts) - 1]);
        $visit = $this->book($t, $starts[\count($starts) - 1])->ok(201);
        $this->work();
        $this->work();
        $this->at($at->modify('-25 hours'));
        self::assertSame([], $this->reminders());
        $this->at($at->modify('-1439 minutes'));
        self::assertSame(['reminder'], $this->reminders());
        self::assertSame(['reminder'], $this->reminders(), 'once');
        $this->at($at->modify('-119 minutes'));
        self::assertSame(['on-the-way', 'reminder'], $this->reminders());
        // Too late to cancel by the link: it reaches the coordinator instead.
        $token = $visit->text('token');
        self::assertFalse($this->get("/api/public/visits/$token")->ok()->at('open'));
        $this->post("/api/public/visits/$token/cancel")->ok(409);
        $this->post("/api/public/visits/$token/wish", ['words' => ''])->ok(422);
        $this->post("/api/public/visits/$token/wish", ['words' => 'I am ill, sorry.'])->ok();
        $this->post("/api/public/visits/$token/wish", ['words' => 'I am ill, sorry.'])->ok();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'wish' AND to_address = 'coordinator@marrowby.example'"));
        $this->signIn();
        $day = $at->setTimezone(new \DateTimeZone('Europe/Dublin'))->format('Y-m-d');
        self::assertSame(['wish'], array_column($this->get("/api/diary?from=$day&to=$day")->ok()->rows('needs'), 'what'));
    }

    public function testACancelledOneIsNotRemindedOf(): void
    {
        $t = $this->begin();
        $starts = $this->starts($t, 'tuning');
        $visit = $this->book($t, $starts[\count($starts) - 1])->ok(201);
        $this->work();
        $this->post('/api/public/visits/'.$visit->text('token').'/cancel')->ok();
        $this->at((new \DateTimeImmutable($starts[\count($starts) - 1]))->modify('-100 minutes'));
        self::assertSame([], $this->reminders());
    }

    public function testAGatewayFormLeadsToOneTimeAnotherOrNone(): void
    {
        $next = fn (string $service): mixed => $this->call(
            'POST',
            '/api/public/forms/gateway/submissions',
            ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'place' => '1 Quay, Marrowby', 'service' => $service]],
        )
            ->ok(201)
            ->at('next');
        $tuning = $next('tuning');
        self::assertIsArray($tuning);
        self::assertIsString($tuning['to']);
        self::assertStringStartsWith('/book/visit?t=', $tuning['to']);
        self::assertStringEndsWith('&type=tuning', $tuning['to']);
        $talk = $next('restoration');
        self::assertIsArray($talk);
        self::assertIsString($talk['to']);
        self::assertStringEndsWith('&type=talk&length=30', $talk['to']);
        self::assertNull($next('other'));
    }

    public function testAnotherZoneIsToldWithBothClocks(): void
    {
        $t = $this->begin();
        $visit = $this->post(
            '/api/public/booking/visit/bookings',
            ['t' => $t, 'type' => 'talk', 'length' => 20, 'at' => $this->starts($t, 'talk')[0], 'zone' => 'America/New_York'],
        )
            ->ok(201);
        self::assertStringContainsString('America/New_York', $visit->text('when'));
        $this->work();
        $this->work();
        $mail = $this->db()->fetchOne("SELECT text FROM message WHERE template = 'booked'");
        self::assertIsString($mail);
        self::assertStringContainsString('our time:', $mail);
    }

    public function testNoLinkNoTimes(): void
    {
        $this->get('/api/public/booking/visit/times?t=no&type=tuning')->ok(404);
        $this->post('/api/public/booking/visit/holds', ['t' => 's:x.1.y', 'type' => 'tuning', 'at' => '2026-12-01T09:00:00Z'])->ok(404);
        $this->get('/api/public/booking/nowhere')->ok(404);
        $t = $this->begin();
        $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'workshop-evening', 'at' => '2026-12-01T09:00:00Z'])->ok(422);
        $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'tuning', 'at' => 'tomorrow'])->ok(422);
        $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'tuning', 'at' => '2026-11-24T09:00:00Z'])->ok(409);
        $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'tuning', 'at' => '2026-12-05T10:00:00Z'])->ok(409);
        $this->post('/api/public/booking/visit/holds', ['t' => $t, 'type' => 'tuning', 'length' => 45, 'at' => '2026-12-01T09:00:00Z'])->ok(422);
    }

    private function at(\DateTimeImmutable $when): void
    {
        $this->clock->modify('@'.$when->getTimestamp());
    }

    /** @return list<mixed> */
    private function reminders(): array
    {
        $this->byClock();

        return $this->db()->fetchFirstColumn("SELECT template FROM message WHERE template IN ('reminder', 'on-the-way') ORDER BY template");
    }

    private function invitation(): VCalendar
    {
        $text = $this->db()->fetchOne("SELECT calendar FROM message WHERE calendar <> '' ORDER BY rowid DESC LIMIT 1");
        self::assertIsString($text);
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());

        return $calendar;
    }

    /** What stands in the calendar, or in its one event, under a name. */
    private static function of(VCalendar $calendar, string $name): string
    {
        $event = $calendar->select('VEVENT')[0] ?? null;
        self::assertInstanceOf(VEvent::class, $event);

        return (string) (($calendar->select($name)[0] ?? $event->select($name)[0]) ?? '');
    }
}
