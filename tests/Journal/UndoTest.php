<?php

declare(strict_types=1);

namespace Telamon\Tests\Journal;

use Telamon\Tests\Support\AppTestCase;

final class UndoTest extends AppTestCase
{
    private const TABLES = ['client', 'contact_point', 'asset', 'project', 'task'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testThePulseIsAnotherOnceAnybodyHasChangedAnything(): void
    {
        $this->signIn();
        $pulse = fn (): string => $this->get('/api/changes/pulse')->ok()->text('newest');
        $before = $pulse();
        self::assertSame($before, $pulse());
        $this->signIn('sorcha@marrowby.example');
        $this->post('/api/clients', ['givenName' => 'Orla', 'familyName' => 'Fennick', 'contactPoints' => []])->ok(201);
        $this->signIn();
        self::assertNotSame($before, $pulse());
        $this->call('DELETE', '/api/session');
        $this->get('/api/changes/pulse')->ok(401);
    }

    public function testEverythingGoesBeforeAnythingIsSent(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->accept($id)->ok();
        $undone = $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame([], $undone->rows('kept'));
        foreach (self::TABLES as $table) {
            self::assertSame(0, $this->countRows($table), $table);
        }
        self::assertSame('waiting', $this->get("/api/submissions/$id")->ok()->text('state'));
        self::assertSame(['cancelled', 'cancelled'], $this->get('/api/messages')->ok()->column('items', 'state'));
        self::assertSame(0, $this->delivered(), 'a cancelled message must not go out');
    }

    public function testWhatWasSentStaysAndIsSaid(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->accept($id)->ok();
        self::assertSame(2, $this->work());
        $undone = $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame(['already sent; it cannot be recalled', 'already sent; it cannot be recalled'], $undone->column('kept', 'why'));
        self::assertSame(0, $this->countRows('project'));
        // The plan knows that it has gone out, and does not offer to send it again.
        self::assertStringContainsString('Already sent', $this->get("/api/submissions/$id")->ok()->body);
        $this->accept($id)->ok();
        self::assertSame(0, $this->work());
        self::assertSame(2, $this->delivered());
    }

    public function testBeforeSomethingThatWasMailedIsTakenBackItIsAsked(): void
    {
        $this->inquire()->ok(201);
        $change = $this->accept($this->lastSubmission())->ok()->text('change.id');
        $this->work();
        $asked = $this->post("/api/changes/$change/undo", ['ask' => true])->ok(409);
        self::assertSame('Sent already', $asked->text('title'));
        self::assertStringContainsString('Orla Fennick', $asked->text('detail'));
        self::assertSame(1, $this->countRows('project'));
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame(0, $this->countRows('project'));
    }

    public function testWhatWasTakenBackIsDoneAgainWithTheSameRecords(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $change = $this->accept($id)->ok()->text('change.id');
        $before = array_map(fn (string $table): array => $this->db()->fetchFirstColumn("SELECT id FROM $table ORDER BY id"), self::TABLES);
        $project = $this->db()->fetchAssociative('SELECT * FROM project');
        $this->post("/api/changes/$change/redo")->ok(409);
        $this->post("/api/changes/$change/undo")->ok();
        $this->post("/api/changes/$change/redo")->ok();
        self::assertSame($before, array_map(fn (string $table): array => $this->db()->fetchFirstColumn("SELECT id FROM $table ORDER BY id"), self::TABLES));
        self::assertSame($project, $this->db()->fetchAssociative('SELECT * FROM project'));
        self::assertSame('accepted', $this->get("/api/submissions/$id")->ok()->text('state'));
        $this->work();
        self::assertSame(2, $this->delivered(), 'what was stopped goes out after all, once');
        // And back once more, as often as anybody likes.
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame(0, $this->countRows('project'));
    }

    public function testAClockThatGoesBackDoesNotLetUndoDeleteWhatAColleagueDidSince(): void
    {
        $this->inquire()->ok(201);
        $change = $this->accept($this->lastSubmission())->ok()->text('change.id');
        $this->clock->modify('-1 hour');
        $task = $this->get('/api/tasks')->ok()->rows('items')[0];
        self::assertIsString($task['id']);
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => $task['version']])->ok();
        self::assertStringContainsString('finished', $this->get('/api/changes/last')->ok()->text('change.words'), 'the last one is the one that was done last');
        self::assertContains('changed since by Nessa Quarle', $this->post("/api/changes/$change/undo")->ok()->column('kept', 'why'));
        self::assertSame(1, $this->countRows('task'));
    }

    public function testWhatSomebodyChangedSinceStays(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->accept($id)->ok();
        $task = $this->get('/api/tasks')->ok()->rows('items')[0];
        self::assertIsString($task['id']);
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => $task['version']])->ok();
        $kept = $this->post("/api/submissions/$id/undo")->ok()->column('kept', 'why');
        self::assertContains('changed since by Nessa Quarle', $kept);
        self::assertContains('needed by 1 First talk', $kept, 'the project stays under its task');
        self::assertSame(1, $this->countRows('task'));
        self::assertSame(1, $this->countRows('project'));
        self::assertSame(1, $this->countRows('client'));
    }

    public function testWhatWasChangedSinceGoesTooWhenAskedFor(): void
    {
        $this->inquire()->ok(201);
        $change = $this->accept($this->lastSubmission())->ok()->text('change.id');
        $task = $this->get('/api/tasks?project='.$this->get('/api/projects')->ok()->text('items.0.id'))->ok();
        $this->post('/api/tasks/'.$task->text('items.0.id').'/finish', ['version' => $task->number('items.0.version')])->ok();
        $this->work();
        $first = $this->post("/api/changes/$change/undo")->ok();
        self::assertContains('changed since by Nessa Quarle', $first->column('kept', 'why'));
        $all = $this->post("/api/changes/$change/undo", ['all' => true])->ok();
        self::assertSame([0, 0, 0], [$this->countRows('task'), $this->countRows('project'), $this->countRows('attachment WHERE project_id IS NOT NULL')]);
        self::assertNotContains('changed since by Nessa Quarle', $all->column('kept', 'why'));
        self::assertSame(3, $this->countRows('message'), 'what was sent stays sent, and stays on file: to the client, to the lead, and that the lead’s task can begin');
        $this->post("/api/changes/$change/undo", ['all' => true])->ok();
    }

    public function testAClientWhoHasComeAgainStays(): void
    {
        $this->inquire()->ok(201);
        $first = $this->lastSubmission();
        $this->accept($first)->ok();
        $this->inquire(['phone' => '020 915 1111'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->post("/api/submissions/$first/undo")->ok();
        self::assertSame(1, $this->countRows('client'));
        self::assertSame(1, $this->countRows('project'));
    }

    public function testAChangedClientGetsBackWhatItHad(): void
    {
        $this->publish('Moved', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'destination' => 'client.email'],
            ['key' => 'home', 'type' => 'address', 'wording' => 'Where do you live?', 'destination' => 'client.address'],
        ]]]]);
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('', $this->db()->fetchOne('SELECT address FROM client'), 'where the piano stands is not where they live');
        $this->call(
            'POST',
            '/api/public/forms/moved/submissions',
            ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com', 'home' => '1 New Street, Marrowby']],
        )
            ->ok(201);
        $second = $this->lastSubmission();
        $this->accept($second)->ok();
        self::assertSame('1 New Street, Marrowby', $this->db()->fetchOne('SELECT address FROM client'));
        $this->post("/api/submissions/$second/undo")->ok();
        self::assertSame('', $this->db()->fetchOne('SELECT address FROM client'));
    }

    public function testTheLastChangeIsOfferedAndGoesOnce(): void
    {
        self::assertNull($this->get('/api/changes/last')->ok()->at('change'));
        $this->inquire()->ok(201);
        $change = $this->accept($this->lastSubmission())->ok()->text('change.id');
        self::assertSame($change, $this->get('/api/changes/last')->ok()->text('change.id'));
        $this->post("/api/changes/$change/undo")->ok();
        $this->post("/api/changes/$change/undo")->ok(409);
        self::assertNull($this->get('/api/changes/last')->ok()->at('change'));
        $this->post('/api/changes/01a21054-d09d-73f3-84e4-dfab4b5f669b/undo')->ok(404);
    }

    public function testNothingDecidedIsNothingToTakeBack(): void
    {
        $this->inquire()->ok(201);
        $this->post('/api/submissions/'.$this->lastSubmission().'/undo')->ok(409);
    }

    public function testTheJournalTellsIt(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->accept($id)->ok();
        $project = $this->get('/api/projects')->ok()->text('items.0.id');
        $entries = $this->get("/api/journal?record=$project")->ok();
        self::assertContains('made project P-0001 Repair', $entries->column('items', 'words'));
        self::assertSame('Nessa Quarle', $entries->text('items.0.by'));
        $this->post("/api/submissions/$id/undo")->ok();
        $undone = array_filter($this->get("/api/journal?record=$project")->ok()->rows('items'), static fn (array $row): bool => true === $row['undone']);
        self::assertContains('made project P-0001 Repair', array_column($undone, 'words'));
        self::assertNotContains('took away project P-0001 Repair', array_column($undone, 'words'));
    }

    private function delivered(): int
    {
        return \count(glob("{$this->data}/mail/*.eml") ?: []);
    }
}
