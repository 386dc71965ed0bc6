<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Projects opened, copied, closed and opened again by hand, and their tasks. */
final class ProjectByHandTest extends AppTestCase
{
    private string $client = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->client = $this->post('/api/clients', ['givenName' => 'Bryony', 'familyName' => 'Tesk'])->ok(201)->text('id');
    }

    public function testAProjectComesWithTheTasksOfItsServiceAndOneUndoTakesAllOfItAway(): void
    {
        $project = $this->open(['service' => 'repair', 'readyBy' => '2027-03-12', 'source' => 'Recommended'])->ok(201);
        self::assertSame(
            ['Repair', 'Sorcha Vell', 'Inquiry', 'open', 'Recommended'],
            [$project->text('title'), $project->text('lead'), $project->text('stage'), $project->text('outcome'), $project->text('source')],
        );
        $tasks = $this->tasks($project);
        self::assertSame(['First talk', 'Look at the piano', 'Write the price', 'Send the agreement'], \array_slice(array_column($tasks, 'name'), 0, 4));
        self::assertSame('Sorcha Vell', $tasks[1]['assignee']);
        $this->undoLast();
        $this->get('/api/projects/'.$project->text('id'))->ok(404);
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM task'));
    }

    public function testTheSameOpeningTwiceIsOne(): void
    {
        $first = $this->open(['title' => 'Looks in'], 'k1')->ok(201);
        $again = $this->open(['title' => 'Looks in'], 'k1')->ok(201);
        self::assertSame($first->text('number'), $again->text('number'));
        self::assertSame('Nessa Quarle', $first->text('lead'), 'what nobody leads stays with the coordinator');
        self::assertSame([], $this->tasks($this->open(['title' => 'Bare', 'checklists' => false])->ok(201)));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsSaidBesideItsField(array $body, string $path): void
    {
        self::assertSame($path, $this->open($body)->ok(422)->text('violations.0.path'));
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM project'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'nothing said' => [[], 'title'];
        yield 'for nobody' => [['client' => '01a21054-d09d-73f3-84e4-dfab4b5f669b', 'title' => 'X'], 'client'];
        yield 'no such service' => [['service' => 'waltz'], 'service'];
        yield 'nobody leads it' => [['title' => 'X', 'lead' => 'me'], 'lead'];
        yield 'no such day' => [['title' => 'X', 'readyBy' => '2027-02-30'], 'readyBy'];
        yield 'somebody else’s piano' => [['title' => 'X', 'asset' => '01a21054-d09d-73f3-84e4-dfab4b5f669b'], 'asset'];
    }

    public function testItIsClosedWithAReasonAndOpenedAgain(): void
    {
        $project = $this->open(['title' => 'Looks in'])->ok(201);
        self::assertSame('reason', $this->turn($project, 'close', ['outcome' => 'lost'])->ok(422)->text('violations.0.path'));
        $closed = $this->turn($project, 'close', ['outcome' => 'lost', 'reason' => 'Too dear'])->ok();
        self::assertSame(
            ['lost', 'Too dear', '2026-11-25', 'Inquiry'],
            [$closed->text('outcome'), $closed->text('closeReason'), $closed->text('closedOn'), $closed->text('stage')],
        );
        self::assertSame(['Looks in'], array_column($this->get('/api/projects?outcome=lost')->ok()->rows('items'), 'title'));
        self::assertSame([], $this->get('/api/projects?outcome=open')->ok()->rows('items'));
        $this->turn($closed, 'close', ['outcome' => 'won'])->ok(409);
        $open = $this->turn($closed, 'reopen')->ok();
        self::assertSame(['open', '', null], [$open->text('outcome'), $open->text('closeReason'), $open->at('closedOn')]);
        $this->undoLast();
        self::assertSame('lost', $this->get('/api/projects/'.$project->text('id'))->text('outcome'));
    }

    public function testAStageThatMeansWonClosesItAndClosingMovesItThere(): void
    {
        $aftercare = array_column(array_filter($this->get('/api/setup')->rows('stages'), static fn (array $one): bool => 'Aftercare' === $one['name']), 'id')[0];
        self::assertIsString($aftercare);
        $this->call('PUT', "/api/setup/stages/$aftercare", ['ends' => 'won'])->ok();
        $project = $this->open(['title' => 'Looks in'])->ok(201);
        $moved = $this->post('/api/projects/'.$project->text('id').'/stage', ['stage' => 'Aftercare', 'version' => $project->number('version')])->ok();
        self::assertSame('won', $moved->text('outcome'));
        $back = $this->turn($moved, 'reopen')->ok();
        self::assertSame(['open', 'Inquiry'], [$back->text('outcome'), $back->text('stage')]);
        $closed = $this->turn($back, 'close', ['outcome' => 'won'])->ok();
        self::assertSame(['won', 'Aftercare'], [$closed->text('outcome'), $closed->text('stage')]);
    }

    public function testACopyIsOpenAndCountedFromToday(): void
    {
        $first = $this->open(['service' => 'tuning', 'notes' => 'Yearly.'])->ok(201);
        $task = $this->tasks($first)[0];
        $this->post('/api/tasks/'.self::id($task).'/finish', ['version' => $task['version']])->ok();
        $this->clock->modify('+14 days');
        $this->signIn();
        $copy = $this->post('/api/projects/'.$first->text('id').'/copy')->ok(201);
        self::assertSame(['Tuning', 'Yearly.', 'open'], [$copy->text('title'), $copy->text('notes'), $copy->text('outcome')]);
        self::assertNotSame($first->text('number'), $copy->text('number'));
        $tasks = $this->tasks($copy);
        self::assertSame(array_column($this->tasks($first), 'name'), array_column($tasks, 'name'));
        self::assertNull($tasks[0]['finishedAt']);
        self::assertSame(['2026-11-26', '2026-12-10'], [$task['due'], $tasks[0]['due']], 'as many days on as lie between the two');
    }

    public function testTasksCountedFromTheDayOfReadinessMoveWithItAndOthersStay(): void
    {
        $project = $this->open(['service' => 'moving', 'readyBy' => '2027-03-12'])->ok(201);
        $due = fn (): array => array_column($this->tasks($project), 'due', 'name');
        $before = $due();
        $moved = $this->call('PUT', '/api/projects/'.$project->text('id'), ['version' => $project->number('version'), 'readyBy' => '2027-03-19'])->ok();
        $after = $due();
        // Three working days before each Friday; 17 March is closed.
        self::assertSame(['2027-03-09', '2027-03-15'], [$before['Reserve the van'], $after['Reserve the van']]);
        self::assertSame($before['First talk'], $after['First talk']);
        $van = array_values(array_filter($this->tasks($project), static fn (array $one): bool => 'Reserve the van' === $one['name']))[0];
        $this->task($van, ['due' => '2027-03-01'])->ok();
        $this->call('PUT', '/api/projects/'.$project->text('id'), ['version' => $moved->number('version'), 'readyBy' => '2027-03-26'])->ok();
        self::assertSame('2027-03-01', $due()['Reserve the van'], 'what somebody put on another day stays there');
        $this->undoLast();
        self::assertSame('2027-03-19', $this->get('/api/projects/'.$project->text('id'))->text('readyBy'));
    }

    public function testTheSameTaskSentTwiceIsOneAndUndoTakesItBack(): void
    {
        $project = $this->open(['title' => 'Looks in', 'checklists' => false])->ok(201);
        $body = ['project' => $project->text('id'), 'name' => 'Ring her'];
        $first = $this->call('POST', '/api/tasks', $body, ['HTTP_IDEMPOTENCY_KEY' => 'k1'])->ok(201)->text('id');
        self::assertSame($first, $this->call('POST', '/api/tasks', $body, ['HTTP_IDEMPOTENCY_KEY' => 'k1'])->ok(201)->text('id'));
        $this->undoLast();
        self::assertSame([], $this->tasks($project));
    }

    public function testAnEditThatChangesNothingIsNothingToUndo(): void
    {
        $project = $this->open(['title' => 'Looks in', 'checklists' => false])->ok(201);
        $task = $this->post('/api/tasks', ['project' => $project->text('id'), 'name' => 'Ring her'])->ok(201);
        $this->call('PUT', '/api/tasks/'.$task->text('id'), ['version' => $task->number('version'), 'name' => 'Ring her'])->ok();
        $this->undoLast();
        self::assertSame([], $this->tasks($project));
    }

    public function testATaskIsAddedEditedMovedAndRemoved(): void
    {
        $project = $this->open(['title' => 'Looks in', 'checklists' => false])->ok(201);
        $add = fn (string $name, array $more = []): Answer => $this->post('/api/tasks', ['project' => $project->text('id'), 'name' => $name] + $more);
        $add('Ring her')->ok(201);
        $add('Look', ['waitsFor' => [1]])->ok(201);
        $price = $add('Write the price', ['waitsFor' => [2], 'due' => '2026-12-01'])->ok(201);
        self::assertSame([3, '2026-12-01', [2], 'Nessa Quarle'], [$price->number('position'), $price->text('due'), $price->at('waitsFor'), $price->text('assignee')]);
        self::assertSame('2026-11-26', $this->tasks($project)[0]['due'], 'the next working day where none is said');
        self::assertSame('waitsFor', $add('Too early', ['waitsFor' => [9]])->ok(422)->text('violations.0.path'));
        $rows = $this->tasks($project);
        self::assertSame('position', $this->task($rows[2], ['position' => 1])->ok(422)->text('violations.0.path'), 'never before what it waits for');
        $this->task($rows[2], ['waitsFor' => []])->ok();
        $this->task($this->tasks($project)[2], ['position' => 1])->ok();
        self::assertSame(
            [['Write the price', []], ['Ring her', []], ['Look', [2]]],
            array_map(static fn (array $one): array => [$one['name'], $one['waitsFor']], $this->tasks($project)),
            'what waits keeps waiting for the same task',
        );
        $this->undoLast();
        self::assertSame(['Ring her', 'Look', 'Write the price'], array_column($this->tasks($project), 'name'));
        $this->task($this->tasks($project)[2], ['waitsFor' => [2]])->ok();
        $look = $this->tasks($project)[1];
        $this->call('DELETE', '/api/tasks/'.self::id($look).'?version='.(\is_int($look['version']) ? $look['version'] : 0))->ok(204);
        self::assertSame([['Ring her', []], ['Write the price', [1]]], array_map(static fn (array $one): array => [$one['name'], $one['waitsFor']], $this->tasks($project)));
        $this->undoLast();
        self::assertSame([[], [1], [2]], array_column($this->tasks($project), 'waitsFor'));
    }

    public function testAFinishedTaskIsOpenedAgain(): void
    {
        $project = $this->open(['title' => 'Looks in'])->ok(201);
        $task = $this->tasks($project)[0];
        $done = $this->post('/api/tasks/'.self::id($task).'/finish', ['version' => $task['version']])->ok();
        $open = $this->call('PUT', '/api/tasks/'.self::id($task), ['version' => $done->number('version'), 'open' => true])->ok();
        self::assertNull($open->at('finishedAt'));
    }

    public function testTwoWhoEditATaskDoNotOverwriteEachOther(): void
    {
        $task = $this->tasks($this->open(['title' => 'Looks in'])->ok(201))[0];
        $this->task($task, ['name' => 'First'])->ok();
        $this->task($task, ['name' => 'Second'])->ok(409);
    }

    public function testFieldStaffChangeTheTasksOfWhatTheyLead(): void
    {
        $project = $this->open(['service' => 'moving'])->ok(201);
        $other = $this->open(['service' => 'repair'])->ok(201);
        $this->signIn('pim@marrowby.example');
        $this->task($this->tasks($project)[0], ['name' => 'Talk first'])->ok();
        $this->post('/api/tasks', ['project' => $other->text('id'), 'name' => 'Mine?'])->ok(403);
        $this->open(['title' => 'Mine'])->ok(403);
    }

    public function testCustomFieldsAndTheClientAreChangedByHand(): void
    {
        $this->post('/api/setup/custom-fields', ['record' => 'project', 'label' => 'Key number', 'kind' => 'number'])->ok(201);
        $this->post('/api/setup/custom-fields', ['record' => 'project', 'label' => 'Loan', 'kind' => 'choice', 'choices' => ['upright', 'none']])->ok(201);
        $project = $this->open(['title' => 'Looks in'])->ok(201);
        self::assertSame(['', ''], self::own($project), 'offered though nothing is filled in');
        $edit = fn (array $body): Answer => $this->call(
            'PUT',
            '/api/projects/'.$project->text('id'),
            ['version' => $this->get('/api/projects/'.$project->text('id'))->number('version')] + $body,
        );
        self::assertSame('custom.key_number', $edit(['custom' => ['key_number' => 'twelve']])->ok(422)->text('violations.0.path'));
        self::assertSame('custom.loan', $edit(['custom' => ['loan' => 'grand']])->ok(422)->text('violations.0.path'));
        self::assertSame('custom.size', $edit(['custom' => ['size' => '1']])->ok(422)->text('violations.0.path'));
        self::assertSame(['12.5', ''], self::own($edit(['custom' => ['key_number' => '12,5']])->ok()));
        self::assertSame(['12.5', 'none'], self::own($edit(['custom' => ['loan' => 'none']])->ok()), 'what is not written stays');
        $ida = $this->post('/api/clients', ['givenName' => 'Ida', 'familyName' => 'Spindle'])->ok(201)->text('id');
        self::assertSame('Ida Spindle', $edit(['client' => $ida])->ok()->text('client.label'));
    }

    /** @param array<string, mixed> $body */
    private function open(array $body, ?string $key = null): Answer
    {
        return $this->call('POST', '/api/projects', $body + ['client' => $this->client], null === $key ? [] : ['HTTP_IDEMPOTENCY_KEY' => $key]);
    }

    /** @param array<string, mixed> $body */
    private function turn(Answer $project, string $how, array $body = []): Answer
    {
        return $this->post('/api/projects/'.$project->text('id')."/$how", $body + ['version' => $this->get('/api/projects/'.$project->text('id'))->number('version')]);
    }

    /**
     * @param array<string, mixed> $task
     * @param array<string, mixed> $body
     */
    private function task(array $task, array $body): Answer
    {
        return $this->call('PUT', '/api/tasks/'.self::id($task), $body + ['version' => $task['version']]);
    }

    /** @return list<array<string, mixed>> */
    private function tasks(Answer $project): array
    {
        return $this->get('/api/tasks?project='.$project->text('id'))->ok()->rows('items');
    }

    /** @param array<string, mixed> $task */
    private static function id(array $task): string
    {
        return \is_string($task['id']) ? $task['id'] : '';
    }

    /** @return list<mixed> what the fields of the business's own hold */
    private static function own(Answer $project): array
    {
        $fields = $project->rows('custom');

        return array_column($fields, 'value');
    }

    private function undoLast(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }
}
