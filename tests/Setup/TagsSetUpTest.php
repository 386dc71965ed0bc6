<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use Telamon\Tests\Support\AppTestCase;

/** Tags renamed and removed wherever they stand. */
final class TagsSetUpTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $client = $this->post('/api/clients', ['givenName' => 'Ida', 'familyName' => 'Spindle', 'tags' => ['choir', 'singers']])->ok(201)->text('id');
        $this->post('/api/clients', ['givenName' => 'Una', 'familyName' => 'Merrow', 'tags' => ['choir']])->ok(201);
        $project = $this->post('/api/projects', ['client' => $client, 'title' => 'Hall piano', 'checklists' => false])->ok(201);
        $this->call('PUT', '/api/projects/'.$project->text('id'), ['version' => $project->number('version'), 'tags' => ['choir']])->ok();
        $this->post(
            '/api/rules',
            [
                'name' => 'Choirs',
                'why' => '',
                'enabled' => true,
                'forms' => [],
                'if' => ['question' => '@client_tags', 'op' => 'contains', 'value' => 'choir'],
                'then' => [['kind' => 'tag', 'record' => 'client', 'tag' => 'choir']],
                'acceptsByItself' => false,
            ],
        )
            ->ok(201);
    }

    public function testATagIsRenamedOnClientsProjectsAndInRulesAndOneUndoBringsAllBack(): void
    {
        self::assertSame(
            [['tag' => 'choir', 'clients' => 2, 'projects' => 1], ['tag' => 'singers', 'clients' => 1, 'projects' => 0]],
            $this->get('/api/setup')->ok()->rows('tags'),
        );
        $tags = $this->call('PUT', '/api/setup/tags', ['tag' => 'choir', 'to' => 'singers'])->ok()->rows('tags');
        self::assertSame([['tag' => 'singers', 'clients' => 2, 'projects' => 1]], $tags, 'one that is there takes it in, each once');
        self::assertStringNotContainsString('"choir"', $this->rule());
        self::assertSame(2, substr_count($this->rule(), '"singers"'), 'what it asks and what it gives');
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame(
            [['tag' => 'choir', 'clients' => 2, 'projects' => 1], ['tag' => 'singers', 'clients' => 1, 'projects' => 0]],
            $this->get('/api/setup')->ok()->rows('tags'),
        );
        self::assertSame(2, substr_count($this->rule(), '"choir"'));
    }

    public function testATagThatARuleGivesIsNotRemoved(): void
    {
        self::assertStringContainsString('“Choirs”', $this->call('DELETE', '/api/setup/tags?tag=choir')->ok(422)->text('violations.0.message'));
        self::assertSame(['choir'], array_column($this->call('DELETE', '/api/setup/tags?tag=singers')->ok()->rows('tags'), 'tag'));
    }

    public function testATagThatAFollowUpGivesFollowsItsNameAndIsNotRemoved(): void
    {
        $id = $this->post('/api/follow-ups', ['name' => 'Singers stay', 'courses' => ['main' => [['key' => 'a', 'kind' => 'tag', 'what' => 'singers']]]])->ok(201)->text('id');
        $this->call('PUT', '/api/setup/tags', ['tag' => 'singers', 'to' => 'voices'])->ok();
        self::assertSame('voices', $this->get("/api/follow-ups/$id")->ok()->text('courses.main.0.what'));
        self::assertStringContainsString('“Singers stay”', $this->call('DELETE', '/api/setup/tags?tag=voices')->ok(422)->text('violations.0.message'));
    }

    public function testWhatCannotBeIsSaidBesideItsField(): void
    {
        self::assertSame('to', $this->call('PUT', '/api/setup/tags', ['tag' => 'choir', 'to' => ' '])->ok(422)->text('violations.0.path'));
        self::assertSame('tag', $this->call('PUT', '/api/setup/tags', ['tag' => 'nobody has it', 'to' => 'x'])->ok(422)->text('violations.0.path'));
        $this->signIn('pim@marrowby.example');
        $this->call('PUT', '/api/setup/tags', ['tag' => 'choir', 'to' => 'x'])->ok(403);
    }

    public function testReasonsForSettingAsideAreTheirOwn(): void
    {
        $this->call('PUT', '/api/setup/lists', ['asideReasons' => ['Too far away', ' ']])->ok();
        self::assertSame(['Too far away'], $this->get('/api/setup')->ok()->at('asideReasons'));
        self::assertSame(['Too far away'], $this->get('/api/rules')->ok()->at('offers.asideReasons'));
    }

    private function rule(): string
    {
        $definition = $this->db()->fetchOne("SELECT definition FROM handling_rule WHERE name = 'Choirs'");

        return \is_string($definition) ? $definition : self::fail('no rule');
    }
}
