<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** What is on file about a project, edited by hand. */
final class ProjectEditingTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->id = $this->get('/api/projects')->ok()->text('items.0.id');
    }

    public function testOneFactIsChangedTheOthersStayAndOneUndoTakesItBack(): void
    {
        $before = $this->get("/api/projects/{$this->id}")->ok();
        $this->edit(['title' => 'Keys that stick'])->ok();
        $this->edit(['readyBy' => '2027-06-12', 'budget' => 'about 300'])->ok();
        $project = $this->edit(['tags' => ['school']])->ok();
        self::assertSame(
            ['Keys that stick', '2027-06-12', 'about 300', ['school'], $before->text('notes'), $before->text('leadId')],
            [$project->text('title'), $project->text('readyBy'), $project->text('budget'), $project->at('tags'), $project->text('notes'), $project->text('leadId')],
        );
        self::assertContains('P-0001 Keys that stick', $this->get('/api/search?q=keys+stick')->ok()->column('items', 'label'));
        self::assertNull($this->edit(['readyBy' => ''])->ok()->at('readyBy'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('2027-06-12', $this->get("/api/projects/{$this->id}")->ok()->text('readyBy'));
    }

    public function testAnotherLeadMayMoveItThen(): void
    {
        $this->signIn('teo@marrowby.example');
        $this->edit(['title' => 'Mine'], 1)->ok(403);
        $this->signIn();
        $staff = $this->get('/api/rules')->ok()->rows('offers.staff');
        $teo = array_column(
            array_filter($staff, static fn (array $one): bool => \is_string($one['label']) && str_starts_with($one['label'], 'Teo')),
            'value',
        )[0] ?? self::fail('no Teo');
        self::assertSame($teo, $this->edit(['lead' => $teo])->ok()->text('leadId'));
        $this->signIn('teo@marrowby.example');
        self::assertSame('Mine', $this->edit(['title' => 'Mine'])->ok()->text('title'));
    }

    public function testTwoWhoEditAtOnceDoNotOverwriteEachOther(): void
    {
        $version = $this->get("/api/projects/{$this->id}")->ok()->number('version');
        $this->edit(['notes' => 'First.'], $version)->ok();
        $this->edit(['notes' => 'Second.'], $version)->ok(409);
        self::assertSame('First.', $this->get("/api/projects/{$this->id}")->ok()->text('notes'));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedBesideItsField(array $body, string $path): void
    {
        self::assertSame([$path], array_keys($this->edit($body)->ok(422)->violations()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'no title' => [['title' => ' '], 'title'];
        yield 'a day that is none' => [['readyBy' => '2027-02-30'], 'readyBy'];
        yield 'a lead who is not here' => [['lead' => '00000000-0000-0000-0000-000000000000'], 'lead'];
        yield 'too much' => [['notes' => str_repeat('x', 10_001)], 'notes'];
    }

    /** @param array<string, mixed> $body over the version as it is */
    private function edit(array $body, ?int $version = null): Answer
    {
        return $this->call('PUT', "/api/projects/{$this->id}", $body + ['version' => $version ?? $this->get("/api/projects/{$this->id}")->ok()->number('version')]);
    }
}
