<?php

declare(strict_types=1);

namespace Telamon\Tests\Rules;

use Telamon\RuleRuns\LookBackJob;
use Telamon\RuleRuns\LookBacks;
use Telamon\Tests\Support\AppTestCase;

final class RulesTest extends AppTestCase
{
    private const RULE = [
        'name' => 'Sticky keys',
        'why' => 'They are quick to do.',
        'enabled' => true,
        'forms' => ['piano-inquiry'],
        'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'stick'],
        'then' => [['kind' => 'tag', 'record' => 'project', 'tag' => 'quick'], ['kind' => 'task', 'name' => 'Offer Friday', 'doer' => 'lead', 'days' => 1]],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testATaskThatCouldStandOnNoProjectIsRefused(): void
    {
        $this->publish(
            'How was it',
            [
                'purpose' => 'file',
                'pages' => [[
                    'title' => 'You',
                    'questions' => [
                        ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
                        ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                    ],
                ]],
            ],
        );
        $rule = fn (array $forms, string $when = 'received') => $this->post(
            '/api/rules',
            [
                'name' => 'Ring them',
                'when' => $when,
                'forms' => $forms,
                'then' => [['kind' => 'task', 'name' => 'Ring them', 'doer' => 'lead', 'days' => 1]],
                'enabled' => true,
                'why' => '',
            ],
        );
        self::assertStringContainsString('no project on which a task could stand', $rule(['how-was-it'])->ok(422)->violations()['then'] ?? '');
        $rule(['how-was-it', 'piano-inquiry'])->ok(201);
        $rule([])->ok(201);
        $this->post(
            '/api/rules',
            [
                'name' => 'Tag them',
                'when' => 'received',
                'forms' => ['how-was-it'],
                'then' => [['kind' => 'tag', 'record' => 'client', 'tag' => 'asked']],
                'enabled' => true,
                'why' => '',
            ],
        )
            ->ok(201);
    }

    public function testARuleIsMadeSeenWorkingAndCounted(): void
    {
        $rule = $this->post('/api/rules', self::RULE)->ok(201);
        self::assertSame([1, 1, 0], [$rule->number('version'), $rule->number('position'), $rule->number('times')]);
        $this->inquire()->ok(201);
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertContains('Sticky keys', $plan->column('plan.lines', 'reason'));
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('["quick"]', $this->db()->fetchOne('SELECT tags FROM project'));
        self::assertSame('Offer Friday', $this->db()->fetchOne('SELECT name FROM task ORDER BY position DESC LIMIT 1'));
        $list = $this->get('/api/rules')->ok();
        self::assertSame([1, 0], [$list->number('items.0.times'), $list->number('items.0.failures')]);
        $this->post('/api/submissions/'.$this->lastSubmission().'/undo')->ok();
        self::assertSame(0, $this->get('/api/rules')->ok()->number('items.0.times'), 'what was taken back does not count');
    }

    public function testARuleThatIsOffDoesNothingAndOneThatNamesWhatIsGoneSaysSo(): void
    {
        $this->post('/api/rules', ['enabled' => false] + self::RULE)->ok(201);
        $this->post('/api/rules', ['name' => 'Old', 'then' => [['kind' => 'checklist', 'checklist' => 'x']], 'enabled' => true])->ok(201);
        $this->inquire()->ok(201);
        $reasons = $this->get('/api/submissions/'.$this->lastSubmission())->ok()->column('plan.lines', 'reason');
        self::assertNotContains('Sticky keys', $reasons);
        self::assertContains('Old', $reasons);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(1, $this->get('/api/rules')->ok()->number('items.1.failures'));
    }

    public function testTheClientsTagsCanBeAsked(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->db()->executeStatement("UPDATE client SET tags = '[\"stairs\"]', since = '2026-01-01'");
        $rule = ['if' => ['question' => '@client_tags', 'op' => 'is', 'value' => 'stairs']] + self::RULE;
        $this->post('/api/rules', $rule)->ok(201);
        $this->inquire()->ok(201);
        self::assertContains('Sticky keys', $this->get('/api/submissions/'.$this->lastSubmission())->ok()->column('plan.lines', 'reason'));
        $look = $this->post('/api/rules/look-backs', ['rule' => $rule, 'days' => 30])->ok(201);
        $this->goOn($look->text('id'));
        self::assertSame(1, $this->get('/api/rules/look-backs/'.$look->text('id'))->ok()->number('touched'), 'the one that came from a client on file');
    }

    public function testADryRunShowsBothPlansAndSavesNothing(): void
    {
        $this->inquire()->ok(201);
        $run = $this->post('/api/rules/dry-run', ['rule' => self::RULE, 'submission' => $this->lastSubmission()])->ok();
        self::assertTrue($run->at('holds'));
        self::assertSame(2, \count($run->rows('with.lines')) - \count($run->rows('without.lines')));
        self::assertSame(0, $this->countRows('handling_rule'));
        self::assertFalse($this->post('/api/rules/dry-run', ['rule' => ['forms' => ['tuning']] + self::RULE, 'submission' => $this->lastSubmission()])->ok()->at('holds'));
        self::assertSame(['then.0.days'], array_keys($this->post('/api/rules/dry-run', ['rule' => ['then' => [['kind' => 'task', 'name' => 'x', 'doer' => 'lead', 'days' => 'x']]] + self::RULE, 'submission' => $this->lastSubmission()])->ok(422)->violations()));
    }

    public function testALookBackCountsInTheBackground(): void
    {
        for ($i = 0; $i < 3; ++$i) {
            $this->inquire(['name' => "Person $i", 'email' => "p$i@example.com", 'matter' => 1 === $i ? 'It hums.' : 'Keys stick.'])->ok(201);
        }
        $this->clock->modify('+40 days');
        $this->inquire(['email' => 'late@example.com'])->ok(201);
        $this->signIn();
        $look = $this->post('/api/rules/look-backs', ['rule' => self::RULE, 'days' => 90])->ok(201);
        self::assertSame(['running', 4, 0], [$look->text('state'), $look->number('total'), $look->number('done')]);
        $this->goOn($look->text('id'));
        $done = $this->get('/api/rules/look-backs/'.$look->text('id'))->ok();
        self::assertSame(['done', 4, 3], [$done->text('state'), $done->number('done'), $done->number('touched')]);
        self::assertSame(['the tag “quick” on the project', 'the task “Offer Friday”'], $done->at('lines'));
        self::assertCount(3, $done->rows('examples'));
        $short = $this->post('/api/rules/look-backs', ['rule' => self::RULE, 'days' => 30])->ok(201);
        self::assertSame(1, $short->number('total'));
        $this->post('/api/rules/look-backs/'.$short->text('id').'/cancel')->ok();
        $this->goOn($short->text('id'));
        $cancelled = $this->get('/api/rules/look-backs/'.$short->text('id'))->ok();
        self::assertSame(['cancelled', 0], [$cancelled->text('state'), $cancelled->number('done')]);
        $this->post('/api/rules/look-backs', ['rule' => self::RULE, 'days' => 31])->ok(422);
    }

    public function testTwoPeopleAtOneRuleDoNotOverwriteEachOther(): void
    {
        $rule = $this->post('/api/rules', self::RULE)->ok(201);
        $path = '/api/rules/'.$rule->text('id');
        $changed = $this->call('PUT', $path, ['name' => 'Sticky', 'version' => 1] + self::RULE)->ok();
        self::assertSame(2, $changed->number('version'));
        $this->call('PUT', $path, ['name' => 'Other', 'version' => 1] + self::RULE)->ok(409);
    }

    public function testRulesAreMovedTakenOutAndBroughtBack(): void
    {
        $first = $this->post('/api/rules', self::RULE)->ok(201)->text('id');
        $second = $this->post('/api/rules', ['name' => 'Second'] + self::RULE)->ok(201)->text('id');
        self::assertSame([$second, $first], $this->post("/api/rules/$second/move", ['up' => true])->ok()->column('items', 'id'));
        self::assertSame([$second, $first], $this->post("/api/rules/$second/move", ['up' => true])->ok()->column('items', 'id'), 'the first stays the first');
        self::assertSame([$second], $this->call('DELETE', "/api/rules/$first")->ok()->column('items', 'id'));
        $this->call('DELETE', "/api/rules/$first")->ok(404);
        $change = $this->get('/api/changes/last')->ok()->text('change.id');
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame([$second, $first], $this->get('/api/rules')->ok()->column('items', 'id'));
    }

    public function testAPlanWithNothingOpenIsAcceptedByItself(): void
    {
        $this->post('/api/rules', ['acceptsByItself' => true] + self::RULE)->ok(201);
        $this->inquire()->ok(201);
        $this->work();
        self::assertSame('accepted', $this->db()->fetchOne('SELECT state FROM submission'));
        $name = self::RULE['name'];
        self::assertSame("the rule “{$name}”", $this->get('/api/submissions/'.$this->lastSubmission())->ok()->text('decidedBy'), 'nobody did, and that is said');
        $words = $this->db()->fetchOne("SELECT words FROM change_set WHERE kind = 'accept'");
        self::assertStringEndsWith("as the rule “{$name}” says", \is_string($words) ? $words : '');
        $this->inquire(['email' => 'o2@example.com', 'name' => 'Tess Quill', 'phone' => null, 'wanted_by' => '04/05/2027'])->ok(201);
        $this->work();
        self::assertSame('waiting', $this->db()->fetchOne('SELECT state FROM submission ORDER BY rowid DESC LIMIT 1'), 'an open question waits for a person');
    }

    public function testOnlyCoordinatorsMakeRules(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->get('/api/rules')->ok(403);
        $this->post('/api/rules', self::RULE)->ok(403);
    }

    private function goOn(string $id): void
    {
        $looks = self::getContainer()->get(LookBacks::class);
        self::assertInstanceOf(LookBacks::class, $looks);
        $looks->goOn(new LookBackJob($id));
    }
}
