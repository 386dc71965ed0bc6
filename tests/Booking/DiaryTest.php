<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** The diary by hand: placing, moving, marking, series, groups, what is taken along; calendars in and out. */
final class DiaryTest extends AppTestCase
{
    use AsksRows;

    private string $teo = '';
    private string $sorcha = '';
    private string $tuning = '';
    private string $client = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        [$this->teo, $this->sorcha] = [$this->id("SELECT id FROM staff WHERE initials = 'TA'"), $this->id("SELECT id FROM staff WHERE initials = 'SV'")];
        $this->tuning = $this->type('tuning');
        $this->client = $this->post(
            '/api/clients',
            ['givenName' => 'Wilf', 'familyName' => 'Ambry', 'contactPoints' => [['kind' => 'email', 'value' => 'wilf@example.org']], 'address' => '2 Mill Race, Marrowby'],
        )
            ->ok(201)
            ->text('id');
    }

    public function testPlacedByHandItIsToldOnceAndTakenBackByOneUndo(): void
    {
        $placed = $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        self::assertSame('2 Mill Race, Marrowby', $placed->text('appointment.place'));
        self::assertSame('2026-11-30T11:00:00+00:00', $placed->text('appointment.endsAt'), 'as long as its kind is');
        $id = $placed->text('appointment.id');
        $this->post('/api/changes/'.$placed->text('change.id').'/undo')->ok();
        self::assertSame('cancelled', $this->get("/api/appointments/$id")->ok()->text('state'));
        $this->clock->sleep(120);
        $this->work();
        self::assertSame(0, $this->mails(), 'what was taken back within the moment was never told');
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $this->clock->sleep(120);
        $this->work();
        $this->work();
        self::assertSame(1, $this->mails());
    }

    public function testWhatIsCancelledIsOffTheRulerTheSheetAndTheDiary(): void
    {
        $placed = $this->place('2026-11-25T14:00:00+00:00')->ok(201);
        $shown = fn (): array => [
            \count($this->get('/api/day')->ok()->rows('appointments')),
            \count($this->get('/api/today')->ok()->rows('visits')),
            \count($this->get('/api/diary?from=2026-11-25&to=2026-11-25')->ok()->rows('appointments')),
        ];
        self::assertSame([1, 1, 1], $shown());
        $this->call('PUT', '/api/appointments/'.$placed->text('appointment.id').'/state', ['state' => 'cancelled'])->ok();
        self::assertSame([0, 0, 0], $shown());
    }

    public function testTheSameSendingTwiceIsOneVisit(): void
    {
        $edit = ['type' => $this->tuning, 'client' => $this->client, 'staff' => $this->teo, 'startsAt' => '2026-11-30T10:00:00+00:00'];
        $first = $this->call('POST', '/api/appointments', $edit, ['HTTP_IDEMPOTENCY_KEY' => 'k1'])->ok(201);
        $again = $this->call('POST', '/api/appointments', $edit, ['HTTP_IDEMPOTENCY_KEY' => 'k1'])->ok(201);
        self::assertSame([$first->text('appointment.id'), $first->text('change.id')], [$again->text('appointment.id'), $again->text('change.id')]);
        self::assertSame(1, $this->countRows('appointment'));
        self::assertSame($first->text('change.id'), $this->get('/api/changes/last')->ok()->text('change.id'), 'the second one has nothing to take back');
    }

    public function testWhatStandsAgainstATimeIsSaidAndCanBeOverruled(): void
    {
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $clash = ['type' => $this->tuning, 'staff' => $this->teo, 'startsAt' => '2026-11-30T10:30:00+00:00'];
        self::assertStringContainsString(
            'an appointment at 2026-11-30T10:00',
            (string) json_encode($this->post('/api/appointments/check', $clash)->ok()->at('against'), \JSON_UNESCAPED_SLASHES),
        );
        $this->post('/api/appointments', $clash)->ok(409);
        $this->post('/api/appointments', $clash + ['anyway' => true])->ok(201);
        $diary = $this->get('/api/diary?from=2026-11-30&to=2026-11-30')->ok();
        self::assertCount(1, $diary->rows('clashes'));
        self::assertContains('clash', $diary->column('needs', 'what'));
        $against = $this->post('/api/appointments/check', ['startsAt' => '2026-11-28T10:00:00+00:00'] + $clash)->ok()->at('against');
        self::assertSame(['Teo Ashbrand: does not work that day'], $against);
        self::assertSame(
            [],
            $this->post('/api/appointments/check', ['startsAt' => '2026-11-25T09:35:00+00:00'] + $clash)->ok()->at('against'),
            'what is over may be written down, at any minute',
        );
    }

    public function testTwoPeopleMoveOneVisitAndTheSecondIsTold(): void
    {
        $placed = $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $path = '/api/appointments/'.$placed->text('appointment.id');
        $version = $placed->number('appointment.version');
        $moved = $this->call('PUT', $path, ['version' => $version, 'startsAt' => '2026-11-30T14:00:00+00:00', 'endsAt' => '2026-11-30T15:30:00+00:00', 'staff' => $this->sorcha])
            ->ok();
        self::assertSame('Sorcha Vell', $moved->text('appointment.staff.name'));
        self::assertSame('2026-11-30T10:00:00+00:00', $moved->text('appointment.movedFrom'), 'the old time stays to be read');
        $this->call('PUT', $path, ['version' => $version, 'startsAt' => '2026-11-30T16:00:00+00:00'])->ok(409);
        $this->call('PUT', $path, ['version' => $version + 1, 'startsAt' => '2026-11-30T16:00:00+00:00', 'endsAt' => '2026-11-30T15:00:00+00:00'])->ok(422);
        $this->post('/api/changes/'.$moved->text('change.id').'/undo')->ok();
        self::assertSame('2026-11-30T10:00:00+00:00', $this->get($path)->ok()->text('startsAt'));
        self::assertNull($this->get($path)->ok()->at('movedFrom'));
        $longer = $this->call(
            'PUT',
            $path,
            ['version' => $this->get($path)->ok()->number('version'), 'startsAt' => '2026-11-30T10:00:00+00:00', 'endsAt' => '2026-11-30T12:00:00+00:00', 'anyway' => true],
        )
            ->ok();
        self::assertNull($longer->at('appointment.movedFrom'), 'longer is not moved');
    }

    public function testASeriesKeepsItsTimeByTheClockAndLeavesOutWhatIsTaken(): void
    {
        $this->place('2027-03-29T10:00:00+01:00')->ok(201);
        $placed = $this->post(
            '/api/appointments',
            ['type' => $this->tuning, 'client' => $this->client, 'staff' => $this->teo, 'startsAt' => '2027-03-15T10:00:00+00:00', 'every' => 'WEEKLY', 'times' => 6, 'without' => ['2027-03-22']],
        )
            ->ok(201);
        $starts = $this->get("/api/appointments?client={$this->client}")->ok()->column('items', 'startsAt');
        self::assertSame(['2027-03-15T10:00:00+00:00', '2027-03-29T10:00:00+01:00', '2027-04-05T10:00:00+01:00', '2027-04-12T10:00:00+01:00', '2027-04-19T10:00:00+01:00'], $starts, 'ten by the clock, before and after it changed');
        $this->clock->sleep(120);
        $this->work();
        $this->work();
        $mails = $this->db()->fetchAllAssociative("SELECT template, subject, text, calendar FROM message WHERE to_address = 'wilf@example.org' ORDER BY template");
        self::assertSame(['booked', 'series'], array_column($mails, 'template'), 'the single one, and one mail for the whole series');
        self::assertIsString($mails[1]['text']);
        self::assertSame('Tuning: 4 times, first on Monday 15 March, 10:00 to 11:00', $mails[1]['subject']);
        self::assertSame(4, substr_count($mails[1]['text'], 'When: '));
        self::assertIsString($mails[1]['calendar']);
        self::assertSame(4, substr_count($mails[1]['calendar'], 'BEGIN:VEVENT'));
        $skipped = $placed->at('skipped');
        self::assertIsArray($skipped);
        self::assertCount(1, $skipped);
        $this->post('/api/appointments', ['type' => $this->tuning, 'staff' => $this->teo, 'startsAt' => '2027-03-15T10:00:00+00:00', 'every' => 'WEEKLY', 'times' => 1])->ok(422);
    }

    public function testOfferedItIsKeptUntilThenAndFreeAgainAfter(): void
    {
        $placed = $this->post('/api/appointments', ['type' => $this->tuning, 'client' => $this->client, 'staff' => $this->teo, 'startsAt' => '2026-11-30T10:00:00+00:00', 'offer' => 24])->ok(201);
        self::assertSame('offered', $placed->text('appointment.state'));
        self::assertSame(['offered'], $this->get('/api/diary?from=2026-11-30&to=2026-11-30')->ok()->column('needs', 'what'));
        $this->clock->sleep(120);
        $this->work();
        self::assertSame(['offered'], $this->db()->fetchFirstColumn('SELECT template FROM message'));
        $this->clock->sleep(86_400);
        $this->sweep();
        self::assertSame('cancelled', $this->get('/api/appointments/'.$placed->text('appointment.id'))->ok()->text('state'));
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
    }

    public function testHeldAndMissedAreMarkedByWhoeverWasThereAndARuleOffersANewTime(): void
    {
        $this->post('/api/rules', ['name' => 'Missed', 'when' => 'visit-missed', 'what' => 'Tuning', 'then' => [['kind' => 'times', 'page' => 'visit']], 'enabled' => true, 'why' => ''])->ok(201);
        $placed = $this->place('2026-11-26T10:00:00+00:00')->ok(201);
        $path = '/api/appointments/'.$placed->text('appointment.id').'/state';
        $this->call('PUT', $path, ['state' => 'held'])->ok(422);
        $this->clock->modify('2026-11-26 12:00:00');
        $this->signIn('pim@marrowby.example');
        $this->call('PUT', $path, ['state' => 'missed'])->ok(404);
        $this->signIn('teo@marrowby.example');
        $this->call('PUT', $path, ['state' => 'cancelled'])->ok(403);
        $this->call('PUT', $path, ['state' => 'missed'])->ok();
        $link = $this->db()->fetchOne("SELECT text FROM message WHERE template = 'choose-time' AND to_address = 'wilf@example.org'");
        self::assertIsString($link, 'the rule offers a new time');
        self::assertStringContainsString('/book/visit?t=', $link);
        $this->post('/api/appointments', ['title' => 'x', 'staff' => $this->teo, 'startsAt' => '2026-11-30T10:00:00+00:00'])->ok(403);
        self::assertSame(['Teo Ashbrand'], $this->get('/api/diary?from=2026-11-26&to=2026-11-26')->ok()->column('staff', 'name'), 'their own day, and no other');
        self::assertCount(1, $this->get('/api/today')->ok()->rows('visits'));
        self::assertSame([], $this->get('/api/today')->ok()->rows('waiting'));
    }

    public function testOnlyOneTakesTheVanAndAGroupTakesEight(): void
    {
        $this->place('2026-11-30T10:00:00+00:00', 'delivery', $this->id("SELECT id FROM staff WHERE initials = 'PT'"))->ok(201);
        self::assertStringContainsString('The van is taken then', $this->place('2026-11-30T10:30:00+00:00', 'delivery', $this->teo)->ok(409)->body);
        $evening = fn (): Answer => $this->place('2026-12-01T16:00:00+00:00', 'workshop-evening', $this->sorcha);
        for ($i = 0; $i < 8; ++$i) {
            $evening()->ok(201);
        }
        self::assertStringContainsString('all 8 seats are taken', $evening()->ok(409)->body);
        self::assertSame([], $this->get('/api/diary?from=2026-12-01&to=2026-12-01')->ok()->rows('clashes'), 'those of one group are no clash');
    }

    public function testWhoeverWorksByTheClockOfAnotherPlaceIsFreeThen(): void
    {
        $edit = fn (array $with): Answer => $this->call('PUT', "/api/setup/staff/{$this->teo}", $with);
        self::assertSame('zone', $edit(['zone' => 'Mars/Olympus'])->ok(422)->text('violations.0.path'));
        $edit(['zone' => 'America/New_York', 'hours' => [['day' => 1, 'spans' => [['from' => '09:00', 'to' => '17:00']]]]])->ok();
        $lanes = $this->get('/api/diary?from=2026-11-30&to=2026-11-30')->ok()->rows('days.0.lanes');
        $mine = array_values(array_filter($lanes, fn (array $lane): bool => $lane['staff'] === $this->teo))[0] ?? [];
        self::assertSame([['from' => '2026-11-30T14:00:00+00:00', 'to' => '2026-11-30T22:00:00+00:00']], $mine['open'] ?? null);
        $this->place('2026-11-30T10:00:00+00:00')->ok(409);
        $this->place('2026-11-30T20:00:00+00:00')->ok(201);
    }

    public function testGoodTimesSayWhyAndNobodyIsAskedTwice(): void
    {
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $found = $this->get("/api/diary/good-times?type={$this->tuning}&client={$this->client}&part=morning&from=2026-11-30")->ok();
        self::assertSame(['Wilf Ambry', '2 Mill Race, Marrowby'], [$found->text('who'), $found->text('address')]);
        self::assertSame(['There is no number to ring on the way.'], $found->at('verify'), 'a mail address that somebody wrote down is confirmed');
        self::assertCount(5, $found->rows('items'));
        self::assertStringContainsString('As asked', $found->text('items.0.why'));
        foreach (array_keys($found->rows('items')) as $i) {
            $this->post('/api/appointments', ['type' => $this->tuning, 'client' => $this->client, 'staff' => $found->text("items.$i.staff.0.id"), 'startsAt' => $found->text("items.$i.startsAt")])->ok(201);
        }
        self::assertSame([], $this->get('/api/diary?from=2026-11-30&to=2026-12-11')->ok()->rows('clashes'));
    }

    public function testWhereToGoAndWhatToVerifyIsSaidWhilePlacing(): void
    {
        $bare = $this->post('/api/clients', ['givenName' => 'Ida', 'familyName' => 'Bare'])->ok(201)->text('id');
        $told = fn (string $more = ''): Answer => $this->get("/api/diary/good-times?type={$this->tuning}&client=$bare$more")->ok();
        self::assertSame(['Nobody has said where it is.', 'There is neither a mail address nor a number: nobody can be told.'], $told()->at('verify'));
        self::assertSame(['There is neither a mail address nor a number: nobody can be told.'], $told('&address=1%20Quay')->at('verify'));
        $asset = fn (string $place): Answer => $this->call('PUT', "/api/clients/$bare", ['version' => $this->get("/api/clients/$bare")->ok()->number('version'), 'assets' => [['description' => "Grand, $place", 'place' => $place]]])->ok();
        $asset('3 Mill Row');
        self::assertSame('3 Mill Row', $told()->text('address'), 'the one place where a thing of theirs stands');
        $asset('9 Quay');
        self::assertSame('', $told()->text('address'));
        self::assertSame('Which place is meant: 3 Mill Row; 9 Quay?', $told()->text('verify.0'));
        self::assertSame('They have things elsewhere too: 9 Quay.', $told('&address=3%20Mill%20Row')->text('verify.0'));
        $this->db()->insert('contact_point', ['id' => '0195f4f8-0000-7000-8000-00000000000b', 'client_id' => $bare, 'kind' => 'email', 'value' => 'ida@example.org', 'match_key' => 'ida@example.org', 'confirmed' => 0]);
        self::assertSame(['There is no number to ring on the way.', 'Nobody has confirmed ida@example.org yet.'], \array_slice((array) $told('&address=1')->at('verify'), 1));
        self::assertSame([], $this->get("/api/diary/good-times?type={$this->tuning}")->ok()->at('verify'), 'nobody is known yet');
    }

    public function testAVisitPlacedFromAPlanGoesWithIt(): void
    {
        $this->inquire()->ok(201);
        $submission = $this->lastSubmission();
        $found = $this->get("/api/diary/good-times?submission=$submission")->ok();
        self::assertSame($this->type('first-visit'), $found->text('type'), 'the kind that fits the service');
        $this->post('/api/appointments', ['type' => $found->text('type'), 'submission' => $submission, 'staff' => $found->text('items.0.staff.0.id'), 'startsAt' => $found->text('items.0.startsAt')])->ok(201);
        $this->accept($submission)->ok();
        $visit = $this->get('/api/appointments?submission='.$submission)->ok()->rows('items')[0];
        self::assertIsArray($visit['project']);
        self::assertSame('Orla Fennick', $visit['who']);
    }

    public function testKindsAndPagesAreCheckedBesideTheirFields(): void
    {
        $settings = ['lengths' => [30], 'people' => [[$this->teo]]];
        $this->post('/api/diary/types', ['name' => 'Short', 'live' => true, 'settings' => $settings])->ok(201);
        self::assertArrayHasKey('slug', $this->post('/api/diary/types', ['name' => 'Short', 'live' => true, 'settings' => $settings])->ok(422)->violations());
        foreach ([[['lengths' => [0]], 'settings.lengths.0'], [['lengths' => [1500]], 'settings.lengths.0'], [['people' => []], 'settings.people'], [['people' => [['nobody']]], 'settings.people'], [['service' => 'flying'], 'settings.service'], [['after' => 'nowhere'], 'settings.after'], [['reminders' => [['minutes' => 5, 'template' => 'none']]], 'settings.reminders.0']] as [$wrong, $path]) {
            self::assertArrayHasKey($path, $this->post('/api/diary/types', ['name' => 'X', 'slug' => 'x', 'live' => true, 'settings' => $wrong + $settings])->ok(422)->violations());
        }
        $id = $this->type('short');
        $this->call('PUT', "/api/diary/types/$id", ['version' => 1, 'name' => 'Shorter', 'slug' => 'short', 'live' => false, 'settings' => $settings])->ok();
        $this->call('PUT', "/api/diary/types/$id", ['version' => 1, 'name' => 'Shortest', 'slug' => 'short', 'live' => false, 'settings' => $settings])->ok(409);
        $page = ['slug' => 'short', 'title' => 'Short ones', 'intro' => '', 'types' => [$id], 'form' => 'book', 'live' => true];
        $this->post('/api/diary/pages', $page)->ok(201);
        self::assertArrayHasKey('slug', $this->post('/api/diary/pages', $page)->ok(422)->violations());
        self::assertArrayHasKey('form', $this->post('/api/diary/pages', ['slug' => 's2', 'form' => 'none'] + $page)->ok(422)->violations());
        self::assertArrayHasKey('types', $this->post('/api/diary/pages', ['slug' => 's2', 'types' => []] + $page)->ok(422)->violations());
        $trial = $this->post('/api/diary/types/try', ['settings' => $settings, 'address' => '2 Mill Race, Marrowby'])->ok();
        self::assertGreaterThan(20, $trial->number('count'));
        self::assertContains('too soon', $trial->column('missing', 'why'));
    }

    public function testRoadsAreReadFromAFileAndWrongLinesAreNamed(): void
    {
        $kept = $this->call('PUT', '/api/diary/roads', ['unknown' => 15, 'roads' => [], 'csv' => "\xEF\xBB\xBFfrom;to;minutes\r\nMarrowby;Tesk;25\r\n\"Quarry; Hall\";Tesk;9\r\n"])->ok();
        self::assertSame([['from' => 'Marrowby', 'to' => 'Tesk', 'minutes' => 25], ['from' => 'Quarry; Hall', 'to' => 'Tesk', 'minutes' => 9]], $kept->rows('roads'));
        self::assertSame('Line 1: write whole minutes, from 0 to 600.', array_values($this->call('PUT', '/api/diary/roads', ['unknown' => 15, 'roads' => [['from' => 'a', 'to' => 'b', 'minutes' => 1000]]])->ok(422)->violations())[0] ?? '');
        $this->call('PUT', '/api/diary/work-days', ['staff' => $this->teo, 'day' => '2026-11-30', 'spans' => [['from' => '10:00', 'to' => '24:30']]])->ok(422);
        $this->call('PUT', '/api/diary/work-days', ['staff' => $this->teo, 'day' => '2026-11-30', 'spans' => [['from' => '10:00', 'to' => '12:00'], ['from' => '11:00', 'to' => '14:00']]])->ok(422);
        $this->call('PUT', '/api/diary/work-days', ['staff' => $this->teo, 'day' => '2026-11-30', 'spans' => []])->ok(204);
        $this->place('2026-11-30T10:00:00+00:00')->ok(409);
        $this->call('PUT', '/api/diary/work-days', ['staff' => $this->teo, 'day' => '2026-11-30', 'spans' => null])->ok(204);
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
    }

    public function testTheFeedIsReadBackAndEndsWhenItIsRenewed(): void
    {
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $path = $this->post('/api/diary/feeds', ['staff' => $this->teo])->ok(201)->text('path');
        $feed = Reader::read($this->get($path)->ok()->body);
        self::assertInstanceOf(VCalendar::class, $feed);
        self::assertSame([], $feed->validate());
        self::assertCount(1, $feed->select('VEVENT'));
        self::assertStringContainsString('2 Mill Race', $feed->serialize());
        $new = $this->post('/api/diary/feeds', ['staff' => $this->teo])->ok(201)->text('path');
        $this->get($path)->ok(404);
        $this->get($new)->ok();
        $this->signIn('pim@marrowby.example');
        $this->post('/api/diary/feeds', ['staff' => $this->teo])->ok(403);
        $this->post('/api/diary/feeds', ['staff' => $this->id("SELECT id FROM staff WHERE initials = 'PT'")])->ok(201);
    }

    public function testAFileIsBroughtInOnceWhateverStandsInIt(): void
    {
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
        $own = $this->get('/api/diary/export')->ok()->body;
        $import = fn (string $file, bool $dry): Answer => $this->post('/api/diary/import', ['file' => $file, 'staff' => $this->teo, 'dry' => $dry]);
        self::assertSame([0, 0, 1], self::counts($import($own, true)->ok()), 'what is there is known by its UID');
        $event = static fn (string $uid, string $more): string => "BEGIN:VEVENT\r\nUID:$uid\r\nDTSTAMP:20261101T000000Z\r\n$more\r\nEND:VEVENT\r\n";
        $file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\n"
            .$event('a', "DTSTART;TZID=Nowhere/Land:20261201T090000\r\nDTEND;TZID=Nowhere/Land:20261201T100000\r\nSUMMARY:Unknown zone")
            .$event('b', "DTSTART:20261202T090000Z\r\nDTEND:20261202T100000Z\r\nRRULE:FREQ=WEEKLY\r\nSUMMARY:Without an end")
            .$event('c', "DTSTART;VALUE=DATE:20261203\r\nDTEND;VALUE=DATE:20261210\r\nSUMMARY:A week")
            .$event('d', 'SUMMARY:No time at all')
            ."BEGIN:VEVENT\r\nUID:e\r\nthis line is broken\r\nDTSTART:20261204T090000Z\r\nDTEND:20261204T093000Z\r\nSUMMARY:Broken line\r\nEND:VEVENT\r\n"
            ."END:VCALENDAR\r\n";
        $dry = $import($file, true)->ok();
        self::assertSame(['“Unknown zone” is in a zone that nobody knows: Nowhere/Land', '“No time at all” does not say when it is', 'A week: longer than a day; add an absence instead'], $dry->at('refused'));
        self::assertSame(1, $this->countRows('appointment'), 'a dry run writes nothing');
        $done = $import($file, false)->ok();
        self::assertSame($dry->number('new'), $done->number('new'));
        self::assertGreaterThan(100, $done->number('new'), 'two years of weeks');
        self::assertSame([0, 0, $done->number('new')], self::counts($import($file, false)->ok()), 'twice is once');
        self::assertSame(0, $this->mails(), 'what is brought in tells nobody');
        $import('BEGIN:VCARD', true)->ok(422);
        $import('', true)->ok(422);
    }

    public function testTimesAtWhichSomebodyIsBusyElsewhereAreNotOffered(): void
    {
        $this->post('/api/diary/calendars', ['staff' => $this->teo, 'address' => 'http://calendars.example/x.ics'])->ok(422);
        foreach (['https://127.0.0.1/x', 'https://10.1.2.3/x', 'https://[::1]/x', 'https://169.254.169.254/x', 'https://100.64.0.1/x', 'https://user@example.com/x'] as $address) {
            $this->post('/api/diary/calendars', ['staff' => $this->teo, 'address' => $address])->ok(422);
        }
        $file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:x\r\nDTSTART;TZID=Europe/Dublin:20261130T090000\r\nDTEND;TZID=Europe/Dublin:20261130T120000\r\nRRULE:FREQ=DAILY\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        self::assertGreaterThan(300, $this->post('/api/diary/calendars', ['staff' => $this->teo, 'file' => $file])->ok(201)->number('busy'));
        self::assertStringContainsString('busy at 2026-11-30T09:00', $this->place('2026-11-30T10:00:00+00:00')->ok(409)->body);
        $calendar = $this->id('SELECT id FROM busy_calendar');
        $this->call('DELETE', "/api/diary/calendars/$calendar")->ok(204);
        $this->place('2026-11-30T10:00:00+00:00')->ok(201);
    }

    public function testWhoLeavesHandsTheirAppointmentsOver(): void
    {
        $id = $this->place('2026-11-30T10:00:00+00:00')->ok(201)->text('appointment.id');
        $this->signIn('sorcha@marrowby.example');
        $this->post("/api/setup/staff/{$this->teo}/leaving", ['handTo' => $this->sorcha])->ok();
        self::assertSame('Sorcha Vell', $this->get("/api/appointments/$id")->ok()->text('staff.name'));
        $types = $this->get('/api/diary/types')->ok()->body;
        self::assertStringNotContainsString($this->teo, $types);
    }

    public function testALinkForAClientJoinsTheirProject(): void
    {
        $project = $this->post('/api/projects', ['client' => $this->client, 'service' => 'tuning'])->ok(201)->text('id');
        $address = $this->post('/api/diary/links', ['page' => 'visit', 'project' => $project, 'send' => true])->ok(201);
        self::assertTrue($address->at('sent'));
        parse_str((string) parse_url($address->text('address'), \PHP_URL_QUERY), $query);
        self::assertIsString($query['t']);
        $page = $this->get("/api/public/booking/visit?t={$query['t']}")->ok();
        self::assertSame('Wilf', $page->text('who.first'));
        $this->post('/api/public/booking/visit/bookings', ['t' => $query['t'], 'type' => 'tuning', 'at' => '2026-11-30T10:00:00+00:00'])->ok(201);
        self::assertCount(1, $this->get("/api/appointments?project=$project")->ok()->rows('items'));
        self::assertSame(1, $this->countRows('project'));
    }

    private function place(string $at, string $type = 'tuning', string $staff = ''): Answer
    {
        return $this->post('/api/appointments', ['type' => $this->type($type), 'client' => $this->client, 'staff' => '' === $staff ? $this->teo : $staff, 'startsAt' => $at]);
    }

    private function type(string $slug): string
    {
        return $this->id("SELECT id FROM visit_type WHERE slug = '$slug'");
    }

    private function mails(): int
    {
        return (int) $this->number("SELECT COUNT(*) FROM message WHERE template IN ('booked', 'moved', 'cancelled')");
    }

    private function sweep(): void
    {
        $this->byClock();
    }

    /** @return list<int> */
    private static function counts(Answer $answer): array
    {
        return [$answer->number('new'), $answer->number('changed'), $answer->number('known')];
    }
}
