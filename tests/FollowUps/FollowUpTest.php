<?php

declare(strict_types=1);

namespace Telamon\Tests\FollowUps;

use Doctrine\Persistence\ManagerRegistry;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Follow-ups begin, go on by the clock, and end with what comes back. */
final class FollowUpTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    private function text(string $sql): string
    {
        $value = $this->db()->fetchOne($sql);

        return \is_scalar($value) ? (string) $value : '';
    }

    private function followUp(string $key): string
    {
        return $this->text("SELECT id FROM follow_up WHERE code = '$key'");
    }

    /** A client on file with an open project. */
    private function client(): string
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();

        return $this->text('SELECT id FROM client ORDER BY rowid DESC LIMIT 1');
    }

    private function begun(string $key = 'first-answer'): Answer
    {
        $client = $this->client();

        return $this->post("/api/follow-ups/{$this->followUp($key)}/begin", ['client' => $client, 'project' => $this->text("SELECT id FROM project WHERE client_id = '$client'")])
            ->ok(201);
    }

    private function doctrine(): ManagerRegistry
    {
        $doctrine = self::getContainer()->get('doctrine');
        self::assertInstanceOf(ManagerRegistry::class, $doctrine);

        return $doctrine;
    }

    private function wind(string $by): void
    {
        $this->clock->modify($by);
        $this->byClock('follow-ups');
        $this->work();
    }

    /** @return list<string> subjects of what went to the client, in order, without the confirmation */
    private function sent(): array
    {
        return array_map(
            static fn (mixed $subject): string => \is_string($subject) ? $subject : '',
            $this->db()->fetchFirstColumn("SELECT subject FROM message WHERE ground = 'inquiry' AND state = 'sent' ORDER BY rowid"),
        );
    }

    private function answers(string $words): void
    {
        $message = $this->text("SELECT id FROM message WHERE ground = 'inquiry' AND state = 'sent' ORDER BY rowid DESC LIMIT 1");
        $this->post('/api/stand-in/mail', ['message' => $message, 'text' => $words])->ok(201);
    }

    /** @return array<string, mixed> */
    private function inside(string $client): array
    {
        return $this->get("/api/follow-ups/runs?client=$client")->ok()->rows('items')[0];
    }

    public function testNudgesFollowByTheClockAndARuleBeginsThem(): void
    {
        $id = $this->followUp('first-answer');
        self::assertSame([], $this->get('/api/rules')->ok()->rows('offers.followUps'), 'what is switched off is not offered');
        $this->post("/api/follow-ups/$id/switch", ['on' => true])->ok();
        $this->post('/api/rules', ['name' => 'Answer at once', 'enabled' => true, 'then' => [['kind' => 'follow-up', 'followUp' => 'first-answer']]])->ok(201);
        $this->inquire()->ok(201);
        $plan = $this->get("/api/submissions/{$this->lastSubmission()}")->ok();
        self::assertStringContainsString('Begin the follow-up “First answer and nudges”', json_encode($plan->at('plan.lines'), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE));
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        self::assertSame(['Your inquiry about your Pell & Thrane upright'], $this->sent());
        // Wednesday 25 November, 10:42.
        $this->wind('+47 hours');
        self::assertCount(1, $this->sent());
        $this->wind('+1 hour');
        self::assertCount(2, $this->sent());
        $this->wind('+2 days');
        self::assertCount(2, $this->sent(), 'a working day later is Monday, at ten');
        $this->wind('+24 hours');
        self::assertCount(3, $this->sent());
        $this->wind('+4 days');
        self::assertCount(4, $this->sent());
        $this->wind('+30 days');
        self::assertCount(5, $this->sent());
        self::assertSame('ended', $this->inside($this->text('SELECT id FROM client ORDER BY rowid DESC LIMIT 1'))['state']);
        self::assertSame('Answer at once', $this->text('SELECT started_by FROM follow_up_run'));
    }

    public function testOneThatCannotGoOnDoesNotKeepTheOthersWaiting(): void
    {
        $this->begun();
        $this->work();
        $this->db()->executeStatement("CREATE TRIGGER refuse BEFORE INSERT ON message WHEN NEW.to_address = 'refused@example.org' BEGIN SELECT RAISE(ABORT, 'no'); END");
        $same = 'follow_up_id, client_id, project_id, state, course, place, ended_at, why, version, courses, log, answered_at, submission_id, started_by, started_at';
        $this->db()
            ->executeStatement(
                "INSERT INTO follow_up_run (id, due_at, address, $same) SELECT 'f0000000-0000-7000-8000-000000000000', datetime(due_at, '-1 hour'), 'refused@example.org', $same FROM follow_up_run",
            );
        $this->wind('+2 days');
        self::assertCount(2, $this->sent());
        self::assertSame(['1', 'follow-ups'], [$this->text('SELECT tries FROM due_trouble'), $this->text('SELECT work FROM due_trouble')]);
        $this->wind('+59 seconds');
        self::assertSame('1', $this->text('SELECT tries FROM due_trouble'), 'not before its time');
        $this->wind('+2 seconds');
        self::assertSame('2', $this->text('SELECT tries FROM due_trouble'));
        $this->db()->executeStatement('DROP TRIGGER refuse');
        $this->wind('+4 minutes');
        self::assertSame('0', $this->text('SELECT COUNT(*) FROM due_trouble'));
    }

    public function testAYesEndsTheNudgesAndReachesSomebody(): void
    {
        $run = $this->begun();
        $this->work();
        $this->answers('Yes please, go ahead.');
        $now = $this->inside($run->text('client.id'));
        self::assertSame(['ended', 'a yes came'], [$now['state'], $now['why']]);
        $this->wind('+3 days');
        self::assertCount(1, $this->sent());
        self::assertStringStartsWith('Orla Fennick says yes', $this->text("SELECT name FROM task WHERE checklist = 'Reply'"));
        $shown = $this->get("/api/follow-ups/{$this->followUp('first-answer')}")->ok();
        self::assertCount(1, $shown->rows('figures'));
        self::assertSame(
            ['first', $run->text('client.id'), 'answered'],
            [$shown->text('figures.0.key'), $shown->text('figures.0.people.0.client.id'), $shown->text('figures.0.people.0.outcome')],
        );
        self::assertSame([1, 1, 0], array_map(static fn (string $of): mixed => $shown->rows('figures')[0][$of], ['done', 'answered', 'booked']));
    }

    public function testStopEndsEverything(): void
    {
        $run = $this->begun();
        $this->work();
        $this->answers('Stop writing to me.');
        self::assertSame('they asked to be left alone', $this->inside($run->text('client.id'))['why']);
        $again = $this->post("/api/follow-ups/{$this->followUp('photographs')}/begin", ['client' => $run->text('client.id')]);
        self::assertSame([422, 'client'], [$again->status, $again->text('violations.0.path')]);
        $this->wind('+60 days');
        self::assertCount(1, $this->sent());
    }

    public function testAnUnclearAnswerLetsTheNudgesWaitForAPerson(): void
    {
        $run = $this->begun();
        $this->work();
        $this->answers('Yes, but not before Easter, I think.');
        self::assertSame('paused', $this->inside($run->text('client.id'))['state']);
        $this->wind('+10 days');
        self::assertCount(1, $this->sent());
        $reply = $this->get('/api/replies?state=open')->ok()->text('items.0.id');
        $this->post("/api/replies/$reply/decide", ['says' => 'later'])->ok();
        self::assertSame(['inside', 'later'], [$this->inside($run->text('client.id'))['state'], $this->inside($run->text('client.id'))['course']]);
        $this->wind('+30 days');
        self::assertCount(2, $this->sent());
        self::assertSame('Shall we keep your inquiry?', $this->sent()[1]);
    }

    public function testOneAtATimeWithAClientAndStoppedByHandAndTakenBack(): void
    {
        $run = $this->begun();
        $again = $this->post("/api/follow-ups/{$this->followUp('first-answer')}/begin", ['client' => $run->text('client.id')])->ok(201);
        self::assertSame($run->text('id'), $again->text('id'));
        self::assertSame('ended', $this->post("/api/follow-ups/runs/{$run->text('id')}/stop")->ok()->text('state'));
        self::assertSame(409, $this->post("/api/follow-ups/runs/{$run->text('id')}/stop")->status);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('inside', $this->inside($run->text('client.id'))['state']);
    }

    public function testAClosedProjectEndsIt(): void
    {
        $run = $this->begun();
        $project = $this->get("/api/projects/{$run->text('project.id')}")->ok();
        $this->post("/api/projects/{$run->text('project.id')}/close", ['outcome' => 'lost', 'reason' => 'Too far', 'version' => $project->number('version')])->ok();
        self::assertSame('ended', $this->inside($run->text('client.id'))['state']);
    }

    public function testWhoIsInsideKeepsTheirVersionUntilTheyAreBrought(): void
    {
        $run = $this->begun();
        $id = $this->followUp('first-answer');
        $one = $this->get("/api/follow-ups/$id")->ok();
        $main = array_values(array_filter($one->rows('courses.main'), static fn (array $step): bool => !\in_array($step['key'], ['wait-2', 'nudge-2'], true)));
        $changed = $this->call('PUT', "/api/follow-ups/$id", ['name' => 'First answer', 'courses' => ['main' => $main, 'later' => $one->rows('courses.later')], 'version' => 1])
            ->ok();
        self::assertSame(2, $changed->number('version'));
        self::assertSame(409, $this->call('PUT', "/api/follow-ups/$id", ['name' => 'x', 'courses' => ['main' => $main], 'version' => 1])->status);
        self::assertSame('1', $this->text('SELECT version FROM follow_up_run'));
        self::assertSame(422, $this->post("/api/follow-ups/$id/bring", ['gone' => 'fly'])->status);
        $this->post("/api/follow-ups/$id/bring", ['gone' => 'keep'])->ok();
        self::assertSame('1', $this->text('SELECT version FROM follow_up_run'), 'the step they stand at is gone');
        $this->post("/api/follow-ups/$id/bring", ['gone' => 'next'])->ok();
        self::assertSame([2, 'wait-3'], [$this->inside($run->text('client.id'))['version'], $this->inside($run->text('client.id'))['step']]);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('1', $this->text('SELECT version FROM follow_up_run'));
    }

    public function testWhatWouldNotWorkIsRefusedWhereItStands(): void
    {
        $send = ['key' => 'a', 'kind' => 'send', 'what' => 'gone-template'];
        $refused = $this->post('/api/follow-ups', ['name' => 'x', 'courses' => ['main' => [$send]]]);
        self::assertSame([422, 'courses.main.0.what'], [$refused->status, $refused->text('violations.0.path')]);
        $long = $this->post('/api/follow-ups', ['name' => 'x', 'courses' => ['main' => [['key' => 'w', 'kind' => 'wait', 'amount' => 400, 'unit' => 'days']]]]);
        self::assertSame([422, 'courses.main.0.amount'], [$long->status, $long->text('violations.0.path')]);
        $this->post('/api/follow-ups', ['name' => 'Short', 'courses' => ['main' => [['what' => 'first-answer'] + $send]]])->ok(201);
        self::assertSame(422, $this->post('/api/follow-ups', ['name' => 'short', 'courses' => ['main' => [['what' => 'first-answer'] + $send]]])->status);
    }

    public function testTheRehearsalWritesNothing(): void
    {
        $one = $this->get("/api/follow-ups/{$this->followUp('first-answer')}")->ok();
        $before = $this->text('SELECT COUNT(*) FROM message');
        $acts = $this->post(
            '/api/follow-ups/try',
            ['courses' => $one->at('courses'), 'start' => '2026-11-25T10:42:00+00:00', 'answeredAt' => '2026-11-28T12:00:00+00:00', 'says' => 'later'],
        )
            ->ok();
        self::assertSame(
            ['2026-11-25T10:42:00+00:00', '2026-11-27T10:42:00+00:00', '2026-12-28T10:00:00+00:00', '2027-01-20T09:00:00+00:00', '2027-01-20T09:00:00+00:00'],
            $acts->column('acts', 'at'),
        );
        self::assertSame(['first', 'nudge-2', 'nudge-7', 'last', ''], $acts->column('acts', 'key'));
        self::assertSame($before, $this->text('SELECT COUNT(*) FROM message'));
        self::assertSame('0', $this->text('SELECT COUNT(*) FROM follow_up_run'));
    }

    public function testThingsThatAreSentCarryAWayToStopThem(): void
    {
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = 'https://telamon.example';
        try {
            $this->begun();
            $this->work();
            $id = $this->text("SELECT id FROM message WHERE ground = 'inquiry'");
            $eml = str_replace("\r\n ", ' ', $this->get("/api/messages/$id/eml")->ok()->body);
            self::assertMatchesRegularExpression('#^List-Unsubscribe: <https://telamon\.example/stop/[A-Za-z0-9_-]+\.[0-9a-f]{16}>#m', $eml);
            self::assertStringContainsString('List-Unsubscribe-Post: List-Unsubscribe=One-Click', $eml);
        } finally {
            $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = '';
        }
    }

    public function testNoMoreThanSoManyLeaveInAnHour(): void
    {
        $this->call('PUT', '/api/setup/messages', ['mailsAnHour' => '1'])->ok();
        foreach (['Bea Larkhill' => 'bea@example.com', 'Hugh Orrin' => 'hugh@example.com'] as $name => $email) {
            $this->inquire(['name' => $name, 'email' => $email, 'phone' => null])->ok(201);
            $this->accept($this->lastSubmission())->ok();
            $this->post("/api/follow-ups/{$this->followUp('first-answer')}/begin", ['client' => $this->text('SELECT id FROM client ORDER BY rowid DESC LIMIT 1')])->ok(201);
        }
        $this->work();
        self::assertCount(1, $this->sent(), 'confirmations do not count');
        self::assertSame('0', $this->text("SELECT COUNT(*) FROM message WHERE kind = 'confirmation' AND state <> 'sent'"));
        $this->wind('+61 minutes');
        self::assertCount(2, $this->sent());
    }

    public function testAThousandPeopleWhoseStepIsRemovedAreBroughtOn(): void
    {
        $run = $this->begun();
        $id = $this->followUp('first-answer');
        $columns = 'state, course, place, due_at, why, version, courses, log, answered_at, address, started_by, started_at, follow_up_id, client_id';
        for ($i = 0; $i < 999; ++$i) {
            $this->db()
                ->executeStatement("INSERT INTO follow_up_run (id, $columns) SELECT ?, $columns FROM follow_up_run WHERE id = ?", [\sprintf('019f0000-0000-7000-8000-%012d', $i), $run->text('id')]);
        }
        $one = $this->get("/api/follow-ups/$id")->ok();
        self::assertSame(1000, $one->number('inside'));
        // Somebody who began first of all is shown before any of those who have ended.
        $this->db()->executeStatement("UPDATE follow_up_run SET state = 'ended', ended_at = started_at WHERE id <> ?", [$run->text('id')]);
        $this->db()->executeStatement("UPDATE follow_up_run SET started_at = datetime(started_at, '-1 day') WHERE id = ?", [$run->text('id')]);
        $shown = $this->get("/api/follow-ups/$id")->ok();
        self::assertCount(200, $shown->rows('runs'));
        self::assertSame($run->text('id'), $shown->text('runs.0.id'));
        $this->db()->executeStatement("UPDATE follow_up_run SET state = 'inside', ended_at = NULL");
        $main = array_values(array_filter($one->rows('courses.main'), static fn (array $step): bool => !\in_array($step['key'], ['wait-2', 'nudge-2'], true)));
        $this->call('PUT', "/api/follow-ups/$id", ['name' => 'First answer', 'courses' => ['main' => $main], 'version' => 1])->ok();
        $this->post("/api/follow-ups/$id/bring", ['gone' => 'stop'])->ok();
        self::assertSame('1000', $this->text("SELECT COUNT(*) FROM follow_up_run WHERE state = 'ended'"));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('1000', $this->text("SELECT COUNT(*) FROM follow_up_run WHERE state = 'inside'"));
    }

    public function testAMergeBringsWhatHangsOnTheOtherClientAndBack(): void
    {
        $run = $this->begun();
        $other = $run->text('client.id');
        $this->work();
        $this->answers('Please stop writing.');
        $this->inquire(['name' => 'Bea Larkhill', 'email' => 'bea@example.com', 'phone' => null])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $one = $this->text("SELECT client_id FROM contact_point WHERE value = 'bea@example.com'");
        $done = $this->post("/api/clients/$one/merge", ['other' => $other])->ok();
        self::assertSame('1', $this->text("SELECT COUNT(*) FROM follow_up_run WHERE client_id = '$one'"));
        self::assertEqualsCanonicalizing(['+353209143327', 'orla.fennick@example.com'], $this->get("/api/stops?client=$one")->ok()->column('items', 'address'));
        self::assertCount(1, $this->get("/api/replies?client=$one")->ok()->rows('items'));
        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame('0', $this->text("SELECT COUNT(*) FROM follow_up_run WHERE client_id = '$one'"));
        self::assertCount(1, $this->get("/api/replies?client=$other")->ok()->rows('items'));
    }

    public function testUndoOfAnAcceptanceTakesItsFollowUpBack(): void
    {
        $this->post("/api/follow-ups/{$this->followUp('first-answer')}/switch", ['on' => true])->ok();
        $this->post('/api/rules', ['name' => 'Answer at once', 'enabled' => true, 'then' => [['kind' => 'follow-up', 'followUp' => 'first-answer']]])->ok(201);
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('1', $this->text('SELECT COUNT(*) FROM follow_up_run'));
        $this->post("/api/submissions/{$this->lastSubmission()}/undo")->ok();
        $this->wind('+60 days');
        self::assertSame([], $this->sent(), 'nothing that was not sent leaves after it');
    }

    private function asTexts(string $words): void
    {
        $this->db()->executeStatement("UPDATE message_template SET text_message = ? WHERE code = 'nudge-day-2'", [$words]);
        $whole = $this->get("/api/follow-ups/{$this->followUp('first-answer')}")->ok();
        $courses = $whole->map('courses');
        self::assertIsArray($courses['main']);
        $courses['main'] = array_map(static fn (mixed $step): mixed => \is_array($step) && 'send' === $step['kind'] ? ['asText' => true] + $step : $step, $courses['main']);
        $this->call('PUT', "/api/follow-ups/{$whole->text('id')}", ['name' => $whole->text('name'), 'courses' => $courses, 'version' => $whole->number('version'), 'on' => true])->ok();
    }

    public function testATextWithAnEmptyPlaceWaitsAndStaysATextOnceItIsFilledIn(): void
    {
        $this->asTexts('Could it be ready by {{ready_by}}? We ask for {{first_name|you}}.');
        $this->begun();
        $this->wind('+2 days');
        $id = $this->text("SELECT id FROM message WHERE channel = 'text'");
        $held = $this->get("/api/messages/$id")->ok();
        self::assertSame(['held', ['ready_by']], [$held->text('state'), $held->column('gaps', 'name')]);
        $this->post("/api/messages/$id/fill", ['words' => ['ready_by' => 'Friday']])->ok();
        $this->work();
        $sent = $this->get("/api/messages/$id")->ok();
        self::assertSame(['sent', '', "Could it be ready by Friday? We ask for Orla.\nAnswer STOP to end this."], [$sent->text('state'), $sent->text('html'), $sent->text('text')]);
    }

    public function testAStepGoesAsATextWhereThereAreANumberAndWordsForIt(): void
    {
        $this->asTexts('Hello {{first_name|there}}, have you had a moment?');
        $this->begun();
        $this->wind('+2 days');
        self::assertSame(['mail', 'text'], $this->db()->fetchFirstColumn("SELECT channel FROM message WHERE ground = 'inquiry' AND state = 'sent' ORDER BY rowid"), 'the first has no words for a text');
        self::assertSame("Hello Orla, have you had a moment?\nAnswer STOP to end this.", $this->text("SELECT text FROM message WHERE channel = 'text'"));
        $texted = $this->text("SELECT id FROM message WHERE channel = 'text'");
        $this->post('/api/stand-in/mail', ['message' => $texted, 'text' => 'Stop'])->ok(201);
        self::assertSame('ended', $this->text('SELECT state FROM follow_up_run'), 'it ends the follow-up too');
    }

    public function testSomebodyRunsItWithThemselvesAndNobodyElseHearsOfIt(): void
    {
        $whole = $this->get("/api/follow-ups/{$this->followUp('first-answer')}")->ok();
        $sent = $this->post('/api/follow-ups/to-me', ['name' => 'First answer', 'courses' => $whole->at('courses')])->ok();
        self::assertSame([5, 'coordinator@marrowby.example'], [$sent->number('sent'), $sent->text('to')]);
        $this->work();
        $subjects = $this->db()->fetchFirstColumn("SELECT subject FROM message WHERE kind = 'test' AND state = 'sent' AND to_address = 'coordinator@marrowby.example' ORDER BY rowid");
        self::assertCount(5, $subjects);
        self::assertIsString($subjects[1]);
        self::assertStringStartsWith('Fri 27 Nov, 10:42: ', $subjects[1], 'when it would leave');
        self::assertSame('0', $this->text('SELECT COUNT(*) FROM follow_up_run'));
        $none = $this->post('/api/follow-ups/to-me', ['name' => 'x', 'courses' => ['main' => [['key' => 'a', 'kind' => 'tag', 'what' => 'x']]]]);
        self::assertSame([422, 'courses'], [$none->status, $none->text('violations.0.path')]);
    }

    public function testWhatComesLateAsNothingRanDoesNotLeaveInTheNightNorOnAQuietDay(): void
    {
        $wrong = $this->call('PUT', '/api/setup/messages', ['quietDays' => 'mondays']);
        self::assertSame([422, 'quietDays'], [$wrong->status, $wrong->text('violations.0.path')]);
        self::assertSame('weekends', $this->call('PUT', '/api/setup/messages', ['quietDays' => 'weekends'])->ok()->text('business.quietDays'));
        $client = $this->begun()->text('client.id');
        $this->work();
        // Due on Friday at 10:42; the worker comes back on Friday at 21:42.
        $this->wind('+59 hours');
        self::assertCount(1, $this->sent());
        self::assertStringStartsWith('2026-11-30T08:00', self::words($this->inside($client)['dueAt']));
        $this->wind('+34 hours');
        self::assertCount(1, $this->sent(), 'a Sunday morning');
        $this->wind('+25 hours');
        self::assertCount(2, $this->sent());
    }

    public function testLaterWaitsForTheDayThatTheyName(): void
    {
        $client = $this->begun()->text('client.id');
        $this->work();
        $this->answers('Later please, in three weeks.');
        // Wednesday 25 November.
        self::assertStringStartsWith('2026-12-16T10:00', self::words($this->inside($client)['dueAt']));
        self::assertSame('later', $this->inside($client)['course']);
        $this->wind('+20 days');
        self::assertCount(1, $this->sent());
        $this->wind('+1 day');
        self::assertSame('Shall we keep your inquiry?', $this->sent()[1] ?? '');
    }

    public function testLaterWithoutADayWaitsAsLongAsTheCourseSays(): void
    {
        $client = $this->begun()->text('client.id');
        $this->work();
        $this->answers('Later please.');
        self::assertStringStartsWith('2026-12-25T10:00', self::words($this->inside($client)['dueAt']));
    }

    public function testAFormOfTheirsIsLookedAtBeforeAnythingMoreIsSent(): void
    {
        $client = $this->begun()->text('client.id');
        $this->work();
        $this->inquire(['matter' => 'One thing more: the pedal squeaks.'])->ok(201);
        $form = $this->lastSubmission();
        self::assertStringContainsString('somebody looks at it', self::words($this->inside($client)['why']));
        self::assertSame($form, $this->get("/api/follow-ups/runs?client=$client")->ok()->text('items.0.waitsFor.id'));
        $this->wind('+10 days');
        self::assertCount(1, $this->sent(), 'no nudge to somebody who wrote');
        $this->post("/api/submissions/$form/set-aside", ['reason' => 'test'])->ok();
        self::assertSame('inside', $this->inside($client)['state'], 'it was nothing');
        $this->wind('+5 seconds');
        self::assertCount(2, $this->sent());
        self::assertSame([1, []], [$this->curveOf('first-answer')['cases'] ?? null, $this->curveOf('first-answer')['points'] ?? null]);
    }

    public function testAnAcceptedFormIsAnAnswer(): void
    {
        $client = $this->begun()->text('client.id');
        $this->work();
        $this->clock->modify('+36 hours');
        $this->inquire(['matter' => 'One thing more: the pedal squeaks.'])->ok(201);
        $form = $this->lastSubmission();
        $this->accept($form)->ok();
        self::assertSame($client, $this->text("SELECT client_id FROM submission WHERE id = '$form'"), 'the same client');
        self::assertSame(['ended', 'a form came'], [$this->inside($client)['state'], $this->inside($client)['why']]);
        $curve = $this->curveOf('first-answer');
        self::assertSame([['days' => 1.5, 'left' => 0]], $curve['points'] ?? null);
        $this->post("/api/submissions/$form/undo")->ok();
        self::assertSame('paused', $this->inside($client)['state'], 'taken back with its acceptance');
        self::assertSame([], $this->curveOf('first-answer')['points']);
    }

    public function testWhoDidNotFinishIsWrittenToWithoutAnybodyAndNoMoreOnceTheyGoOn(): void
    {
        $this->post("/api/follow-ups/{$this->followUp('did-not-finish')}/switch", ['on' => true])->ok();
        $this->post('/api/rules', ['name' => 'Write to them', 'enabled' => true, 'when' => 'unfinished', 'acceptsByItself' => true, 'then' => [['kind' => 'follow-up', 'followUp' => 'did-not-finish']]])->ok(201);
        $this->publish('Short', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ]]], 'endings' => [['kind' => 'form', 'text' => 'piano-inquiry']]]);
        $this->call('POST', '/api/public/forms/short/submissions', ['answers' => ['name' => 'Tess Quill', 'email' => 't@example.com']])->ok(201);
        $this->clock->modify('+31 minutes');
        $this->work();
        self::assertSame('inside', $this->text('SELECT state FROM follow_up_run'), 'begun by the rule alone');
        $this->wind('+1 hour');
        self::assertSame(['You began to write to us'], $this->sent());
        $this->inquire(['name' => 'Tess Quill', 'email' => 'T@example.com', 'phone' => null])->ok(201);
        $this->wind('+10 days');
        self::assertSame('paused', $this->text('SELECT state FROM follow_up_run'));
        self::assertSame('0', $this->text("SELECT COUNT(*) FROM task WHERE name LIKE 'Ring them: they began%'"));
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('a form came', $this->text('SELECT why FROM follow_up_run'));
    }

    public function testPhotographsAreAskedForByARuleWhereNoneCame(): void
    {
        $this->post("/api/follow-ups/{$this->followUp('photographs')}/switch", ['on' => true])->ok();
        $this->post('/api/rules', ['name' => 'Ask for photographs', 'enabled' => true, 'if' => ['question' => '@files', 'op' => 'at-most', 'value' => '0'], 'then' => [['kind' => 'follow-up', 'followUp' => 'photographs']]])->ok(201);
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        self::assertSame(['Could you send us photographs?'], $this->sent());
        $this->answers('Here they are.');
        self::assertSame('paused', $this->text('SELECT state FROM follow_up_run'));
    }

    public function testALongFormTakesTheShortOnesPlace(): void
    {
        $this->publish('Short', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ]]], 'endings' => [['kind' => 'form', 'text' => 'piano-inquiry']]]);
        $this->begun();
        $this->work();
        $short = $this->call('POST', '/api/public/forms/short/submissions', ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com']])->ok(201);
        self::assertSame('paused', $this->text('SELECT state FROM follow_up_run'));
        $this->call('POST', '/api/public/forms/piano-inquiry/submissions', ['continues' => $short->text('continues'), 'answers' => [
            'name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com', 'service' => 'repair', 'piano' => 'Harker grand', 'place' => '7 Weir Cottages, Marrowby', 'matter' => 'A pedal squeaks.',
        ]])->ok(201);
        self::assertSame('set-aside', $this->text("SELECT state FROM submission WHERE name = 'Orla Fennick' AND aside_reason = 'continued'"));
        $this->wind('+10 days');
        self::assertSame('paused', $this->text('SELECT state FROM follow_up_run'), 'the long one is still to be looked at');
        self::assertCount(1, $this->sent());
        $this->post("/api/submissions/{$this->lastSubmission()}/set-aside", ['reason' => 'test'])->ok();
        self::assertSame('inside', $this->text('SELECT state FROM follow_up_run'));
    }

    public function testWhatIsSetAsideAsItComesKeepsNobodyWaiting(): void
    {
        $this->begun();
        $this->work();
        $this->inquire(['matter' => 'Several keys stick.'])->ok(201);
        self::assertSame('duplicate', $this->text("SELECT aside_reason FROM submission WHERE id = '{$this->lastSubmission()}'"), 'the same answers once more');
        self::assertSame('inside', $this->text('SELECT state FROM follow_up_run'));
        $this->wind('+2 days');
        self::assertCount(2, $this->sent());
    }

    public function testAFollowUpDoesNotTakeItsOwnFormForAnAnswer(): void
    {
        $id = $this->followUp('first-answer');
        $this->post("/api/follow-ups/$id/switch", ['on' => true])->ok();
        $this->post('/api/rules', ['name' => 'Answer at once', 'enabled' => true, 'then' => [['kind' => 'follow-up', 'followUp' => 'first-answer']]])->ok(201);
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('inside', $this->text('SELECT state FROM follow_up_run'));
    }

    /** @return array<array-key, mixed> */
    private function curveOf(string $key): array
    {
        $curve = $this->get("/api/follow-ups/{$this->followUp($key)}")->ok()->at('curve');
        self::assertIsArray($curve);

        return $curve;
    }

    private static function words(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }

    public function testQuietHoursAreThoseWhereTheClientIs(): void
    {
        $client = $this->client();
        $this->db()->executeStatement("UPDATE contact_point SET value = '+81312345678' WHERE client_id = ? AND kind = 'phone'", [$client]);
        $this->doctrine()->getManager()->clear();
        $this->post("/api/follow-ups/{$this->followUp('first-answer')}/begin", ['client' => $client])->ok(201);
        // Begun at 10:42 in Dublin, 19:42 in Tokyo; two days later at 19:42 there it is still before eight in the evening.
        self::assertSame('2026-11-27 10:42:00', $this->text('SELECT due_at FROM follow_up_run'));
        $this->wind('+2 days');
        // The next one is due at ten in the morning of their next working day: 01:00 by the clock of UTC.
        self::assertSame('2026-11-30 01:00:00', $this->text('SELECT due_at FROM follow_up_run'));
    }
}
