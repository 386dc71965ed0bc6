<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A project in mid-life: what people removed and set outlives lists that join and versions that are taken over, and what slips takes along what waits for it. */
final class ReplanningTest extends AppTestCase
{
    use AsksRows;

    private string $project = '';
    private string $list = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['service' => 'tuning'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->project = $this->id('SELECT id FROM project');
        $this->list = $this->post('/api/checklists', ['key' => 'stairs'] + $this->stairs())->ok(201)->text('id');
        $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $this->list])->ok();
    }

    public function testWhatSomebodyRemovedStaysAwayAndWhatWaitedForItWaitsForWhatThatDid(): void
    {
        $this->remove('Measure the steps');
        self::assertSame(['First talk'], $this->waits('Carry it down'));
        self::assertSame([], $this->join()->column('added', 'name'), 'it is not brought back by the list');
        $list = $this->stairs();
        $list['items'][] = ['key' => 'sweep', 'name' => 'Sweep up', 'doer' => 'lead', 'waitsFor' => ['measure', 'carry']];
        $this->takeOver($list);
        self::assertNotContains('Measure the steps', $this->names());
        self::assertSame(['First talk', 'Carry it down'], $this->waits('Sweep up'), 'nor by its next version');

        $this->remove('Sweep up');
        $this->undo();
        $this->remove('Carry it down');
        $this->undo();
        $this->takeOver(['items' => [['takes' => 9] + $list['items'][1], ...$list['items']]] + $list, 422);
        $list['items'][1]['takes'] = 3;
        $this->takeOver($list);
        self::assertSame(3, $this->task('Carry it down')['takes'], 'what is there again is brought up again');
    }

    public function testWaitsLengthAndDayThatSomebodySetOutliveAVersion(): void
    {
        $carry = $this->task('Carry it down');
        $talk = $this->number('First talk');
        $this->edit($carry, ['waitsFor' => [$talk], 'takes' => 4, 'due' => '2027-02-01']);
        $list = $this->stairs();
        $list['items'][1] = ['takes' => 1, 'waitsFor' => ['measure', 'onboarding/agreement'], 'steps' => ['gloves']] + $list['items'][1];
        $this->takeOver($list);
        $carry = $this->task('Carry it down');
        self::assertSame([['First talk'], 4, '2027-02-01'], [$this->waits('Carry it down'), $carry['takes'], $carry['due']]);
        self::assertSame(['gloves'], array_column((array) $carry['steps'], 'text'), 'and what nobody set is as the version has it');
    }

    public function testOnlyTheListThatIsAskedForChanges(): void
    {
        $onboarding = $this->id("SELECT id FROM checklist_template WHERE code = 'onboarding'");
        $base = $this->kept($onboarding);
        $items = $base['items'];
        self::assertIsArray($items);
        self::assertIsArray($items[1]);
        $items[] = ['key' => 'cake', 'name' => 'Bake a cake', 'doer' => 'lead'];
        $items[1] = ['name' => 'Send another agreement', 'waitsFor' => []] + $items[1];
        $this->call('PUT', "/api/checklists/$onboarding", ['version' => $base['version'], 'name' => 'Onboarding', 'items' => $items])->ok();
        $before = $this->waits('Send the agreement');
        $list = $this->stairs();
        $list['items'][] = ['key' => 'sweep', 'name' => 'Sweep up', 'doer' => 'lead', 'waitsFor' => ['carry']];
        $this->takeOver($list);
        self::assertContains('Sweep up', $this->names());
        self::assertNotContains('Bake a cake', $this->names());
        self::assertSame(['First talk'], $before);
        self::assertSame($before, $this->waits('Send the agreement'));
    }

    public function testAListThatJoinsLateIsDatedFromTodayAndTheLookShowsWhatItDoes(): void
    {
        $this->clock->modify('2027-01-12 09:00:00');
        $this->signIn();
        $late = $this->post('/api/checklists', ['key' => 'late', 'name' => 'Late', 'joinsAfter' => 'onboarding/first_talk', 'items' => [
            ['key' => 'ask', 'name' => 'Ask again', 'doer' => 'lead', 'takes' => 2, 'due' => ['from' => 'accepted', 'amount' => 1, 'unit' => 'days']],
            ['key' => 'come', 'name' => 'Come back', 'doer' => 'lead', 'takes' => 1, 'waitsFor' => ['ask']],
        ]])->ok(201)->text('id');
        $seen = $this->post("/api/projects/{$this->project}/checklists/preview", ['checklist' => $late])->ok();
        // Tuesday 12 January 2027: two working days are Thursday, one more Friday.
        self::assertSame(['2027-01-14', '2027-01-15'], $seen->column('added', 'due'));
        self::assertContains(
            ['name' => 'Send the agreement', 'was' => $this->number('Send the agreement'), 'number' => $this->number('Send the agreement') + 2, 'waitsFor' => [1]],
            $seen->rows('turned'),
            'every move stands in the look',
        );
        self::assertSame($seen->body, $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $late])->ok()->body);
        self::assertSame([2, 3], [$this->number('Ask again'), $this->number('Come back')]);
        $this->undo();
        self::assertNotContains('Ask again', $this->names());
    }

    public function testWhatWaitsForALongerTaskMovesWithItAsOneChangeAndWhatSomebodySetStays(): void
    {
        $chain = $this->chain();
        [$first, $second, $third] = [$this->task('One'), $this->task('Two'), $this->task('Three')];
        self::assertSame(['2026-11-26', '2026-11-27', '2026-11-30'], [$first['due'], $second['due'], $third['due']]);
        $this->edit($third, ['due' => '2026-12-01']);
        $changes = $this->countRows('change_set');
        $seen = $this->post("/api/tasks/{$this->word($first['id'])}/follows", ['takes' => 4])->ok();
        // From Wednesday 25 November: four days are Tuesday 1 December, one more Wednesday.
        self::assertSame(
            [['One', '2026-11-26', '2026-12-01'], ['Two', '2026-11-27', '2026-12-02']],
            array_map(static fn (array $one): array => [$one['name'], $one['was'], $one['due']], $seen->rows('moved')),
        );
        self::assertSame(
            [['Three', '2026-12-01', '2026-12-03']],
            array_map(static fn (array $one): array => [$one['name'], $one['due'], $one['earliest']], $seen->rows('stays')),
            'set by hand: it stays, and that is said',
        );
        self::assertSame([$changes, '2026-11-27'], [$this->countRows('change_set'), $this->task('Two')['due']], 'a look keeps nothing');

        $this->edit($this->task('One'), ['takes' => 4, 'follow' => true]);
        self::assertSame($changes + 1, $this->countRows('change_set'));
        self::assertSame(['2026-12-01', '2026-12-02', '2026-12-01'], [$this->task('One')['due'], $this->task('Two')['due'], $this->task('Three')['due']]);
        $this->undo();
        self::assertSame(['2026-11-26', '2026-11-27', 1], [$this->task('One')['due'], $this->task('Two')['due'], $this->task('One')['takes']]);
        self::assertNotSame('', $chain);
    }

    public function testALaterDayAndALateFinishTakeAlongWhatWaits(): void
    {
        $this->chain();
        $this->edit($this->task('One'), ['due' => '2026-12-04', 'follow' => true]);
        self::assertSame(['2026-12-04', '2026-12-07', '2026-12-08'], [$this->task('One')['due'], $this->task('Two')['due'], $this->task('Three')['due']]);
        $this->edit($this->task('One'), ['due' => '2026-11-26']);
        self::assertSame('2026-12-07', $this->task('Two')['due'], 'without being asked nothing moves');
        $this->undo();
        $this->clock->modify('2026-12-07 09:00:00');
        $this->signIn();
        $seen = $this->post("/api/tasks/{$this->word($this->task('One')['id'])}/follows", ['done' => true])->ok();
        self::assertSame([['Two', '2026-12-08'], ['Three', '2026-12-09']], array_map(static fn (array $one): array => [$one['name'], $one['due']], $seen->rows('moved')));
        $one = $this->task('One');
        $this->post("/api/tasks/{$this->word($one['id'])}/finish", ['version' => $one['version']])->ok();
        self::assertSame(['2026-12-08', '2026-12-09'], [$this->task('Two')['due'], $this->task('Three')['due']]);
        $this->undo();
        self::assertSame(['2026-12-07', '2026-12-08', null], [$this->task('Two')['due'], $this->task('Three')['due'], $this->task('One')['finishedAt']]);
    }

    public function testAVisitThatMovesTakesAlongWhatIsCountedFromItAndThatIsShownBefore(): void
    {
        $list = $this->post('/api/checklists', ['key' => 'visiting', 'name' => 'Visiting', 'items' => [
            ['key' => 'pack', 'name' => 'Pack the van', 'doer' => 'lead', 'takes' => 1, 'due' => ['from' => 'appointment', 'amount' => 1, 'unit' => 'days']],
            ['key' => 'tell', 'name' => 'Tell the client', 'doer' => 'lead', 'takes' => 1, 'waitsFor' => ['pack']],
        ]])->ok(201)->text('id');
        $staff = $this->id("SELECT id FROM staff WHERE initials = 'TA'");
        $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $list])->ok();
        $visit = $this->post(
            '/api/appointments',
            [
                'title' => 'Look at it',
                'project' => $this->project,
                'staff' => $staff,
                'startsAt' => '2026-12-03T10:00:00+00:00',
                'endsAt' => '2026-12-03T11:00:00+00:00',
                'anyway' => true,
            ],
        )
            ->ok(201);
        self::assertSame('2026-12-04', $this->task('Pack the van')['due']);
        $packed = $this->task('Tell the client')['due'];
        $alone = $this->post(
            '/api/appointments',
            ['title' => 'On its own', 'staff' => $staff, 'startsAt' => '2026-12-04T14:00:00+00:00', 'endsAt' => '2026-12-04T15:00:00+00:00', 'anyway' => true],
        )
            ->ok(201)
            ->text('appointment.id');
        self::assertSame(
            [],
            $this->post('/api/appointments/check', ['id' => $alone] + ['startsAt' => '2026-12-10T10:00:00+00:00', 'endsAt' => '2026-12-10T11:00:00+00:00'])
                ->ok()
                ->rows('follows.moved'),
            'nothing hangs on a visit of no project',
        );
        $changes = $this->countRows('change_set');
        $edit = ['id' => $visit->text('appointment.id'), 'startsAt' => '2026-12-10T10:00:00+00:00', 'endsAt' => '2026-12-10T11:00:00+00:00'];
        $seen = $this->post('/api/appointments/check', $edit)->ok();
        self::assertContains(['Pack the van', '2026-12-04', '2026-12-11'], array_map(static fn (array $one): array => [$one['name'], $one['was'], $one['due']], $seen->rows('follows.moved')));
        self::assertSame([$changes, '2026-12-04'], [$this->countRows('change_set'), $this->task('Pack the van')['due']], 'a look keeps nothing');
        self::assertSame('2026-12-03T10:00:00+00:00', $this->get('/api/appointments/'.$visit->text('appointment.id'))->ok()->text('startsAt'));
        self::assertSame([], $this->post('/api/appointments/check', ['startsAt' => '2026-12-03T10:00:00+00:00', 'endsAt' => '2026-12-03T12:00:00+00:00'] + $edit)->ok()->rows('follows.moved'), 'longer is no other day');

        $this->call('PUT', '/api/appointments/'.$visit->text('appointment.id'), $edit + ['version' => $visit->number('appointment.version'), 'anyway' => true])->ok();
        $after = array_map(fn (array $one): array => [$one['name'], $this->task($this->word($one['name']))['due']], $seen->rows('follows.moved'));
        self::assertSame(array_map(static fn (array $one): array => [$one['name'], $one['due']], $seen->rows('follows.moved')), $after, 'all that was shown has moved');
        self::assertSame($changes + 1, $this->countRows('change_set'));
        $this->undo();
        self::assertSame(['2026-12-04', $packed], [$this->task('Pack the van')['due'], $this->task('Tell the client')['due']]);
    }

    public function testAnEditThatIsRefusedIsRefusedWhenItIsLookedAt(): void
    {
        $task = $this->word($this->task('First talk')['id']);
        $this->post("/api/tasks/$task/follows", ['due' => 'whenever'])->ok(422);
        $this->post('/api/tasks/0195f4f8-0000-7000-8000-000000000001/follows', ['takes' => 1])->ok(404);
        $this->signIn('pim@marrowby.example');
        $this->post("/api/tasks/$task/follows", ['takes' => 3])->ok(403);
    }

    /** Three that wait for each other, without days of their own, on a project without a day to be ready by. */
    private function chain(): string
    {
        $item = static fn (string $key, string $name, string ...$waits): array => ['key' => $key, 'name' => $name, 'doer' => 'lead', 'takes' => 1, 'waitsFor' => array_values($waits)];
        $list = $this->post('/api/checklists', ['key' => 'chain', 'name' => 'Chain', 'items' => [$item('one', 'One'), $item('two', 'Two', 'one'), $item('three', 'Three', 'two')]])->ok(201)->text('id');
        $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $list])->ok();

        return $list;
    }

    /** @return array{name: string, joinsAfter: string, items: list<array<string, mixed>>} */
    private function stairs(): array
    {
        return ['name' => 'Stairs', 'joinsAfter' => 'onboarding/first_talk', 'items' => [
            ['key' => 'measure', 'name' => 'Measure the steps', 'doer' => 'lead', 'waitsFor' => ['onboarding/first_talk']],
            ['key' => 'carry', 'name' => 'Carry it down', 'doer' => 'lead', 'takes' => 1, 'waitsFor' => ['measure'], 'steps' => ['straps']],
        ]];
    }

    /** @param array<string, mixed> $list */
    private function takeOver(array $list, int $status = 200): void
    {
        $version = $this->kept($this->list)['version'];
        $this->call('PUT', "/api/checklists/{$this->list}", ['version' => $version] + $list)->ok($status);
        if (200 === $status) {
            $this->post("/api/checklists/{$this->list}/take-over", ['projects' => [$this->project]])->ok();
        }
    }

    /** @return array<string, mixed> a checklist as it is kept */
    private function kept(string $id): array
    {
        return array_column($this->get('/api/checklists')->ok()->rows('items'), null, 'id')[$id];
    }

    private function join(): Answer
    {
        return $this->post("/api/projects/{$this->project}/checklists", ['checklist' => $this->list])->ok();
    }

    private function remove(string $name): void
    {
        $task = $this->task($name);
        $this->call('DELETE', "/api/tasks/{$this->word($task['id'])}?version={$this->whole($task['version'])}")->ok(204);
    }

    /**
     * @param array<array-key, mixed> $task
     * @param array<string, mixed> $change
     */
    private function edit(array $task, array $change): void
    {
        $this->call('PUT', "/api/tasks/{$this->word($task['id'])}", $change + ['version' => $task['version']])->ok();
    }

    /** @return array<array-key, mixed> */
    private function task(string $name): array
    {
        foreach ($this->rows() as $one) {
            if ($name === $one['name']) {
                return $one;
            }
        }
        self::fail("there is no task $name");
    }

    private function number(string $name): int
    {
        return $this->whole($this->task($name)['position']);
    }

    /** @return list<mixed> names of what it waits for */
    private function waits(string $name): array
    {
        $names = array_column($this->rows(), 'name', 'position');

        return array_values(array_map(static fn (mixed $number): mixed => \is_int($number) ? $names[$number] : null, (array) $this->task($name)['waitsFor']));
    }

    /** @return list<mixed> */
    private function names(): array
    {
        return array_column($this->rows(), 'name');
    }

    /** @return list<array<string, mixed>> */
    private function rows(): array
    {
        return $this->get("/api/tasks?project={$this->project}")->ok()->rows('items');
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

    private function whole(mixed $value): int
    {
        self::assertIsInt($value);

        return $value;
    }
}
