<?php

declare(strict_types=1);

namespace Telamon\Tests\Journal;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** What names a record by a key inside JSON keeps it: undo and putting away ask the same declaration. */
final class HangsTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testATemplateThatAKindOfVisitSendsStaysWhenItsMakingIsUndone(): void
    {
        $made = $this->post(
            '/api/templates',
            [
                'name' => 'A day before',
                'subject' => 'Tomorrow',
                'document' => ['type' => 'doc', 'content' => [['type' => 'paragraph', 'content' => [['type' => 'text', 'text' => 'See you.']]]]],
            ],
        )
            ->ok(201);
        $change = $this->id('SELECT id FROM change_set ORDER BY seq DESC LIMIT 1');
        $tuning = $this->tuning();
        self::assertIsArray($tuning['settings']);
        self::assertIsString($tuning['id']);
        $this->call(
            'PUT',
            "/api/diary/types/{$tuning['id']}",
            [
                'version' => $tuning['version'],
                'name' => 'Tuning',
                'slug' => 'tuning',
                'live' => true,
                'settings' => ['reminders' => [['minutes' => 1440, 'template' => $made->text('key')]]] + $tuning['settings'],
            ],
        )
            ->ok();
        $undone = $this->post("/api/changes/$change/undo")->ok();
        self::assertStringContainsString('needed by the kind of visit Tuning', $undone->body);
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message_template WHERE name = 'A day before'"));
        $refused = $this->call('PUT', '/api/templates/'.$made->text('id'), ['retired' => true]);
        self::assertStringContainsString('Tuning', $refused->body.$this->post('/api/templates/'.$made->text('id').'/retire', ['retired' => true])->body);
        self::assertSame('0', $this->number("SELECT retired FROM message_template WHERE name = 'A day before'"));
    }

    public function testAServiceThatALiveFormOffersStaysAndIsNotPutAwayUnsaid(): void
    {
        $service = $this->id("SELECT id FROM service WHERE code = 'repair'");
        $refused = $this->call('PUT', "/api/setup/services/$service", ['retired' => true])->ok(422);
        self::assertStringContainsString('the form “Piano inquiry”', $refused->violations()['retired']);
        $this->call('PUT', "/api/setup/services/$service", ['retired' => true, 'anyway' => true])->ok();
    }

    public function testNobodyWhoIsNamedIsRemovedFromUnderIt(): void
    {
        $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example', 'role' => 'field'])->ok(201);
        $change = $this->id('SELECT id FROM change_set ORDER BY seq DESC LIMIT 1');
        $una = $this->id("SELECT id FROM staff WHERE email = 'una@marrowby.example'");
        $tuning = $this->tuning();
        self::assertIsArray($tuning['settings']);
        self::assertIsString($tuning['id']);
        $this->call(
            'PUT',
            "/api/diary/types/{$tuning['id']}",
            ['version' => $tuning['version'], 'name' => 'Tuning', 'slug' => 'tuning', 'live' => true, 'settings' => ['people' => [[$una]]] + $tuning['settings']],
        )
            ->ok();
        self::assertStringContainsString('needed by the kind of visit Tuning', $this->post("/api/changes/$change/undo")->ok()->body);
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM staff WHERE id = '$una'"));
    }

    /** @return array<string, mixed> */
    private function tuning(): array
    {
        foreach ($this->get('/api/diary/types')->ok()->rows('types') as $type) {
            if ('tuning' === $type['slug']) {
                return $type;
            }
        }
        self::fail('there is no tuning');
    }
}
