<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

final class DecisionsTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['wanted_by' => '04/05/2027'])->ok(201);
        $this->id = $this->lastSubmission();
    }

    public function testAChoiceIsKeptForWhoeverGoesOn(): void
    {
        $this->decide(0, ['choices' => ['ready_by' => '2027-05-04']])->ok();
        $this->signIn('sorcha@marrowby.example');
        $this->get("/api/submissions/{$this->id}?ahead=true")->ok();
        $this->signIn();
        self::assertSame([], $this->get("/api/submissions/{$this->id}")->ok()->at('others'), 'what was fetched ahead was not looked at');
        $this->signIn('sorcha@marrowby.example');
        $seen = $this->get("/api/submissions/{$this->id}")->ok();
        self::assertSame(
            [1, 'Nessa Quarle', '2027-05-04', 0],
            [$seen->number('decided.version'), $seen->text('decided.by'), $seen->text('decided.choices.ready_by'), $seen->number('plan.open')],
        );
        self::assertSame(['Nessa Quarle'], $seen->at('others'), 'she looked a moment ago');
        $this->post("/api/submissions/{$this->id}/accept", ['fingerprint' => $seen->text('plan.fingerprint'), 'decisionsVersion' => 1])->ok();
    }

    public function testTwoWhoDecideAtOnceDoNotOverwriteEachOther(): void
    {
        $this->decide(0, ['choices' => ['ready_by' => '2027-05-04']])->ok();
        $refused = $this->decide(0, ['choices' => ['ready_by' => '2027-04-05']])->ok(409);
        self::assertStringContainsString('Nessa Quarle has changed this plan', $refused->text('detail'));
        $seen = $this->get("/api/submissions/{$this->id}")->ok();
        self::assertSame('2027-05-04', $seen->text('decided.choices.ready_by'));
        $this->decide(1, ['choices' => ['ready_by' => '2027-05-04'], 'dropped' => ['message.notice']])->ok();
        $this->post("/api/submissions/{$this->id}/accept", ['fingerprint' => $seen->text('plan.fingerprint'), 'decisionsVersion' => 1])->ok(409);
    }

    public function testALineIsLeftOutChangedAndAdded(): void
    {
        $teo = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'TA'");
        self::assertIsString($teo);
        $plan = $this->decide(0, [
            'choices' => ['ready_by' => '2027-05-04'], 'dropped' => ['message.notice'],
            'edits' => ['project' => ['title' => 'Keys', 'lead' => $teo]],
            'added' => [
                ['kind' => 'task', 'values' => ['name' => 'Ring the bell', 'assignee' => $teo, 'due' => '2026-12-01']],
                ['kind' => 'note', 'values' => ['text' => 'The dog bites.']],
                ['kind' => 'tag', 'values' => ['tag' => 'dog']],
            ],
        ])->ok();
        $lines = array_column($plan->rows('plan.lines'), null, 'key');
        self::assertTrue($lines['message.notice']['dropped']);
        self::assertTrue($lines['project']['amended']);
        self::assertSame(0, $plan->number('plan.open'));
        $first = array_values(array_filter($plan->rows('plan.lines'), static fn (array $line): bool => 'Tasks' === $line['group']))[0];
        self::assertIsString($first['key']);
        $edited = $this->decide(
            1,
            [
                'choices' => ['ready_by' => '2027-05-04'],
                'dropped' => ['message.notice'],
                'edits' => ['project' => ['title' => 'Keys', 'lead' => $teo], $first['key'] => ['name' => 'Long talk', 'due' => '2026-12-24']],
                'added' => [['kind' => 'note', 'values' => ['text' => 'The dog bites.']], ['kind' => 'tag', 'values' => ['tag' => 'dog']]],
            ],
        )
            ->ok();
        $this->post("/api/submissions/{$this->id}/accept", ['fingerprint' => $edited->text('plan.fingerprint'), 'decisionsVersion' => 2])->ok();
        $project = $this->db()->fetchAssociative('SELECT title, notes, tags, lead_id FROM project');
        self::assertIsArray($project);
        self::assertSame(['Keys', '["dog"]', $teo], [$project['title'], $project['tags'], $project['lead_id']]);
        self::assertStringEndsWith('The dog bites.', \is_string($project['notes']) ? $project['notes'] : '');
        self::assertSame(['Long talk', '2026-12-24'], $this->db()->fetchNumeric('SELECT name, due FROM task ORDER BY position LIMIT 1'));
        self::assertSame(['confirmation'], $this->db()->fetchFirstColumn('SELECT template FROM message'), 'the notice was left out');
    }

    public function testAnAnswerPutRightChangesThePlanAndNotTheSheet(): void
    {
        $plan = $this->decide(0, ['answers' => ['email' => 'orla.right@example.com', 'wanted_by' => '2027-05-04']])->ok();
        self::assertSame(0, $plan->number('plan.open'));
        self::assertStringContainsString('orla.right@example.com', implode('', array_filter(array_column($plan->rows('plan.lines.0.parts'), 'text'), \is_string(...))));
        self::assertContains('orla.fennick@example.com', $plan->column('answers', 'text'), 'as it was written');
        $this->decide(1, ['answers' => ['nothing' => 'x']])->ok(422);
    }

    public function testWhatCannotBeIsRefusedAndNotKept(): void
    {
        $this->decide(0, ['choices' => ['ready_by' => '2027-05-04']])->ok();
        foreach ([['edits' => ['project' => ['title' => 5]]], ['added' => [['kind' => 'song', 'values' => []]]], ['dropped' => 'all']] as $wrong) {
            $this->decide(1, $wrong)->ok(422);
        }
        $task = 'task.'.(string) preg_replace('/^task\./', '', $this->taskKey());
        $this->decide(1, ['edits' => [$task => ['due' => 'soon']]])->ok(422);
        $seen = $this->get("/api/submissions/{$this->id}")->ok();
        self::assertSame('2027-05-04', $seen->text('decided.choices.ready_by'), 'what was kept before stands');
    }

    public function testAPlanOpensThoughWhatWasKeptNamesSomebodyWhoIsGone(): void
    {
        $task = $this->taskKey();
        $this->decide(0, ['choices' => ['ready_by' => '2027-05-04']])->ok();
        $this->db()
            ->executeStatement('UPDATE plan_decision SET data = ?', [json_encode(['choices' => ['ready_by' => '2027-05-04'], 'edits' => [$task => ['assignee' => 'gone']]])]);
        self::assertSame(0, $this->get("/api/submissions/{$this->id}")->ok()->number('plan.open'));
    }

    public function testWhatIsGoneFromThePlanFallsAway(): void
    {
        $this->decide(0, ['choices' => ['ready_by' => '2027-05-04', 'client' => 'same'], 'dropped' => ['task.nowhere'], 'edits' => ['task.nowhere' => ['name' => 'X']]])->ok();
        self::assertSame(0, $this->get("/api/submissions/{$this->id}")->ok()->number('plan.open'));
    }

    private function taskKey(): string
    {
        foreach ($this->get("/api/submissions/{$this->id}")->ok()->rows('plan.lines') as $line) {
            if ('Tasks' === $line['group'] && \is_string($line['key'])) {
                return $line['key'];
            }
        }
        self::fail('no task');
    }

    /** @param array<string, mixed> $body */
    private function decide(int $version, array $body): Answer
    {
        return $this->call('PUT', "/api/submissions/{$this->id}/decisions", ['version' => $version] + $body);
    }
}
