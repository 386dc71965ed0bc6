<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;

/** A business sets itself up: particulars, hours, closures, services, stages, texts; all of it taken back by undo. */
final class BusinessSetUpTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testTheBusinessIsCalledOtherwiseAndOneUndoTakesItBack(): void
    {
        $before = $this->get('/api/setup')->ok();
        $after = $this->put(
            'business',
            ['name' => 'Curl & Comb', 'phone' => '020 915 0148', 'assetWord' => 'hair', 'vatNumber' => 'ie 1234567 a', 'currency' => 'gbp', 'timeZone' => 'Europe/Lisbon'],
        )
            ->ok();
        self::assertSame(
            ['Curl & Comb', 'hair', 'IE1234567A', 'GBP', 'Europe/Lisbon'],
            array_map(static fn (string $field): string => $after->text("business.$field"), ['name', 'assetWord', 'vatNumber', 'currency', 'timeZone']),
        );
        self::assertSame($before->text('business.address'), $after->text('business.address'), 'what is not sent stays');
        self::assertSame('Curl & Comb', $this->get('/api/session')->ok()->text('business.name'));
        $this->undoLast();
        self::assertSame($before->at('business'), $this->get('/api/setup')->ok()->at('business'));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('refused')]
    public function testWhatCannotBeIsSaidBesideItsField(string $method, string $part, array $body, string $field): void
    {
        $before = $this->get('/api/setup')->ok()->body;
        $answer = $this->call($method, "/api/setup/$part", $body);
        self::assertSame([422, $field], [$answer->status, $answer->text('violations.0.path')]);
        self::assertNotSame('', $answer->text('violations.0.message'));
        self::assertSame($before, $this->get('/api/setup')->ok()->body, 'nothing was written');
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no name' => ['PUT', 'business', ['name' => ' '], 'name'];
        yield 'no such zone' => ['PUT', 'business', ['timeZone' => 'Europe/Marrowby'], 'timeZone'];
        yield 'no such currency' => ['PUT', 'business', ['currency' => 'QQQ'], 'currency'];
        yield 'no such country' => ['PUT', 'business', ['region' => 'QQ'], 'region'];
        yield 'no phone number' => ['PUT', 'business', ['phone' => 'ring me'], 'phone'];
        yield 'no mail address' => ['PUT', 'business', ['email' => 'hello'], 'email'];
        yield 'always closed' => ['PUT', 'hours', ['hours' => [['day' => 1, 'spans' => []]]], 'hours'];
        yield 'closes before it opens' => ['PUT', 'hours', ['hours' => [['day' => 2, 'spans' => [['from' => '17:00', 'to' => '09:00']]]]], 'hours.0'];
        yield 'times that overlap' => [
            'PUT',
            'hours',
            ['hours' => [['day' => 2, 'spans' => [['from' => '09:00', 'to' => '13:00'], ['from' => '12:00', 'to' => '17:00']]]]],
            'hours.0',
        ];
        yield 'no time' => ['PUT', 'hours', ['hours' => [['day' => 2, 'spans' => [['from' => '9', 'to' => '25:00']]]]], 'hours.0'];
        yield 'a closure without a name' => ['POST', 'closures', ['day' => '2027-01-06', 'name' => ''], 'name'];
        yield 'no such day' => ['POST', 'closures', ['day' => '2027-02-29', 'name' => 'Leap'], 'day'];
        yield 'closed for too long' => ['POST', 'closures', ['day' => '2027-01-01', 'until' => '2027-12-31', 'name' => 'A year off'], 'until'];
        yield 'closed already' => ['POST', 'closures', ['day' => '2026-12-25', 'name' => 'Again'], 'day'];
        yield 'a service twice' => ['POST', 'services', ['name' => 'tuning', 'lead' => ''], 'name'];
        yield 'a service that nobody leads' => ['POST', 'services', ['name' => 'Polish', 'lead' => '00000000-0000-7000-8000-000000000000'], 'lead'];
        yield 'a stage twice' => ['POST', 'stages', ['name' => 'QUOTE'], 'name'];
        yield 'days in words' => ['POST', 'stages', ['name' => 'Polish', 'days' => 'three'], 'days'];
        yield 'no role' => ['POST', 'staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example'], 'role'];
        yield 'an owner by a coordinator' => ['POST', 'staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example', 'role' => 'owner'], 'role'];
        yield 'an address twice' => ['POST', 'staff', ['name' => 'Una Merrow', 'email' => 'PIM@marrowby.example', 'role' => 'field'], 'email'];
    }

    public function testHoursAreSaidInWordsAndCountAtOnce(): void
    {
        $long = [['from' => '10:00', 'to' => '19:00']];
        $answer = $this->put(
            'hours',
            ['hours' => [
                ['day' => 2, 'spans' => $long],
                ['day' => 3, 'spans' => $long],
                ['day' => 4, 'spans' => $long],
                ['day' => 6, 'spans' => [['from' => '13:00', 'to' => '15:30'], ['from' => '09:00', 'to' => '12:00']]],
            ]],
        )
            ->ok();
        self::assertSame('Tue to Thu, 10 to 7; Sat, 09:00 to 12:00 and 13:00 to 15:30', $answer->text('hoursText'));
        self::assertSame([], $answer->at('hours.0.spans'));
        self::assertSame('09:00', $answer->text('hours.5.spans.0.from'), 'in their order');
        self::assertSame(['09:00', '19:00'], [$this->get('/api/session')->text('business.opens'), $this->get('/api/session')->text('business.closes')]);
        $this->undoLast();
        self::assertSame('Mon to Fri, 8 to 6', $this->get('/api/setup')->text('hoursText'));
    }

    public function testSeveralDaysAreClosedAtOnceAndTakenBackAtOnce(): void
    {
        $closures = fn (): array => array_map(
            static fn (array $one): string => implode(' ', array_filter([$one['day'], $one['name']], is_string(...))),
            $this->get('/api/setup')->rows('closures'),
        );
        $before = $closures();
        $answer = $this->post('/api/setup/closures', ['day' => '2026-12-24', 'until' => '2026-12-28', 'name' => 'Between the years'])->ok(201);
        self::assertContains('2026-12-27 Between the years', $closures());
        self::assertContains('2026-12-25 Christmas', $closures(), 'what is closed already keeps its name');
        $this->undoLast();
        self::assertSame($before, $closures());
        $id = $answer->text('closures.0.id');
        $this->call('DELETE', "/api/setup/closures/$id")->ok();
        self::assertCount(\count($before) - 1, $closures());
        $this->undoLast();
        self::assertSame($before, $closures());
    }

    public function testAServiceIsAddedLedAndRetired(): void
    {
        $teo = $this->staffId('TA');
        $answer = $this->post('/api/setup/services', ['name' => 'Polishing, by hand', 'lead' => $teo])->ok(201);
        $service = array_values(array_filter($answer->rows('services'), static fn (array $one): bool => 'Polishing, by hand' === $one['name']))[0];
        self::assertSame(['polishing_by_hand', 'Teo Ashbrand', null, false], [$service['key'], $service['lead'], $service['checklist'], $service['retired']]);
        $list = $answer->text('checklists.0.value');
        $id = \is_string($service['id']) ? $service['id'] : '';
        $changed = $this->put("services/$id", ['name' => 'Polishing', 'checklist' => $list])->ok();
        $service = array_values(array_filter($changed->rows('services'), static fn (array $one): bool => 'polishing_by_hand' === $one['key']))[0];
        self::assertSame(['Polishing', $answer->text('checklists.0.label'), 'Teo Ashbrand'], [$service['name'], $service['checklist'], $service['lead']]);
        $this->put("services/$id", ['retired' => true])->ok();
        $this->undoLast();
        self::assertFalse(array_values(array_filter($this->get('/api/setup')->rows('services'), static fn (array $one): bool => 'Polishing' === $one['name']))[0]['retired']);
    }

    public function testWhoeverLeadsAServiceLeadsFromTheNextPlanOn(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $repair = array_values(array_filter($this->get('/api/setup')->rows('services'), static fn (array $one): bool => 'repair' === $one['key']))[0];
        $repairId = \is_string($repair['id']) ? $repair['id'] : '';
        $this->put("services/$repairId", ['lead' => $this->staffId('PT')])->ok();
        $plan = json_encode($this->get("/api/submissions/$id")->ok()->at('plan.lines'), \JSON_THROW_ON_ERROR);
        self::assertStringContainsString('Repair goes to Pim Tarrow', $plan);
        self::assertStringNotContainsString('Repairs go to Sorcha', $plan);
    }

    public function testProjectsAndRulesFollowTheNameOfTheirStageThereAndBack(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $rule = [
            'name' => 'On looking',
            'enabled' => true,
            'when' => 'stage',
            'what' => 'Inquiry',
            'if' => ['question' => '@stage', 'op' => 'is', 'value' => 'Inquiry'],
            'then' => [['kind' => 'task', 'name' => 'Look', 'doer' => 'lead', 'days' => 0]],
        ];
        $ruleId = $this->post('/api/rules', $rule)->ok(201)->text('id');
        $stage = $this->stage('Inquiry');
        $answer = $this->put("stages/{$stage['id']}", ['name' => 'First contact', 'days' => '3'])->ok();
        self::assertSame(['First contact', 3, $stage['projects']], [$answer->text('stages.0.name'), $answer->number('stages.0.days'), $answer->number('stages.0.projects')]);
        self::assertSame('First contact', $this->db()->fetchOne('SELECT stage FROM project ORDER BY rowid DESC LIMIT 1'));
        $kept = $this->rule($ruleId);
        self::assertSame(['First contact', 'First contact'], [$kept['what'], \is_array($kept['if']) ? $kept['if']['value'] : null]);
        $this->undoLast();
        self::assertSame('Inquiry', $this->db()->fetchOne('SELECT stage FROM project ORDER BY rowid DESC LIMIT 1'));
        self::assertSame('Inquiry', $this->rule($ruleId)['what']);
    }

    public function testFollowUpsFollowTheNameOfAStageAndOneThatIsNamedIsNotRemoved(): void
    {
        $id = $this->post('/api/follow-ups', ['name' => 'On they go', 'courses' => ['main' => [['key' => 'a', 'kind' => 'wait', 'amount' => 1, 'unit' => 'days'], ['key' => 'b', 'kind' => 'stage', 'what' => 'Visit']]]])
            ->ok(201)
            ->text('id');
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $project = $this->db()->fetchAssociative('SELECT id, client_id FROM project ORDER BY rowid DESC LIMIT 1');
        self::assertIsArray($project);
        $this->post("/api/follow-ups/$id/switch", ['on' => true])->ok();
        $this->post("/api/follow-ups/$id/begin", ['client' => $project['client_id'], 'project' => $project['id']])->ok(201);
        $visit = $this->stage('Visit')['id'];
        $this->put("stages/$visit", ['name' => 'First look'])->ok();
        $there = fn (string $table): array => array_map(static fn (mixed $one): int => substr_count((string) json_encode($one), 'First look'), $this->db()->fetchFirstColumn("SELECT courses FROM $table WHERE ".('follow_up' === $table ? 'id' : 'follow_up_id')." = '$id'"));
        self::assertSame([[1], [1]], [$there('follow_up'), $there('follow_up_run')], 'whoever is inside goes on to it, too');
        self::assertStringContainsString('On they go', $this->call('DELETE', "/api/setup/stages/$visit?to={$this->stage('Quote')['id']}")->ok(422)->text('violations.0.message'));
        $this->undoLast();
        self::assertSame([[0], [0]], [$there('follow_up'), $there('follow_up_run')]);
        // Whoever is inside goes on as it was when they began, whatever becomes of it.
        $now = $this->get("/api/follow-ups/$id")->ok();
        $this->call('PUT', "/api/follow-ups/$id", ['version' => $now->number('version'), 'name' => 'On they go', 'courses' => ['main' => [['key' => 'c', 'kind' => 'stage', 'what' => 'Quote']]]])->ok();
        $refused = fn (): int => $this->call('DELETE', "/api/setup/stages/$visit?to={$this->stage('Quote')['id']}")->status;
        self::assertSame(422, $refused());
        self::assertIsString($run = $this->db()->fetchOne('SELECT id FROM follow_up_run'));
        $this->post("/api/follow-ups/runs/$run/stop")->ok();
        self::assertSame(200, $refused());
    }

    public function testAStageIsRemovedOnlyWhenItsProjectsHaveSomewhereToGo(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        [$inquiry, $visit] = [$this->stage('Inquiry'), $this->stage('Visit')];
        $refused = $this->call('DELETE', "/api/setup/stages/{$inquiry['id']}");
        self::assertSame([422, 'to'], [$refused->status, $refused->text('violations.0.path')]);
        $this->call('DELETE', "/api/setup/stages/{$inquiry['id']}?to={$visit['id']}")->ok();
        self::assertSame('Visit', $this->db()->fetchOne('SELECT stage FROM project ORDER BY rowid DESC LIMIT 1'));
        $this->undoLast();
        self::assertSame('Inquiry', $this->db()->fetchOne('SELECT stage FROM project ORDER BY rowid DESC LIMIT 1'));
        self::assertSame($inquiry, $this->stage('Inquiry'), 'with its id and its place');
    }

    public function testOneStageStaysOpen(): void
    {
        foreach (['Visit', 'Quote', 'Workshop', 'Return', 'Aftercare'] as $name) {
            $this->put("stages/{$this->stage($name)['id']}", ['ends' => 'won'])->ok();
        }
        $refused = $this->put("stages/{$this->stage('Inquiry')['id']}", ['ends' => 'lost']);
        self::assertSame([422, 'ends'], [$refused->status, $refused->text('violations.0.path')]);
        $refused = $this->call('DELETE', "/api/setup/stages/{$this->stage('Inquiry')['id']}?to={$this->stage('Quote')['id']}");
        self::assertSame(422, $refused->status);
        self::assertSame('Inquiry', $this->get('/api/setup')->text('stages.0.name'));
    }

    public function testStagesAreMoved(): void
    {
        $this->put("stages/{$this->stage('Return')['id']}", ['position' => 1])->ok();
        self::assertSame(['Return', 'Inquiry', 'Visit', 'Quote', 'Workshop', 'Aftercare'], array_column($this->get('/api/setup')->rows('stages'), 'name'));
        $this->undoLast();
        self::assertSame(['Inquiry', 'Visit', 'Quote', 'Workshop', 'Return', 'Aftercare'], array_column($this->get('/api/setup')->rows('stages'), 'name'));
    }

    public function testHowMessagesLeaveIsSetAndTakenBack(): void
    {
        self::assertSame([95, '20:00', '08:00', 0], array_map($this->get('/api/setup')->at(...), ['business.replyThreshold', 'business.quietFrom', 'business.quietUntil', 'business.mailsAnHour']));
        self::assertSame([422, 'quietUntil'], [($half = $this->put('messages', ['quietUntil' => '']))->status, $half->text('violations.0.path')]);
        self::assertSame(422, $this->put('messages', ['quietFrom' => '8 pm'])->status);
        self::assertSame(422, $this->put('messages', ['replyThreshold' => '30'])->status);
        $this->put('messages', ['signature' => "Nessa\nMarrowby", 'replyThreshold' => '90', 'quietFrom' => '', 'quietUntil' => '', 'mailsAnHour' => '50'])->ok();
        self::assertSame(["Nessa\nMarrowby", 90, '', 50], array_map($this->get('/api/setup')->at(...), ['business.signature', 'business.replyThreshold', 'business.quietFrom', 'business.mailsAnHour']));
        $this->undoLast();
        self::assertSame(95, $this->get('/api/setup')->at('business.replyThreshold'));
    }

    public function testSourcesAndReasonsAreKeptEachOnce(): void
    {
        $before = $this->get('/api/setup');
        $answer = $this->put('lists', ['sources' => ['Neighbour', ' Neighbour ', '', 'Sign at the door']])->ok();
        self::assertSame(['Neighbour', 'Sign at the door'], $answer->at('sources'));
        self::assertSame($before->at('lostReasons'), $answer->at('lostReasons'), 'what is not sent stays');
        $this->undoLast();
        self::assertSame($before->at('sources'), $this->get('/api/setup')->at('sources'));
    }

    /** @param array<string, mixed> $body */
    private function put(string $part, array $body): \Telamon\Tests\Support\Answer
    {
        return $this->call('PUT', "/api/setup/$part", $body);
    }

    private function undoLast(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }

    private function staffId(string $initials): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM staff WHERE initials = ?', [$initials]);

        return \is_string($id) ? $id : '';
    }

    /** @return array{id: string, projects: mixed} */
    private function stage(string $name): array
    {
        foreach ($this->get('/api/setup')->rows('stages') as $stage) {
            if ($stage['name'] === $name && \is_string($stage['id'])) {
                return ['id' => $stage['id'], 'projects' => $stage['projects']];
            }
        }
        self::fail("there is no stage $name");
    }

    /** @return array<string, mixed> */
    private function rule(string $id): array
    {
        foreach ($this->get('/api/rules')->ok()->rows('items') as $rule) {
            if ($rule['id'] === $id) {
                return $rule;
            }
        }
        self::fail('the rule is gone');
    }
}
