<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\AppTestCase;

/** What is done with arrivals beside deciding one: given, put off, noted, answered, several at once. */
final class HandlingTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAnArrivalIsGivenToAColleagueAndTakenBack(): void
    {
        $id = $this->arrive();
        $sorcha = $this->staff('sorcha@marrowby.example');
        $given = $this->call('PUT', "/api/submissions/$id/assignee", ['assignee' => $sorcha])->ok();
        self::assertSame('gave Orla Fennick to Sorcha Vell', $given->text('change.words'));
        self::assertSame('Sorcha Vell', $this->get('/api/submissions')->ok()->text('items.0.assignee.name'));
        $this->call('PUT', "/api/submissions/$id/assignee", ['assignee' => 'nobody'])->ok(422);
        $this->post('/api/changes/'.$given->text('change.id').'/undo')->ok();
        self::assertNull($this->get("/api/submissions/$id")->ok()->at('assignee'));
    }

    public function testWhatIsPutOffComesLastAndComesBack(): void
    {
        $first = $this->arrive();
        $second = $this->arrive(['email' => 'b@example.com']);
        $this->call('PUT', "/api/submissions/$first/reminder", ['remindAt' => '2026-11-25T14:00:00+00:00'])->ok();
        $list = $this->get('/api/submissions')->ok();
        self::assertSame([$second, $first], $list->column('items', 'id'));
        self::assertSame([false, true], $list->column('items', 'putOff'));
        $this->clock->modify('+4 hours');
        $this->signIn();
        $list = $this->get('/api/submissions')->ok();
        self::assertSame([$first, $second], $list->column('items', 'id'));
        self::assertFalse($list->at('items.0.putOff'));
        self::assertSame(
            ['remindAt'],
            array_keys($this->call('PUT', "/api/submissions/$first/reminder", ['remindAt' => '2026-11-25T09:00:00+00:00'])->ok(422)->violations()),
            'the past is no time to be reminded',
        );
        $this->call('PUT', "/api/submissions/$first/reminder", ['remindAt' => 'soon'])->ok(422);
        $this->call('PUT', "/api/submissions/$first/reminder", ['remindAt' => ''])->ok();
        self::assertNull($this->get("/api/submissions/$first")->ok()->at('remindAt'));
        $this->accept($first)->ok();
        $this->call('PUT', "/api/submissions/$first/reminder", ['remindAt' => '2026-11-26T09:00:00+00:00'])->ok(409);
    }

    public function testNotesStandBesideTheSheet(): void
    {
        $id = $this->arrive();
        $this->post("/api/submissions/$id/notes", ['text' => ' Rang, nobody there. '])->ok(201);
        $noted = $this->get("/api/submissions/$id")->ok();
        self::assertSame([['text' => 'Rang, nobody there.', 'by' => 'Nessa Quarle', 'at' => '2026-11-25T10:42:00+00:00']], $noted->rows('notes'));
        $this->post("/api/submissions/$id/notes", ['text' => '  '])->ok(422);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->get("/api/submissions/$id")->ok()->rows('notes'));
    }

    public function testTheFirstAnswerOfAPersonStopsTheReplyClock(): void
    {
        $id = $this->arrive();
        $this->clock->modify('+30 minutes');
        $this->post("/api/submissions/$id/answered")->ok();
        $this->clock->modify('+30 minutes');
        $sheet = $this->get("/api/submissions/$id")->ok();
        self::assertSame(['stopped', 'answered in 30 min', 'Nessa Quarle'], [$sheet->text('clock.state'), $sheet->text('clock.words'), $sheet->text('answeredBy')]);
        $this->post("/api/submissions/$id/answered")->ok(409);
        $this->accept($id)->ok();
        self::assertSame('answered in 30 min', $this->get("/api/submissions/$id")->ok()->text('clock.words'), 'accepting later changes nothing of it');
    }

    public function testWhatARuleAcceptsStillOwesAnAnswer(): void
    {
        $this->post('/api/rules', ['name' => 'By itself', 'enabled' => true, 'then' => [], 'acceptsByItself' => true])->ok(201);
        $id = $this->arrive();
        $this->work();
        self::assertSame('accepted', $this->get("/api/submissions/$id")->ok()->text('state'));
        self::assertSame('not-started', $this->get("/api/submissions/$id")->ok()->text('clock.state'), 'a confirmation that goes out by itself is no answer');
        $owed = $this->get('/api/submissions?state=owed')->ok();
        self::assertSame([[$id], 1], [$owed->column('items', 'id'), $owed->number('counts.owed')]);
        $this->post("/api/submissions/$id/answered")->ok();
        self::assertSame(0, $this->get('/api/submissions?state=owed')->ok()->number('counts.owed'));
    }

    public function testSeveralAreDoneAtOnceAndWhatCannotBeIsSaid(): void
    {
        $plain = $this->arrive(['name' => 'Tess Quill', 'email' => 't@example.com', 'phone' => null]);
        $doubtful = $this->arrive(['name' => 'Pim Oake', 'email' => 'p@example.com', 'phone' => null, 'wanted_by' => '04/05/2027']);
        $third = $this->arrive(['name' => 'Una Marsh', 'email' => 'u@example.com', 'phone' => null]);
        $done = $this->post('/api/submissions/several', ['ids' => [$plain, $doubtful], 'act' => 'accept'])->ok();
        self::assertCount(1, (array) $done->at('changes'));
        self::assertSame([[$doubtful], ['it needs a choice first']], [array_column(array_column($done->rows('kept'), 'record'), 'id'), $done->column('kept', 'why')]);
        self::assertSame(['accepted', 'waiting'], [$this->get("/api/submissions/$plain")->ok()->text('state'), $this->get("/api/submissions/$doubtful")->ok()->text('state')]);
        self::assertCount(
            2,
            (array) $this->post(
                '/api/submissions/several',
                ['ids' => [$doubtful, $third], 'act' => 'assign', 'assignee' => $this->staff('sorcha@marrowby.example')],
            )->ok()->at('changes'),
        );
        self::assertCount(
            2,
            (array) $this->post('/api/submissions/several', ['ids' => [$doubtful, $third], 'act' => 'remind', 'remindAt' => '2026-11-26T09:00:00+00:00'])->ok()->at('changes'),
        );
        $aside = $this->post('/api/submissions/several', ['ids' => [$plain, $third], 'act' => 'set-aside', 'reason' => 'test'])->ok();
        self::assertSame(['decided already'], $aside->column('kept', 'why'));
        $undone = $aside->at('changes.0');
        self::assertIsString($undone);
        $this->post("/api/changes/$undone/undo")->ok();
        self::assertSame('waiting', $this->get("/api/submissions/$third")->ok()->text('state'));
        foreach ([
            ['ids' => [], 'act' => 'accept'],
            ['ids' => [$third], 'act' => 'burn'],
            ['ids' => [$third], 'act' => 'set-aside', 'reason' => 'x'],
            ['ids' => 'all', 'act' => 'accept'],
        ] as $body) {
            $this->post('/api/submissions/several', $body)->ok(422);
        }
    }

    public function testFieldStaffHandleNoArrivals(): void
    {
        $id = $this->arrive();
        $this->signIn('pim@marrowby.example');
        $this->call('PUT', "/api/submissions/$id/assignee", ['assignee' => ''])->ok(403);
        $this->call('PUT', "/api/submissions/$id/reminder", ['remindAt' => '2026-11-26T09:00:00+00:00'])->ok(403);
        $this->post("/api/submissions/$id/notes", ['text' => 'x'])->ok(403);
        $this->post("/api/submissions/$id/answered")->ok(403);
        $this->post('/api/submissions/several', ['ids' => [$id], 'act' => 'accept'])->ok(403);
        self::assertSame('waiting', $this->db()->fetchOne('SELECT state FROM submission'));
    }

    public function testOneNoteForSeveralAndNoneOfMoreThanFifty(): void
    {
        $ids = [$this->arrive(), $this->arrive(['email' => 'b@example.com'])];
        self::assertCount(
            2,
            (array) $this->post('/api/submissions/several', ['ids' => [...$ids, $ids[0]], 'act' => 'note', 'text' => 'Both ask about Friday.'])->ok()->at('changes'),
            'each once, however often it is named',
        );
        self::assertSame(2, $this->countRows('arrival_note'));
        $this->post('/api/submissions/several', ['ids' => $ids, 'act' => 'note', 'text' => ''])->ok(422);
        $this->post('/api/submissions/several', ['ids' => array_fill(0, 51, $ids[0]), 'act' => 'note', 'text' => 'x'])->ok(422);
        $this->post('/api/submissions/several', ['ids' => ['01a21054-d09d-73f3-84e4-dfab4b5f669b'], 'act' => 'note', 'text' => 'x'])->ok(422);
    }

    public function testTheSheetIsKeptWithTheProjectUntilThePlanIsTakenBack(): void
    {
        $id = $this->arrive();
        $this->accept($id)->ok();
        $this->work();
        $files = $this->get('/api/files?project='.$this->get('/api/projects')->ok()->text('items.0.id'))->ok();
        self::assertSame(['A-0001 as received.pdf', 'application/pdf'], [$files->text('items.0.name'), $files->text('items.0.type')]);
        $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame([0, 0], [$this->countRows('project'), $this->countRows('attachment')]);
        $this->accept($id)->ok();
        $this->post("/api/submissions/$id/undo")->ok();
        $this->work();
        self::assertSame(0, $this->countRows('attachment'), 'nothing is kept of what was taken back meanwhile');
    }

    public function testPointsSetTheOrderAmongThoseAsLate(): void
    {
        $this->publish('Counted', ['dayOrder' => 'day-first', 'pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            [
                'key' => 'budget',
                'type' => 'money',
                'wording' => 'Budget',
                'destination' => 'project.budget',
                'points' => ['part' => 'budget', 'steps' => [['at' => '500', 'points' => 3], ['at' => '2000', 'points' => 5]]],
            ],
            ['key' => 'start', 'type' => 'day', 'wording' => 'When?', 'points' => ['part' => 'start', 'steps' => [['at' => '14', 'points' => 4]]]],
        ]]]]);
        foreach ([['Little', '300', '01/03/2027'], ['Much', '€2.500,00', '01/12/2026'], ['Some', 'about 600', '01/03/2027']] as [$name, $budget, $start]) {
            $this->call('POST', '/api/public/forms/counted/submissions', ['answers' => ['name' => $name, 'budget' => $budget, 'start' => $start]])->ok(201);
        }
        $list = $this->get('/api/submissions')->ok();
        self::assertSame([['Much', 'Some', 'Little'], [9, 3, 0]], [$list->column('items', 'name'), $list->column('items', 'priority')]);
        self::assertSame(
            [['budget', 5], ['start', 4]],
            array_map(static fn (array $part): array => [$part['part'], $part['points']], $this->get('/api/submissions/'.$list->text('items.0.id'))->ok()->rows('points')),
        );
    }

    public function testKeepReplaceOrBothOfWhatDiffersFromTheFile(): void
    {
        $this->accept($this->arrive())->ok();
        $again = ['phone' => '020 915 0000', 'place' => '7 Weir Cottages, Marrowby'];
        $id = $this->arrive($again);
        $plan = $this->get("/api/submissions/$id")->ok();
        $line = array_values(array_filter($plan->rows('plan.lines'), static fn (array $line): bool => 'field.phone' === $line['key']))[0] ?? self::fail('no line about the phone');
        self::assertIsArray($line['choice']);
        self::assertSame('both', $line['choice']['chosen']);
        $this->accept($id, ['field.phone' => 'replace'])->ok();
        self::assertSame(['+353209150000'], $this->db()->fetchFirstColumn("SELECT value FROM contact_point WHERE kind = 'phone'"));
        $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame(['+353209143327'], $this->db()->fetchFirstColumn("SELECT value FROM contact_point WHERE kind = 'phone'"));
        $this->accept($id)->ok();
        self::assertSame(2, $this->countRows("contact_point WHERE kind = 'phone'"));
    }

    public function testAFormFilledInBeforehandIsComparedThreeWays(): void
    {
        $this->accept($this->arrive())->ok();
        $id = $this->arrive(['phone' => '020 915 0000']);
        // As it stood in the form when it was sent out; here it was changed meanwhile.
        $this->db()->executeStatement("UPDATE submission SET sent = '{\"phone\": \"020 914 3327\"}' WHERE id = ?", [$id]);
        self::assertContains('changed by them', $this->get("/api/submissions/$id")->ok()->column('plan.lines', 'reason'));
        $this->db()->executeStatement("UPDATE contact_point SET value = '+353209157777', match_key = '+353209157777' WHERE kind = 'phone'");
        $both = $this->get("/api/submissions/$id")->ok();
        self::assertContains('changed by them and here', $both->column('plan.lines', 'reason'));
        self::assertSame(1, $both->number('plan.open'));
    }

    public function testTheListGoesOnFromPageToPageThroughAllStepsOfLateness(): void
    {
        $this->publish('Counted', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'need', 'type' => 'scale', 'wording' => 'How soon?', 'points' => ['part' => 'need', 'steps' => [['at' => '5', 'points' => 5], ['at' => '8', 'points' => 8]]]],
        ]]], 'promiseMinutes' => 60]);
        // Late, due in the course of today, tomorrow and later; and some of each with more points than others.
        $dues = ['2026-11-25 09:00:00', '2026-11-25 11:30:00', '2026-11-25 16:00:00', '2026-11-26 09:00:00', '2026-12-03 09:00:00'];
        for ($i = 0; $i < 65; ++$i) {
            $this->call('POST', '/api/public/forms/counted/submissions', ['answers' => ['name' => "Person $i", 'need' => (string) ($i % 10)]])->ok(201);
            $this->db()->executeStatement('UPDATE submission SET due_at = ? WHERE id = ?', [$dues[$i % 5], $this->lastSubmission()]);
        }
        $this->db()->executeStatement("UPDATE submission SET remind_at = '2026-11-30 09:00:00' WHERE name IN ('Person 0', 'Person 9')");
        $seen = [];
        $cursor = '';
        do {
            $page = $this->get('/api/submissions'.('' === $cursor ? '' : "?cursor=$cursor"))->ok();
            array_push($seen, ...$page->rows('items'));
            $next = $page->at('next');
            $cursor = \is_string($next) ? $next : '';
        } while ('' !== $cursor);
        self::assertCount(65, array_unique(array_filter(array_column($seen, 'id'), \is_string(...))), 'each once');
        $step = static fn (array $row): array => [
            true === $row['putOff'] ? 1 : 0,
            true === $row['putOff'] ? 0 : array_search(
                substr(\is_array($row['clock']) && \is_string($row['clock']['dueAt']) ? $row['clock']['dueAt'] : '', 0, 10),
                ['2026-11-25', '2026-11-26', '2026-12-03'],
                true,
            ),
        ];
        $order = array_map($step, $seen);
        $sorted = $order;
        sort($sorted);
        self::assertSame($sorted, $order, 'the later the sooner, what is put off last');
        $late = array_filter($seen, static fn (array $row): bool => true !== $row['putOff'] && \is_array($row['clock']) && 'over' === $row['clock']['state']);
        $points = array_column($late, 'priority');
        rsort($points);
        self::assertSame($points, array_column($late, 'priority'), 'more points first among the late');
        self::assertSame(['Person 0', 'Person 9'], array_column(\array_slice($seen, -2), 'name'));
        $this->get('/api/submissions?cursor='.rtrim(strtr(base64_encode("9|x|y\nz"), '+/', '-_'), '='))->ok(422);
    }

    public function testAnswersInOtherWordsAreTakenAndUnderstood(): void
    {
        $id = $this->arrive(['service' => 'Mend it', 'wanted_by' => '12 June 2027']);
        self::assertSame('Mend it', $this->get("/api/submissions/$id")->ok()->text('answers.3.text'), 'word for word as it came');
        $this->accept($id)->ok();
        self::assertSame('Sorcha Vell', $this->get('/api/projects')->ok()->text('items.0.lead'), 'repairs go to Sorcha');
        self::assertSame(['service'], array_keys($this->inquire(['service' => 'polish it'])->ok(422)->violations()));
    }

    public function testAClientMovesAndOneUndoMovesThemBack(): void
    {
        $this->publish('Moved', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'destination' => 'client.email'],
            ['key' => 'home', 'type' => 'address', 'wording' => 'Where do you live?', 'destination' => 'client.address'],
        ]]]]);
        $this->call('POST', '/api/public/forms/moved/submissions', ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com', 'home' => '7 Weir Cottages, Marrowby']])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $address = fn (): mixed => $this->db()->fetchNumeric('SELECT address, other_addresses FROM client');
        foreach ([['both', ['7 Weir Cottages, Marrowby', '["9 Mill Race, Saltfold"]']], ['replace', ['9 Mill Race, Saltfold', '[]']], ['keep', ['7 Weir Cottages, Marrowby', '[]']]] as [$choice, $expected]) {
            $this->call('POST', '/api/public/forms/moved/submissions', ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com', 'home' => '9 Mill Race, Saltfold']])->ok(201);
            $id = $this->lastSubmission();
            $this->db()->executeStatement("UPDATE submission SET state = 'waiting', same_as_id = NULL, decided_at = NULL WHERE id = ?", [$id]);
            $this->accept($id, ['client' => 'same', 'field.address' => $choice])->ok();
            self::assertSame($expected, $address());
            $this->post("/api/submissions/$id/undo")->ok();
            self::assertSame(['7 Weir Cottages, Marrowby', '[]'], $address());
        }
    }

    /** @param array<string, mixed> $answers */
    private function arrive(array $answers = []): string
    {
        $this->inquire($answers)->ok(201);

        return $this->lastSubmission();
    }

    private function staff(string $email): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM staff WHERE email = ?', [$email]);
        self::assertIsString($id);

        return $id;
    }
}
