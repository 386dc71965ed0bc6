<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use Telamon\Tests\Support\AppTestCase;

/** The lists and pages of clients, projects, tasks and the day. */
final class RecordsTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testClientsAreFoundByNameAddressAndNumber(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        $this->make('Óisín Ambry', 'ambry@example.org', '020 915 0001');
        self::assertSame(['Óisín Ambry', 'Orla Fennick'], $this->get('/api/clients')->ok()->column('items', 'name'), 'by family name');
        foreach (['fennick orla', 'ORLA', '3327', 'orla@example.com', 'fenn'] as $q) {
            self::assertSame(['Orla Fennick'], $this->get('/api/clients?q='.rawurlencode($q))->ok()->column('items', 'name'), $q);
        }
        self::assertSame(['Óisín Ambry'], $this->get('/api/clients?q='.rawurlencode('ÓIS'))->ok()->column('items', 'name'));
        foreach (['100%', '_', '%', 'nobody', '\\'] as $q) {
            self::assertSame([], $this->get('/api/clients?q='.rawurlencode($q))->ok()->rows('items'), $q);
        }
        $this->db()->executeStatement("UPDATE client SET address = '7 Weir Cottages, Marrowby' WHERE given_name = 'Orla'");
        $row = $this->get('/api/clients?q=orla')->ok()->rows('items')[0];
        self::assertSame(['Marrowby', '+353 20 914 3327', 1], [$row['locality'], $row['phone'], $row['projects']]);
    }

    public function testClientsPage(): void
    {
        $this->db()->transactional(function (): void {
            for ($i = 0; $i < 120; ++$i) {
                $this->db()
                    ->insert(
                        'client',
                        [
                            'id' => \sprintf('01a21054-d09d-73f3-84e4-%012d', $i),
                            'version' => 1,
                            'sort_name' => \sprintf('name %03d', intdiv($i, 2)),
                            'given_name' => 'N',
                            'family_name' => (string) $i,
                            'address' => '',
                            'since' => '2026-01-01',
                        ],
                    );
            }
        });
        $seen = [];
        $cursor = '';
        do {
            $page = $this->get("/api/clients?cursor=$cursor")->ok();
            self::assertSame(120, $page->number('total'));
            array_push($seen, ...$page->column('items', 'id'));
            $cursor = $page->at('next');
        } while (\is_string($cursor));
        self::assertCount(120, $seen);
        self::assertCount(120, array_count_values(array_filter($seen, \is_string(...))));
    }

    public function testProjectsAreFilteredAndFound(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        self::assertSame(['P-0001'], $this->get('/api/projects?q=fennick')->ok()->column('items', 'number'));
        self::assertSame(['P-0001'], $this->get('/api/projects?q=p-0001&stage=Inquiry')->ok()->column('items', 'number'));
        self::assertSame([], $this->get('/api/projects?stage=Workshop')->ok()->rows('items'));
        self::assertSame(1, $this->get('/api/projects')->ok()->rows('stages')[0]['projects']);
        $this->get('/api/projects?stage=Nowhere')->ok(422);
    }

    public function testATaskIsFinishedOnceAndFreesWhatWaited(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        $project = $this->get('/api/projects')->ok()->text('items.0.id');
        $task = $this->get("/api/tasks?project=$project")->ok()->rows('items')[0];
        self::assertIsString($task['id']);
        $this->post("/api/tasks/{$task['id']}/finish", [])->ok(422);
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => 99])->ok(409);
        $done = $this->post("/api/tasks/{$task['id']}/finish", ['version' => $task['version']])->ok();
        self::assertSame('done', $done->text('state'));
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => $done->number('version')])->ok(409);
        self::assertSame(['done', 'to-do', 'waiting', 'to-do', 'waiting', 'waiting', 'waiting'], $this->get("/api/tasks?project=$project")->ok()->column('items', 'state'));
        $change = $this->get('/api/changes/last')->ok()->text('change.id');
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame('to-do', $this->get("/api/tasks?project=$project")->ok()->text('items.0.state'));
    }

    public function testFieldStaffFinishTheirOwnTasksOnly(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        $task = $this->get('/api/tasks')->ok()->rows('items')[0];
        self::assertIsString($task['id']);
        $this->signIn('pim@marrowby.example');
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => $task['version']])->ok(403);
    }

    public function testFieldStaffTakeBackTheirOwnChangesOnly(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        $hers = $this->get('/api/changes/last')->ok()->text('change.id');
        $this->db()->executeStatement("UPDATE task SET assignee_id = (SELECT id FROM staff WHERE initials = 'PT') WHERE position = 1");
        $this->signIn('pim@marrowby.example');
        $task = $this->get('/api/tasks')->ok()->rows('items')[0];
        self::assertIsString($task['id']);
        $this->post("/api/tasks/{$task['id']}/finish", ['version' => $task['version']])->ok();
        $this->post("/api/changes/$hers/undo")->ok(403);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('to-do', $this->get('/api/tasks?project='.$this->get('/api/projects')->ok()->text('items.0.id'))->ok()->text('items.0.state'));
    }

    public function testOpenTasksStandByTheirDay(): void
    {
        $this->make('Orla Fennick', 'orla@example.com', '020 914 3327');
        $this->clock->modify('+3 days');
        $tasks = $this->get('/api/tasks')->ok();
        $due = $tasks->column('items', 'due');
        $sorted = $due;
        sort($sorted);
        self::assertSame($sorted, $due);
        self::assertTrue($tasks->at('items.0.late'));
    }

    public function testTheDayTellsWhatCame(): void
    {
        $this->inquire()->ok(201);
        $this->clock->modify('-1 day');
        $this->inquire()->ok(201);
        $this->clock->modify('+1 day');
        $day = $this->get('/api/day')->ok();
        self::assertSame('2026-11-25', $day->text('day'));
        self::assertSame(2, $day->number('toAnswer'));
        self::assertCount(1, $day->rows('arrivals'));
        self::assertFalse($day->at('arrivals.0.answered'));
    }

    public function testWhatIsNotThereIsNotFound(): void
    {
        foreach (['clients', 'projects', 'messages', 'submissions', 'files'] as $kind) {
            $this->get("/api/$kind/01a21054-d09d-73f3-84e4-dfab4b5f669b")->ok(404);
            $this->get("/api/$kind/not-an-id")->ok(404);
        }
        $this->post('/api/tasks/01a21054-d09d-73f3-84e4-dfab4b5f669b/finish', ['version' => 1])->ok(404);
    }

    public function testTheJournalPages(): void
    {
        for ($i = 0; $i < 5; ++$i) {
            $this->make("Client $i Name", "c$i@example.com", '020 914 332'.$i);
        }
        $first = $this->get('/api/journal')->ok();
        self::assertCount(40, $first->rows('items'));
        $second = $this->get('/api/journal?cursor='.$first->text('next'))->ok();
        foreach ($second->column('items', 'id') as $id) {
            self::assertNotContains($id, $first->column('items', 'id'));
        }
    }

    private function make(string $name, string $email, string $phone): void
    {
        $this->inquire(['name' => $name, 'email' => $email, 'phone' => $phone])->ok(201);
        $this->accept($this->lastSubmission())->ok();
    }
}
