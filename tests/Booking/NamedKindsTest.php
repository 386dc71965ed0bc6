<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A kind of visit or a booking page that others name goes out of use only when whoever does it has been told. */
final class NamedKindsTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAKindOnALivePageAsksBeforeItGoesOffAndBeforeItsAddressChanges(): void
    {
        $page = $this->page('visit');
        $kind = $this->kind($page['types'][0]);
        $edit = ['version' => $kind['version'], 'name' => $kind['name'], 'slug' => $kind['slug'], 'live' => true, 'settings' => $kind['settings']];
        $off = $this->call('PUT', "/api/diary/types/{$kind['id']}", ['live' => false] + $edit)->ok(422)->violations();
        self::assertStringContainsString("the booking page {$page['title']}", $off['live'] ?? '');
        self::assertArrayHasKey('slug', $this->call('PUT', "/api/diary/types/{$kind['id']}", ['slug' => 'elsewhere'] + $edit)->ok(422)->violations());
        self::assertTrue($this->kind($kind['id'])['live']);
        // Anything else is nobody's question.
        $kept = $this->call('PUT', "/api/diary/types/{$kind['id']}", ['name' => 'Another name'] + $edit)->ok();
        self::assertContains('Another name', $kept->column('types', 'name'));
        $edit['version'] = $this->kind($kind['id'])['version'];
        $this->call('PUT', "/api/diary/types/{$kind['id']}", ['live' => false, 'anyway' => true] + $edit)->ok();
        self::assertFalse($this->kind($kind['id'])['live']);
        // What is out of use already is not asked about again.
        $edit['version'] = $this->kind($kind['id'])['version'];
        $this->call('PUT', "/api/diary/types/{$kind['id']}", ['live' => false] + $edit)->ok();
    }

    public function testAKindThatNobodyNamesGoesWithoutAQuestion(): void
    {
        $kind = $this->kind($this->page('visit')['types'][0]);
        $made = $this->post('/api/diary/types', ['name' => 'Only a try', 'live' => true, 'settings' => $kind['settings']])->ok(201);
        $one = array_values(array_filter($made->rows('types'), static fn (array $each): bool => 'Only a try' === $each['name']))[0];
        self::assertIsString($one['id']);
        $this->call(
            'PUT',
            "/api/diary/types/{$one['id']}",
            ['version' => $one['version'], 'name' => $one['name'], 'slug' => 'tried', 'live' => false, 'settings' => $one['settings']],
        )
            ->ok();
    }

    public function testAPageThatAFormEndsInAsksBeforeItGoes(): void
    {
        $page = $this->page('visit');
        self::assertNotSame('0', $this->number("SELECT COUNT(*) FROM form_version WHERE CAST(definition AS TEXT) LIKE '%\"visit%'"), 'a form of the demo ends in this page');
        $off = $this->call('PUT', "/api/diary/pages/{$page['id']}", ['live' => false] + $page)->ok(422)->violations();
        self::assertStringContainsString('It is named in', $off['live'] ?? '');
        self::assertArrayHasKey('slug', $this->call('PUT', "/api/diary/pages/{$page['id']}", ['slug' => 'somewhere'] + $page)->ok(422)->violations());
        $this->call('PUT', "/api/diary/pages/{$page['id']}", ['title' => 'Other words'] + $page)->ok();
        $this->call('PUT', "/api/diary/pages/{$page['id']}", ['live' => false, 'anyway' => true] + $this->page('visit'))->ok();
        self::assertFalse($this->page('visit')['live']);
    }

    /** @return array{id: string, version: int, slug: string, title: string, intro: mixed, form: mixed, types: list<string>, live: bool} */
    private function page(string $slug): array
    {
        $one = $this->one('pages', 'slug', $slug);
        self::assertIsArray($one['types']);

        return [
            'id' => self::text($one, 'id'),
            'version' => self::whole($one),
            'slug' => $slug,
            'title' => self::text($one, 'title'),
            'intro' => $one['intro'],
            'form' => $one['form'],
            'types' => array_values(array_filter($one['types'], \is_string(...))),
            'live' => true === $one['live'],
        ];
    }

    /** @return array{id: string, version: int, slug: string, name: string, live: bool, settings: mixed} */
    private function kind(string $id): array
    {
        $one = $this->one('types', 'id', $id);

        return [
            'id' => $id,
            'version' => self::whole($one),
            'slug' => self::text($one, 'slug'),
            'name' => self::text($one, 'name'),
            'live' => true === $one['live'],
            'settings' => $one['settings'],
        ];
    }

    /** @return array<string, mixed> */
    private function one(string $list, string $by, string $value): array
    {
        foreach ($this->get('/api/diary/types')->ok()->rows($list) as $one) {
            if ($value === $one[$by]) {
                return $one;
            }
        }
        self::fail("no $value in $list");
    }

    /** @param array<string, mixed> $one */
    private static function text(array $one, string $key): string
    {
        self::assertIsString($one[$key]);

        return $one[$key];
    }

    /** @param array<string, mixed> $one */
    private static function whole(array $one): int
    {
        self::assertIsInt($one['version']);

        return $one['version'];
    }
}
