<?php

declare(strict_types=1);

namespace Telamon\Tests\Rules;

use Telamon\Tests\Support\AppTestCase;

/** Rules that wait for something to happen: they act at once, and are taken back with it. */
final class EventRulesTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAStageSetsARuleOffAndOneUndoTakesAllBack(): void
    {
        $this->rule([
            'name' => 'Agreed',
            'when' => 'stage',
            'what' => 'Workshop',
            'then' => [['kind' => 'task', 'name' => 'Thank {{client}}', 'doer' => 'lead', 'days' => 0], ['kind' => 'tag', 'record' => 'client', 'tag' => 'customer']],
        ]);
        $this->rule([
            'name' => 'Customers have an owner',
            'when' => 'client',
            'what' => 'tags',
            'if' => ['question' => '@client_tags', 'op' => 'contains', 'value' => 'customer'],
            'then' => [['kind' => 'owner', 'staff' => $this->staff('pim@marrowby.example')]],
        ]);
        $project = $this->project();
        $tasks = $this->countRows('task');
        $this->post("/api/projects/$project/stage", ['stage' => 'Nowhere', 'version' => 1])->ok(422);
        $moved = $this->post("/api/projects/$project/stage", ['stage' => 'Workshop', 'version' => $this->get("/api/projects/$project")->ok()->number('version')])->ok();
        self::assertSame('Workshop', $moved->text('stage'));
        $this->post("/api/projects/$project/stage", ['stage' => 'Return', 'version' => 1])->ok(409);
        self::assertSame([$tasks + 1, 'Thank Orla Fennick'], [$this->countRows('task'), $this->db()->fetchOne('SELECT name FROM task ORDER BY position DESC LIMIT 1')]);
        self::assertSame('Pim Tarrow', $this->client()->text('owner'), 'one rule sets off the next');
        $rules = $this->get('/api/rules')->ok();
        self::assertSame([1, 1], $rules->column('items', 'times'));
        $uses = $this->get('/api/rules/'.$rules->text('items.0.id').'/uses')->ok();
        self::assertSame(['project', $project, false], [$uses->text('items.0.record.kind'), $uses->text('items.0.record.id'), $uses->at('items.0.takenBack')]);

        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([$tasks, 'Inquiry'], [$this->countRows('task'), $this->get("/api/projects/$project")->ok()->text('stage')]);
        self::assertSame([[], null], [$this->client()->at('tags'), $this->client()->at('owner')]);
        self::assertSame([0, 0], $this->get('/api/rules')->ok()->column('items', 'times'), 'what was taken back does not count');
    }

    public function testARulesTaskIsMadeOnceForAProjectHoweverOftenItsStageIsReached(): void
    {
        $this->rule([
            'name' => 'Agreed',
            'when' => 'stage',
            'what' => 'Workshop',
            'then' => [
                ['kind' => 'task', 'name' => 'Thank {{client}}', 'doer' => 'lead', 'days' => 0],
                ['kind' => 'task', 'name' => 'Clear a bench', 'doer' => 'lead', 'days' => 1],
            ],
        ]);
        $project = $this->project();
        $move = fn (string $to): \Telamon\Tests\Support\Answer => $this->post(
            "/api/projects/$project/stage",
            ['stage' => $to, 'version' => $this->get("/api/projects/$project")->ok()->number('version')],
        )
            ->ok();
        $tasks = $this->countRows('task');
        foreach (['Workshop', 'Return', 'Workshop'] as $to) {
            $move($to);
        }
        self::assertSame($tasks + 2, $this->countRows('task'));
        $thank = $this->db()->fetchOne("SELECT id FROM task WHERE name LIKE 'Thank%'");
        self::assertIsString($thank);
        $this->call('DELETE', "/api/tasks/$thank?version=1")->ok(204);
        $move('Return');
        $move('Workshop');
        self::assertSame($tasks + 1, $this->countRows('task'), 'nor once somebody has removed it');
        $other = $this->project();
        $before = $this->countRows('task');
        $this->post("/api/projects/$other/stage", ['stage' => 'Workshop', 'version' => $this->get("/api/projects/$other")->ok()->number('version')])->ok();
        self::assertSame($before + 2, $this->countRows('task'), 'each project has its own');
    }

    public function testAFinishedTaskSetsARuleOffUnlessAPersonAddedIt(): void
    {
        $this->rule([
            'name' => 'After the talk',
            'when' => 'task',
            'what' => 'First talk',
            'then' => [['kind' => 'stage', 'stage' => 'Workshop'], ['kind' => 'checklist', 'checklist' => $this->checklist()]],
        ]);
        $project = $this->project();
        $task = $this->get("/api/tasks?project=$project")->ok();
        $before = $this->countRows('task');
        $this->post('/api/tasks/'.$task->text('items.0.id').'/finish', ['version' => $task->number('items.0.version')])->ok();
        self::assertSame('Workshop', $this->get("/api/projects/$project")->ok()->text('stage'));
        self::assertGreaterThan($before, $this->countRows('task'));
        $waits = $this->db()->fetchAllKeyValue('SELECT position, waits_for FROM task WHERE position > ?', [$before]);
        foreach ($waits as $position => $for) {
            $for = json_decode(\is_string($for) ? $for : '[]', true);
            foreach (\is_array($for) ? $for : [] as $one) {
                self::assertLessThan($position, $one, 'tasks that a rule adds wait for one another, and for those that were there only where their checklist names them');
            }
        }

        $id = $this->arrive();
        $this->call(
            'PUT',
            "/api/submissions/$id/decisions",
            [
                'version' => 0,
                'choices' => (object) [],
                'answers' => (object) [],
                'dropped' => [],
                'edits' => (object) [],
                'added' => [['kind' => 'task', 'values' => ['name' => 'First talk']]],
            ],
        )
            ->ok();
        $this->accept($id)->ok();
        $byHand = $this->db()->fetchAssociative("SELECT id, version, project_id FROM task WHERE name = 'First talk' AND checklist = 'added by hand'");
        self::assertIsArray($byHand);
        self::assertIsString($byHand['id']);
        self::assertIsString($byHand['project_id']);
        $this->post("/api/tasks/{$byHand['id']}/finish", ['version' => $byHand['version']])->ok();
        self::assertNotSame('Workshop', $this->get("/api/projects/{$byHand['project_id']}")->ok()->text('stage'));
    }

    public function testTheReplyClockStartsAnew(): void
    {
        $this->rule(['name' => 'Wait for parts', 'when' => 'stage', 'what' => 'Workshop', 'then' => [['kind' => 'clock']]]);
        $project = $this->project();
        $id = $this->lastSubmission();
        self::assertNotNull($this->db()->fetchOne('SELECT answered_at FROM submission WHERE id = ?', [$id]), 'accepting by hand is an answer');
        $this->clock->modify('+3 days');
        $this->post("/api/projects/$project/stage", ['stage' => 'Workshop', 'version' => $this->get("/api/projects/$project")->ok()->number('version')])->ok();
        self::assertSame([$id], $this->get('/api/submissions?state=owed')->ok()->column('items', 'id'));
        $today = $this->get('/api/today')->ok();
        self::assertSame([['owed', $id], 1], [[$today->text('waiting.0.mark'), $today->text('waiting.0.id')], $today->number('waitingCount')], 'and it stands on Today');
        $due = $this->db()->fetchOne('SELECT due_at FROM submission WHERE id = ?', [$id]);
        self::assertIsString($due);
        self::assertGreaterThan('2026-11-27', $due, 'counted from now');
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->get('/api/submissions?state=owed')->ok()->rows('items'));
        self::assertSame([], $this->get('/api/today')->ok()->rows('waiting'));
    }

    public function testAcceptingIsNoAnswerWhereTheClockStartsAnew(): void
    {
        $this->rule(['name' => 'Still owed', 'then' => [['kind' => 'clock']]]);
        $id = $this->arrive();
        self::assertContains('Still owed', $this->get("/api/submissions/$id")->ok()->column('plan.lines', 'reason'));
        $this->accept($id)->ok();
        self::assertSame([$id], $this->get('/api/submissions?state=owed')->ok()->column('items', 'id'));
    }

    public function testAnAcceptedPlanSetsARuleOff(): void
    {
        $this->rule(['name' => 'Once accepted', 'when' => 'accepted', 'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'stick'], 'then' => [['kind' => 'task', 'name' => 'Put it on the wall', 'doer' => 'coordinator', 'days' => 1], ['kind' => 'field', 'record' => 'client', 'field' => 'organisation', 'value' => 'House of {{name}}']]]);
        $id = $this->arrive();
        self::assertNotContains('Once accepted', $this->get("/api/submissions/$id")->ok()->column('plan.lines', 'reason'));
        $made = $this->accept($id)->ok();
        self::assertContains('8 Put it on the wall', $made->column('made', 'label'));
        self::assertSame('House of Orla Fennick', $this->client()->text('organisation'));
        $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame([0, 0], [$this->countRows('task'), $this->countRows('client')]);
    }

    public function testWhatIsAddedToAProjectIsAskedByItsOwnAnswers(): void
    {
        $project = $this->project();
        $this->rule(['name' => 'Humming', 'when' => 'accepted', 'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'hum'], 'then' => [['kind' => 'tag', 'record' => 'project', 'tag' => 'hums']]]);
        $this->accept($this->arrive(['matter' => 'Now it hums.']), ['project' => $project])->ok();
        self::assertSame(['hums'], $this->get("/api/projects/$project")->ok()->at('tags'), 'those that came now, not those that opened it');
    }

    public function testRulesThatWouldGoOnForEverAreRefused(): void
    {
        $this->rule(['name' => 'A', 'when' => 'stage', 'what' => 'Workshop', 'then' => [['kind' => 'stage', 'stage' => 'Return']]]);
        $back = ['name' => 'B', 'when' => 'stage', 'what' => 'Return', 'then' => [['kind' => 'stage', 'stage' => 'Workshop']]];
        $refused = $this->post('/api/rules', $back)->ok(422);
        self::assertSame(['then' => 'It would set itself off again without end: B, then A, then B.'], $refused->violations());
        $kept = $this->post('/api/rules', ['what' => 'Quote'] + $back)->ok(201);
        $this->call('PUT', '/api/rules/'.$kept->text('id'), ['version' => 1] + $back)->ok(422);
    }

    public function testTurnsGoFromPlanToPlan(): void
    {
        [$pim, $sorcha] = [$this->staff('pim@marrowby.example'), $this->staff('sorcha@marrowby.example')];
        $this->rule(['name' => 'Turns', 'then' => [['kind' => 'lead', 'staff' => 'rota', 'among' => "$pim,$sorcha"]]]);
        $leads = [];
        for ($i = 0; $i < 3; ++$i) {
            $id = $this->arrive(['email' => "p$i@example.com", 'name' => "Person Number$i", 'phone' => null]);
            self::assertSame($this->get("/api/submissions/$id")->ok()->column('plan.lines', 'key'), $this->get("/api/submissions/$id")->ok()->column('plan.lines', 'key'), 'looking takes no turn');
            $this->accept($id)->ok();
            $leads[] = $this->get('/api/projects')->ok()->text('items.0.lead');
            $this->clock->modify('+1 minute');
        }
        self::assertSame(['Pim Tarrow', 'Sorcha Vell', 'Pim Tarrow'], $leads);
    }

    public function testWhatWasNotFinishedSetsARuleOff(): void
    {
        $this->rule(['name' => 'Ring them', 'when' => 'unfinished', 'then' => [['kind' => 'task', 'name' => 'Ring {{name}}', 'doer' => 'coordinator', 'days' => 0]], 'acceptsByItself' => true]);
        $this->publish('Short', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ]]], 'endings' => [['kind' => 'form', 'text' => 'piano-inquiry']]]);
        $this->call('POST', '/api/public/forms/short/submissions', ['answers' => ['name' => 'Tess Quill', 'email' => 't@example.com']])->ok(201);
        $this->work();
        self::assertSame('waiting', $this->db()->fetchOne('SELECT state FROM submission'));
        $this->clock->modify('+31 minutes');
        $this->work();
        self::assertSame('accepted', $this->db()->fetchOne('SELECT state FROM submission'));
        self::assertSame(1, $this->countRows("task WHERE name = 'Ring Tess Quill'"));
    }

    public function testWhoeverHasTheFewestOpenTasksIsNext(): void
    {
        [$pim, $sorcha] = [$this->staff('pim@marrowby.example'), $this->staff('sorcha@marrowby.example')];
        $this->project();
        self::assertGreaterThan(0, $this->countRows("task WHERE assignee_id = '$sorcha'"));
        $this->rule(['name' => 'Even', 'then' => [['kind' => 'task', 'name' => 'Extra', 'doer' => 'fewest', 'among' => "$sorcha,$pim", 'days' => 1]]]);
        $this->accept($this->arrive(['email' => 'x@example.com', 'name' => 'Tess Quill', 'phone' => null]))->ok();
        self::assertSame($pim, $this->db()->fetchOne("SELECT assignee_id FROM task WHERE name = 'Extra'"));
        $this->post('/api/rules', ['name' => 'Nobody', 'then' => [['kind' => 'task', 'name' => 'Extra', 'doer' => 'rota', 'among' => '', 'days' => 1]]])->ok(422);
    }

    public function testAMessageOfARuleGoesOnceForOneSubmission(): void
    {
        $this->rule(['name' => 'Once more', 'then' => [['kind' => 'message', 'template' => 'confirmation']]]);
        $id = $this->arrive();
        $this->accept($id)->ok();
        self::assertSame(2, $this->countRows("message WHERE template = 'confirmation'"), 'the usual one, and that of the rule');
        $this->work();
        $this->post("/api/submissions/$id/undo")->ok();
        $this->accept($id)->ok();
        self::assertSame(2, $this->countRows("message WHERE template = 'confirmation'"), 'what was sent is not sent again');
    }

    public function testAFieldOfTheClientCanBeAskedAndSet(): void
    {
        $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Member', 'kind' => 'text'])->ok(201);
        $this->rule(['name' => 'Members', 'when' => 'received', 'if' => ['question' => '@client.custom.member', 'op' => 'is', 'value' => 'gold'], 'then' => [['kind' => 'tag', 'record' => 'project', 'tag' => 'member']]]);
        $this->rule(['name' => 'Makes members', 'when' => 'accepted', 'then' => [['kind' => 'field', 'record' => 'client', 'field' => 'custom.member', 'value' => 'gold']]]);
        $this->accept($this->arrive())->ok();
        self::assertSame('gold', $this->client()->text('custom.0.value'));
        self::assertContains('Members', $this->get('/api/submissions/'.$this->arrive())->ok()->column('plan.lines', 'reason'));
        self::assertContains('custom.member', $this->get('/api/rules')->ok()->column('offers.fields', 'field'));
    }

    public function testALookBackKnowsWhoDidNotFinish(): void
    {
        $this->publish('Short', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
        ]]], 'endings' => [['kind' => 'form', 'text' => 'piano-inquiry']]]);
        $this->call('POST', '/api/public/forms/short/submissions', ['answers' => ['name' => 'Tess Quill']])->ok(201);
        $this->arrive();
        $this->clock->modify('+2 hours');
        $this->signIn();
        $look = $this->post('/api/rules/look-backs', ['rule' => ['name' => 'X', 'when' => 'unfinished', 'then' => []], 'days' => 30])->ok(201);
        $this->work();
        self::assertSame([2, 1], [$this->get('/api/rules/look-backs/'.$look->text('id'))->ok()->number('done'), $this->get('/api/rules/look-backs/'.$look->text('id'))->ok()->number('touched')]);
    }

    public function testWhatARuleWasIsListed(): void
    {
        $rule = $this->rule(['name' => 'First', 'why' => 'because', 'then' => [['kind' => 'note', 'text' => 'a']]]);
        $this->clock->modify('+1 minute');
        $this->call('PUT', "/api/rules/$rule", ['name' => 'Second', 'version' => 1, 'enabled' => false, 'why' => 'because', 'then' => [['kind' => 'note', 'text' => 'b']]])->ok();
        $versions = $this->get("/api/rules/$rule/versions")->ok();
        self::assertSame(['another name, switched off, does something else', 'made'], $versions->column('items', 'words'));
        self::assertSame(['Second', 'First'], array_column(array_column($versions->rows('items'), 'rule'), 'name'));
        self::assertSame('a', $versions->text('items.1.rule.then.0.text'));
    }

    public function testARuleIsTriedOnAMadeUpSample(): void
    {
        $rule = ['name' => 'Sticky', 'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'stick'], 'then' => [['kind' => 'note', 'text' => 'x']]];
        $run = $this->post('/api/rules/dry-run', ['rule' => $rule, 'sample' => ['form' => 'piano-inquiry', 'answers' => ['name' => 'Tess', 'matter' => 'Keys stick']]])->ok();
        self::assertTrue($run->at('holds'));
        self::assertSame(0, $this->countRows('submission'));
        self::assertFalse($this->post('/api/rules/dry-run', ['rule' => $rule, 'sample' => ['form' => 'piano-inquiry', 'answers' => ['name' => 'Tess']]])->ok()->at('holds'));
        $this->post('/api/rules/dry-run', ['rule' => ['name' => ''] + $rule, 'sample' => ['form' => 'piano-inquiry', 'answers' => ['name' => 'Tess']]])->ok();
        $this->post('/api/rules/dry-run', ['rule' => $rule, 'sample' => ['form' => 'nowhere', 'answers' => []]])->ok(422);
        $this->post('/api/rules/dry-run', ['rule' => ['when' => 'stage'] + $rule, 'sample' => ['form' => 'piano-inquiry', 'answers' => (object) []]])->ok(422);
        $project = $this->project();
        $tasks = $this->countRows('task');
        $onStage = ['when' => 'stage', 'what' => 'Quote', 'if' => ['question' => '@stage', 'op' => 'is', 'value' => 'Quote'], 'then' => [['kind' => 'task', 'name' => 'Write to {{client}}', 'doer' => 'lead', 'days' => 0]]] + $rule;
        $tried = $this->post('/api/rules/dry-run', ['rule' => $onStage, 'project' => $project])->ok();
        self::assertSame([true, 'Write to Orla Fennick', []], [$tried->at('holds'), $tried->text('with.lines.0.parts.0.text'), $tried->at('without.lines')]);
        self::assertSame([$tasks, 'Inquiry'], [$this->countRows('task'), $this->get("/api/projects/$project")->ok()->text('stage')], 'nothing was done');
        $this->post('/api/rules/look-backs', ['rule' => ['when' => 'stage'] + $rule, 'days' => 30])->ok(422);
    }

    public function testStageOwnerAndNoticeAreSetByHandInAPlan(): void
    {
        $id = $this->arrive();
        $pim = $this->staff('pim@marrowby.example');
        $body = ['version' => 0, 'choices' => (object) [], 'answers' => (object) [], 'dropped' => [], 'edits' => ['project' => ['stage' => 'Workshop']], 'added' => [['kind' => 'owner', 'values' => ['staff' => $pim]], ['kind' => 'notice', 'values' => ['staff' => $pim]]]];
        $this->call('PUT', "/api/submissions/$id/decisions", ['edits' => ['project' => ['stage' => 'Nowhere']]] + $body)->ok(422);
        $this->call('PUT', "/api/submissions/$id/decisions", $body)->ok();
        $this->accept($id)->ok();
        self::assertSame(['Workshop', 'Pim Tarrow'], [$this->get('/api/projects')->ok()->text('items.0.stage'), $this->client()->text('owner')]);
        self::assertSame(1, $this->countRows("message WHERE to_address = 'pim@marrowby.example'"));
    }

    public function testFieldStaffMoveOnlyWhatTheyLead(): void
    {
        $project = $this->project();
        $version = $this->get("/api/projects/$project")->ok()->number('version');
        $this->signIn('pim@marrowby.example');
        $this->post("/api/projects/$project/stage", ['stage' => 'Workshop', 'version' => $version])->ok(403);
        $this->signIn();
        $this->rule(['name' => 'To Pim', 'then' => [['kind' => 'lead', 'staff' => $this->staff('pim@marrowby.example')]]]);
        $this->clock->modify('+1 minute');
        $project = $this->project();
        $this->signIn('pim@marrowby.example');
        $this->post("/api/projects/$project/stage", ['stage' => 'Workshop', 'version' => $this->get("/api/projects/$project")->ok()->number('version')])->ok();
    }

    /** @param array<string, mixed> $rule */
    private function rule(array $rule): string
    {
        return $this->post('/api/rules', $rule + ['enabled' => true, 'why' => ''])->ok(201)->text('id');
    }

    /** @param array<string, mixed> $answers */
    private function arrive(array $answers = []): string
    {
        $this->inquire($answers)->ok(201);

        return $this->lastSubmission();
    }

    private function project(): string
    {
        $this->accept($this->arrive())->ok();

        return $this->get('/api/projects')->ok()->text('items.0.id');
    }

    private function client(): \Telamon\Tests\Support\Answer
    {
        return $this->get('/api/clients/'.$this->get('/api/clients')->ok()->text('items.0.id'))->ok();
    }

    private function staff(string $email): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM staff WHERE email = ?', [$email]);
        self::assertIsString($id);

        return $id;
    }

    private function checklist(): string
    {
        return $this->get('/api/rules')->ok()->text('offers.checklists.0.value');
    }
}
