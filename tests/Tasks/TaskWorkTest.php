<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Working on tasks: words for days, steps, comments, minutes, approvals, several at once, and who is told. */
final class TaskWorkTest extends AppTestCase
{
    use AsksRows;

    private string $project = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['service' => 'repair', 'place' => 'Marrowby'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $this->project = $this->id('SELECT id FROM project');
    }

    public function testADayIsWrittenInWordsAndWhatIsNoneIsSaidBesideIt(): void
    {
        $task = $this->task(0);
        $edited = $this->edit($task, ['due' => 'in 3 working days'])->ok();
        self::assertTrue($edited->at('handDated'));
        self::assertMatchesRegularExpression('/^\d{4}-\d\d-\d\d$/', $edited->text('due'));
        self::assertSame('due', $this->edit($task, ['due' => 'when I can', 'version' => $edited->number('version')])->ok(422)->text('violations.0.path'));
        $itself = $this->edit($task, ['itself' => true, 'version' => $edited->number('version')])->ok();
        self::assertSame([$task['due'], false], [$itself->text('due'), $itself->at('handDated')], 'as its checklist has it');
    }

    public function testADayOffOfWhoeverDoesItIsSaid(): void
    {
        $task = $this->task(0);
        self::assertFalse($task['away']);
        $nessa = $this->id("SELECT id FROM staff WHERE email = 'coordinator@marrowby.example'");
        $this->post("/api/setup/staff/$nessa/absences", ['first' => $task['due'], 'last' => $task['due'], 'note' => ''])->ok(201);
        self::assertTrue($this->task(0)['away']);
    }

    public function testStepsAreTickedAndTakenBack(): void
    {
        $task = $this->task(1);
        self::assertSame(['Photograph the action', 'Note the serial number'], array_column((array) $task['steps'], 'text'));
        $ticked = $this->post("/api/tasks/{$this->word($task['id'])}/steps", ['done' => [1]])->ok();
        self::assertSame([false, true], $ticked->column('steps', 'done'));
        $this->post("/api/tasks/{$this->word($task['id'])}/steps", ['done' => [7]])->ok(422);
        $this->undo();
        self::assertSame([false, false], array_column((array) $this->task(1)['steps'], 'done'));
    }

    public function testWhoIsNamedInACommentIsToldOnceAndMinutesAddUp(): void
    {
        $task = $this->task(0);
        $write = fn (array $body): Answer => $this->call('POST', "/api/tasks/{$this->word($task['id'])}/notes", $body, ['HTTP_IDEMPOTENCY_KEY' => 'note-1']);
        $write(['text' => '@Sorcha, is the lid loose? @nobody', 'minutes' => 20])->ok(201);
        self::assertCount(1, $write(['text' => '@Sorcha, is the lid loose? @nobody', 'minutes' => 20])->ok(201)->rows('items'), 'sent twice, written once');
        $this->post("/api/tasks/{$this->word($task['id'])}/notes", ['minutes' => 15])->ok(201);
        self::assertSame(35, $this->task(0)['minutes']);
        self::assertSame(['sorcha@marrowby.example'], $this->told('%wrote to you on%'));
        $this->post("/api/tasks/{$this->word($task['id'])}/notes", ['text' => ' '])->ok(422);
        $this->signIn('pim@marrowby.example');
        $this->get("/api/tasks/{$this->word($task['id'])}/notes")->ok(403);
    }

    public function testWhoeverMayBeginIsToldWhenTheLastThatTheyWaitedForIsDone(): void
    {
        // “Look at the piano” is Sorcha's and waits for the first talk alone.
        $this->post('/api/tasks/finish', ['tasks' => [$this->task(0)['id']]])->ok();
        self::assertSame(['sorcha@marrowby.example'], $this->told('%can begin%'));
        self::assertSame('to-do', $this->task(1)['state']);
    }

    public function testSeveralAreFinishedAsOneActAndTakenBackTogether(): void
    {
        $ids = [$this->task(0)['id'], $this->task(1)['id']];
        self::assertSame(['done', 'done'], $this->post('/api/tasks/finish', ['tasks' => $ids])->ok()->column('items', 'state'));
        self::assertSame(['done', 'done'], $this->post('/api/tasks/finish', ['tasks' => $ids])->ok()->column('items', 'state'), 'again changes nothing');
        $this->undo();
        self::assertSame(['to-do', 'waiting'], [$this->task(0)['state'], $this->task(1)['state']]);
        $this->post('/api/tasks/finish', ['tasks' => []])->ok(422);
        $this->signIn('pim@marrowby.example');
        $this->post('/api/tasks/finish', ['tasks' => $ids])->ok(403);
    }

    public function testOnlyTheRoleThatApprovesFinishesIt(): void
    {
        $list = $this->post('/api/checklists', ['name' => 'Check', 'items' => [['key' => 'look', 'name' => 'Look it over', 'doer' => 'lead', 'approval' => 'owner']]])->ok(201);
        $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $list->text('id')])->ok();
        $tasks = $this->get("/api/tasks?project={$this->project}")->ok()->rows('items');
        $look = array_values(array_filter($tasks, static fn (array $one): bool => 'Look it over' === $one['name']))[0];
        $finish = fn (): Answer => $this->post("/api/tasks/{$this->word($look['id'])}/finish", ['version' => $look['version']]);
        self::assertStringContainsString('approval of an owner', $finish()->ok(403)->text('detail'));
        $this->signIn('sorcha@marrowby.example');
        $finish()->ok();
    }

    public function testWhatIsAheadSaysHowShortItIsAndWhatDecides(): void
    {
        $project = $this->get("/api/projects/{$this->project}")->ok();
        $this->call('PUT', "/api/projects/{$this->project}", ['version' => $project->number('version'), 'readyBy' => $this->clock->now()->modify('+1 day')->format('Y-m-d')])->ok();
        $ahead = $this->get("/api/projects/{$this->project}/schedule")->ok();
        self::assertGreaterThan(0, $ahead->number('shortBy'));
        self::assertStringContainsString('short; the longest chain is: First talk', $ahead->text('verdict'));
        self::assertContains(true, $ahead->column('tasks', 'onChain'));
        $this->get("/api/projects/{$this->project}/schedule?readyBy=soon")->ok(422);
    }

    public function testTheLoadIsEffortAgainstTheTimeThatSomebodyIsThere(): void
    {
        $load = $this->get('/api/load')->ok();
        $nessa = array_values(array_filter($load->rows('items'), static fn (array $one): bool => 'Nessa Quarle' === $one['name']))[0];
        self::assertIsArray($nessa['weeks']);
        self::assertCount(4, $nessa['weeks']);
        self::assertGreaterThan(0, array_sum(array_column($nessa['weeks'], 'effort')));
        // A whole week of the demo is 50 hours, less closures.
        self::assertLessThanOrEqual(3000, max(array_column($nessa['weeks'], 'available')));
        self::assertGreaterThan(0, max(array_column($nessa['weeks'], 'available')));
        $this->signIn('pim@marrowby.example');
        self::assertSame(['Pim Tarrow'], $this->get('/api/load')->ok()->column('items', 'name'), 'field staff see their own');
    }

    public function testOnesTasksAreTodosOfACalendar(): void
    {
        $calendar = Reader::read($this->get('/api/tasks/export')->ok()->body);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $todos = $calendar->select('VTODO');
        self::assertCount(4, $todos, 'those of the coordinator');
        self::assertStringContainsString('First talk\, Orla Fennick', $this->get('/api/tasks/export')->ok()->body);
        $path = $this->post('/api/diary/feeds', ['staff' => $this->id("SELECT id FROM staff WHERE email = 'sorcha@marrowby.example'")])->ok(201)->text('path');
        $this->call('DELETE', '/api/session');
        self::assertStringContainsString('BEGIN:VTODO', $this->get($path)->ok()->body);
    }

    public function testAFileDoesItsTaskByItselfAndUndoTakesBothBack(): void
    {
        self::assertSame('when the quote is accepted', $this->task(2)['doneBy']);
        $this->db()->executeStatement("UPDATE task SET brief = json_set(brief, '$.doneBy', 'file') WHERE name = 'Write the price'");
        $picture = "{$this->data}/soundboard.png";
        $image = imagecreatetruecolor(40, 30);
        self::assertNotFalse($image);
        imagepng($image, $picture);
        $this->post('/api/files', ['uploads' => [$this->upload($picture, 'soundboard.png')->ok(201)->text('id')], 'project' => $this->project])->ok(201);
        self::assertSame('done', $this->task(2)['state']);
        $this->undo();
        self::assertSame('waiting', $this->task(2)['state']);
    }

    /** @return array<array-key, mixed> */
    private function task(int $at): array
    {
        return $this->get("/api/tasks?project={$this->project}")->ok()->rows('items')[$at];
    }

    /**
     * @param array<array-key, mixed> $task
     * @param array<string, mixed> $change
     */
    private function edit(array $task, array $change): Answer
    {
        return $this->call('PUT', "/api/tasks/{$this->word($task['id'])}", $change + ['version' => $task['version']]);
    }

    /** @return list<mixed> addresses of those who were told so */
    private function told(string $like): array
    {
        return $this->db()->fetchFirstColumn('SELECT to_address FROM message WHERE subject LIKE ? OR says LIKE ? ORDER BY queued_at', [$like, $like]);
    }

    private function undo(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }

    private function word(mixed $value): string
    {
        self::assertIsString($value);

        return $value;
    }
}
