<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use Opis\JsonSchema\Validator;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Checklists that people write, from the form’s answer that chooses one to a project that takes a new version over. */
final class ChecklistsTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAnAnswerChoosesAnAddOnItsTasksStandInOrderAndMoveWithTheirDay(): void
    {
        $stairs = $this->stairs();
        $this->post(
            '/api/rules',
            [
                'name' => 'Steps',
                'why' => '',
                'enabled' => true,
                'forms' => ['piano-inquiry'],
                'if' => ['question' => 'place', 'op' => 'contains', 'value' => 'steps'],
                'then' => [['kind' => 'checklist', 'checklist' => $stairs->text('id')]],
            ],
        )
            ->ok(201);
        $this->post(
            '/api/rules',
            ['name' => 'Away', 'why' => '', 'enabled' => true, 'when' => 'task', 'what' => 'Carry it down', 'then' => [['kind' => 'stage', 'stage' => 'Workshop']]],
        )
            ->ok(201);
        $project = $this->project(['service' => 'tuning', 'place' => '7 Weir Cottages, Marrowby. Three steps up.']);

        $tasks = $this->get("/api/tasks?project=$project")->ok();
        self::assertSame(
            [
                'First talk',
                'Agree a day for the tuning',
                'Measure the steps of Orla Fennick',
                'Carry it down',
                'Send the agreement',
                'Send the preparation form',
                'Tune, and note the pitch',
                'Ask for the deposit',
            ],
            $tasks->column('items', 'name'),
        );
        self::assertSame([[], [1], [1], [3], [1], [5], [2, 6], [5]], $tasks->column('items', 'waitsFor'));
        self::assertSame('Pim Tarrow', $tasks->text('items.3.assignee'));
        self::assertSame(['straps', 'board'], $tasks->column('items.3.steps', 'text'));

        // The day is set, over a closure: what hangs on it moves, what somebody dated or did stays.
        $day = $this->get("/api/projects/$project")->ok();
        $this->call('PUT', "/api/projects/$project", ['version' => $day->number('version'), 'readyBy' => '2027-01-04'])->ok();
        self::assertSame('2027-01-04', $this->due($project, 6));
        self::assertSame('2026-12-29', $this->due($project, 3), 'two working days before: New Year and stocktaking lie between');
        $seen = $this->get("/api/projects/$project/schedule?readyBy=2027-01-11")->ok();
        self::assertContains('Carry it down', $seen->column('moved', 'name'));
        self::assertSame('2026-12-29', $this->due($project, 3), 'a look moves nothing');
        $task = $this->get("/api/tasks?project=$project")->ok();
        $this->call('PUT', '/api/tasks/'.$task->text('items.6.id'), ['version' => $task->number('items.6.version'), 'due' => '5/1/2027'])->ok();
        $this->finish($project, 0);
        $this->call('PUT', "/api/projects/$project", ['version' => $this->get("/api/projects/$project")->number('version'), 'readyBy' => '2027-01-11'])->ok();
        self::assertSame(['2027-01-07', '2027-01-05'], [$this->due($project, 3), $this->due($project, 6)]);
        $this->undo();
        self::assertSame('2026-12-29', $this->due($project, 3));

        $this->finish($project, 2);
        $this->finish($project, 3);
        self::assertSame('Workshop', $this->get("/api/projects/$project")->ok()->text('stage'));
    }

    public function testAppliedAgainItAddsOnlyWhatIsNew(): void
    {
        $stairs = $this->stairs();
        $project = $this->project();
        $before = $this->countRows('task');
        self::assertSame(
            ['Measure the steps of Orla Fennick', 'Carry it down'],
            $this->post("/api/projects/$project/checklists/preview", ['checklist' => $stairs->text('id')])->ok()->column('added', 'name'),
        );
        self::assertSame($before, $this->countRows('task'), 'a look adds nothing');
        $this->post("/api/projects/$project/checklists", ['checklist' => $stairs->text('id')])->ok();
        self::assertSame($before + 2, $this->countRows('task'));
        self::assertSame('Measure the steps of Orla Fennick', $this->get("/api/tasks?project=$project")->ok()->text('items.1.name'), 'after the first talk, where it joins');
        self::assertSame([], $this->post("/api/projects/$project/checklists", ['checklist' => $stairs->text('id')])->ok()->column('added', 'name'));
        self::assertSame($before + 2, $this->countRows('task'));
    }

    public function testANewVersionIsTakenOverByThoseThatAreChosenAndUndone(): void
    {
        $stairs = $this->stairs();
        [$one, $other] = [$this->project(), $this->project(['name' => 'Col Brennock', 'email' => 'col@example.com', 'phone' => '020 914 0000'])];
        foreach ([$one, $other] as $project) {
            $this->post("/api/projects/$project/checklists", ['checklist' => $stairs->text('id')])->ok();
        }
        $this->finish($one, 1);
        $list = $this->draft();
        $list['items'] = [
            ['key' => 'lift', 'name' => 'Ask about a lift', 'doer' => 'coordinator', 'waitsFor' => ['onboarding/first_talk']],
            ['takes' => 4, 'waitsFor' => ['lift']] + $list['items'][1],
        ];
        $tried = $this->post('/api/checklists/try', ['id' => $stairs->text('id'), 'list' => $list, 'start' => '2026-12-01'])->ok();
        self::assertSame(
            [['Ask about a lift'], ['Ask about a lift']],
            array_map(static fn (mixed $added): array => \is_array($added) ? array_column($added, 'name') : [], $tried->column('effects', 'added')),
        );
        $changed = $this->call('PUT', '/api/checklists/'.$stairs->text('id'), ['version' => 1] + $list)->ok();
        self::assertSame([2, 2, 2], [$changed->number('version'), $changed->number('projects'), $changed->number('behind')]);
        $behind = $this->get('/api/checklists/'.$stairs->text('id').'/behind')->ok();
        self::assertSame([['Measure the steps of Col Brennock'], []], $behind->column('items', 'removed'), 'a done task is not touched');
        $this->post('/api/checklists/'.$stairs->text('id').'/take-over', ['projects' => [$one]])->ok();
        self::assertSame(1, $this->list($stairs->text('id'))['behind']);
        $names = fn (string $project): array => \array_slice($this->get("/api/tasks?project=$project")->ok()->column('items', 'name'), 0, 4);
        self::assertContains('Ask about a lift', $names($one));
        self::assertContains('Measure the steps of Orla Fennick', $names($one), 'it was done');
        self::assertNotContains('Ask about a lift', $names($other));
        $this->undo();
        self::assertNotContains('Ask about a lift', $names($one));
        self::assertSame([2, 1], $this->get('/api/checklists/'.$stairs->text('id').'/versions')->ok()->column('items', 'version'));
    }

    public function testWhatDoesNotFitIsRefused(): void
    {
        $stairs = $this->stairs();
        $id = $stairs->text('id');
        $list = $this->draft();
        self::assertSame(409, $this->call('PUT', "/api/checklists/$id", ['version' => 7] + $list)->status);
        $list['items'][0]['waitsFor'] = ['carry'];
        self::assertStringContainsString('“Measure the steps of {{client}}” waits for “Carry it down” waits for', $this->call('PUT', "/api/checklists/$id", ['version' => 1] + $list)->ok(422)->text('violations.0.message'));
        $list['items'][0]['waitsFor'] = ['nowhere/nothing'];
        self::assertSame('items.0.waitsFor', $this->call('PUT', "/api/checklists/$id", ['version' => 1] + $list)->ok(422)->text('violations.0.path'));
        self::assertSame('name', $this->post('/api/checklists', ['name' => 'Steps and stairs'] + $this->draft())->ok(422)->text('violations.0.path'));
        $tuning = $this->id("SELECT id FROM checklist_template WHERE code = 'tuning'");
        self::assertStringContainsString('It comes with Tuning', $this->post("/api/checklists/$tuning/retire", ['retired' => true])->ok(422)->text('violations.0.message'));
        $rule = $this->post('/api/rules', ['name' => 'Stairs too', 'enabled' => true, 'forms' => ['piano-inquiry'], 'if' => ['question' => 'service', 'op' => 'is', 'value' => 'moving'], 'then' => [['kind' => 'checklist', 'checklist' => $stairs->text('key')]]])->ok(201)->text('id');
        self::assertStringContainsString('Stairs too', $this->post("/api/checklists/$id/retire", ['retired' => true])->ok(422)->text('violations.0.message'));
        self::assertLessThan(300, $this->call('DELETE', "/api/rules/$rule")->status);
        $this->post("/api/checklists/$id/retire", ['retired' => true])->ok();
        $project = $this->project();
        self::assertSame(422, $this->post("/api/projects/$project/checklists", ['checklist' => $id])->status);
        $this->signIn('pim@marrowby.example');
        self::assertSame(403, $this->get('/api/checklists')->status);
    }

    public function testWhatGoesOutAsAFileComesInAgain(): void
    {
        $this->stairs();
        $json = $this->get('/api/checklists/export?format=json')->ok()->body;
        $schema = json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/public/checklist.schema.json'), false, 64, \JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate(json_decode($json, false, 64, \JSON_THROW_ON_ERROR), $schema)->isValid());
        $csv = $this->get('/api/checklists/export?format=csv')->ok()->body;
        foreach ([$json, $csv] as $text) {
            $told = $this->post('/api/checklists/import', ['text' => $text, 'dry' => true])->ok();
            self::assertSame([[], [], 7], [$told->at('wrong'), $told->at('added'), \count((array) $told->at('changed'))]);
            $this->post('/api/checklists/import', ['text' => $text, 'dry' => false])->ok();
            self::assertSame($json, $this->get('/api/checklists/export?format=json')->ok()->body, 'nothing is lost on the way');
        }
    }

    public function testAFileWithErrorsIsToldLineByLineAndNothingIsTakenIn(): void
    {
        $csv = "checklist,item,name,doer,takes,waits_for\nVan,key,Find the key,coordinator,1,\nVan,fuel,Fuel it,somebody,1,key\nVan,load,,lead,x,\nOther,wait,Wait,lead,1,van/gone\n";
        $told = $this->post('/api/checklists/import', ['text' => $csv, 'dry' => true])->ok();
        self::assertSame(['Line 4: takes is a whole number.', 'Line 3: Choose who does it: the coordinator, the project’s lead, somebody by name, by turns, or whoever has fewest open tasks.'], $told->at('wrong'));
        self::assertStringContainsString('Nothing was taken in', $this->post('/api/checklists/import', ['text' => $csv, 'dry' => false])->ok(422)->text('violations.0.message'));
        $right = str_replace(['somebody', ',x,', ',,lead', 'van/gone'], ['lead', ',0,', ',Load it,lead', 'van/load'], $csv);
        self::assertSame(['Van', 'Other'], $this->post('/api/checklists/import', ['text' => $right, 'dry' => false])->ok()->at('added'));
        foreach (['{"checklists": [', 'checklist;name', '[1, 2]'] as $text) {
            self::assertNotSame([], $this->post('/api/checklists/import', ['text' => $text, 'dry' => true])->ok()->at('wrong'), $text);
        }
    }

    public function testACircleThatOnlyTheFileClosesIsRefused(): void
    {
        $this->stairs();
        $text = (string) json_encode(['checklists' => [['key' => 'back', 'name' => 'Back', 'items' => [['key' => 'up', 'name' => 'Up again', 'doer' => 'lead', 'waitsFor' => ['stairs/carry']]]], ['waitsFor' => []] + ['key' => 'stairs', 'name' => 'Steps and stairs', 'items' => [['key' => 'carry', 'name' => 'Carry it down', 'doer' => 'lead', 'waitsFor' => ['back/up']]]]]]);
        self::assertStringContainsString('“Carry it down” waits for “Up again” waits for “Carry it down”', $this->post('/api/checklists/import', ['text' => $text, 'dry' => true])->ok()->text('wrong.0'));
    }

    /** @return array{name: string, purpose: string, joinsAfter: string, items: list<array<string, mixed>>} */
    private function draft(): array
    {
        return ['name' => 'Stairs', 'purpose' => 'Nobody carries alone.', 'joinsAfter' => 'onboarding/first_talk', 'items' => [
            ['key' => 'measure', 'name' => 'Measure the steps of {{client}}', 'doer' => 'lead', 'waitsFor' => ['onboarding/first_talk']],
            ['key' => 'carry', 'name' => 'Carry it down', 'doer' => 'named', 'among' => [$this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'")], 'takes' => 1, 'due' => ['from' => 'ready-by', 'amount' => -2, 'unit' => 'days'], 'waitsFor' => ['measure'], 'steps' => ['straps', 'board']],
        ]];
    }

    private function stairs(): Answer
    {
        return $this->post('/api/checklists', ['key' => 'stairs', 'name' => 'Steps and stairs'] + $this->draft())->ok(201);
    }

    /** @param array<string, string> $answers */
    private function project(array $answers = ['service' => 'tuning']): string
    {
        $this->inquire($answers + ['service' => 'tuning'])->ok(201);
        $this->work();
        $submission = $this->lastSubmission();
        $this->accept($submission)->ok();

        return $this->id("SELECT project_id FROM submission WHERE id = '$submission'");
    }

    /** @phpstan-impure */
    private function due(string $project, int $at): string
    {
        return $this->get("/api/tasks?project=$project")->ok()->text("items.$at.due");
    }

    private function finish(string $project, int $at): void
    {
        $tasks = $this->get("/api/tasks?project=$project")->ok();
        $this->post("/api/tasks/{$tasks->text("items.$at.id")}/finish", ['version' => $tasks->number("items.$at.version")])->ok();
    }

    private function undo(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }

    /** @return array<array-key, mixed> */
    private function list(string $id): array
    {
        foreach ($this->get('/api/checklists')->ok()->rows('items') as $one) {
            if ($id === $one['id']) {
                return $one;
            }
        }
        self::fail('it is not there');
    }
}
