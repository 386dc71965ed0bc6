<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** What belongs to a client: written by hand, taken back by undo; archived and deleted. */
final class PartsTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->id = $this->client('Quarry', 'Hall');
    }

    public function testAContactIsAddedEditedAndRemoved(): void
    {
        $added = $this->edit(['contacts' => [['name' => 'Ida Spindle', 'role' => 'caretaker', 'phone' => '020 915 0148']]])->ok();
        self::assertSame(
            [['Ida Spindle', 'caretaker', '+353 20 915 0148']],
            array_map(static fn (array $one): array => [$one['name'], $one['role'], $one['phone']], $added->rows('contacts')),
        );
        self::assertContains('Ida Spindle', $this->get('/api/search?q=spindle')->ok()->column('items', 'label'));
        $id = $added->text('contacts.0.id');
        self::assertSame('head', $this->edit(['contacts' => [['id' => $id, 'role' => 'head']]])->ok()->text('contacts.0.role'));
        self::assertSame([], $this->edit(['contacts' => [['id' => $id, 'remove' => true]]])->ok()->rows('contacts'));
        $this->undoLast();
        self::assertSame([$id, 'head'], [$this->show()->text('contacts.0.id'), $this->show()->text('contacts.0.role')]);
    }

    public function testALinkStandsOnBothPages(): void
    {
        $ida = $this->client('Ida', 'Spindle');
        $linked = $this->edit(['links' => [['kind' => 'works-at', 'other' => $this->id]]], $ida)->ok();
        self::assertSame('works at', $linked->text('links.0.words'));
        self::assertSame(['where works', 'Ida Spindle'], [$this->show()->text('links.0.words'), $this->show()->text('links.0.client.label')]);
        self::assertSame([], $this->edit(['links' => [['id' => $linked->text('links.0.id'), 'remove' => true]]])->ok()->rows('links'), 'removed from either side');
        $this->undoLast();
        self::assertCount(1, $this->show()->rows('links'));
    }

    public function testAConsentKeepsItsWordingDayAndWay(): void
    {
        $answer = $this->edit(['consents' => [['what' => 'Show photographs', 'wording' => 'May we show photographs of your piano?', 'given' => true, 'way' => 'phone']]])->ok();
        self::assertSame(
            ['May we show photographs of your piano?', true, '2026-11-25', 'phone', 'Nessa Quarle'],
            [
                $answer->text('consents.0.wording'),
                $answer->at('consents.0.given'),
                $answer->text('consents.0.day'),
                $answer->text('consents.0.way'),
                $answer->text('consents.0.by'),
            ],
        );
        $this->undoLast();
        self::assertSame([], $this->show()->rows('consents'));
    }

    public function testWhatTheyHaveIsWrittenDownByHand(): void
    {
        $answer = $this->edit(['assets' => [['description' => 'Halk & Roe square', 'place' => 'stage', 'serialNumber' => '9812']]])->ok();
        $id = $answer->text('assets.0.id');
        $answer = $this->edit(['assets' => [['id' => $id, 'place' => 'foyer']]])->ok();
        self::assertSame(['Halk & Roe square', 'foyer', '9812'], [$answer->text('assets.0.description'), $answer->text('assets.0.place'), $answer->text('assets.0.serialNumber')]);
        self::assertSame([], $this->edit(['assets' => [['id' => $id, 'remove' => true]]])->ok()->rows('assets'));
    }

    public function testLanguageOwnFieldsAndWhatANumberIsFor(): void
    {
        $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Steps', 'kind' => 'number'])->ok(201);
        $answer = $this->edit([
            'language' => 'ga',
            'custom' => ['steps' => '3'],
            'contactPoints' => [['id' => null, 'kind' => 'phone', 'value' => '020 915 0148', 'purpose' => 'texts are fine']],
        ])
            ->ok();
        self::assertSame(['ga', '3', 'texts are fine'], [$answer->text('language'), $answer->text('custom.0.value'), $answer->text('contactPoints.0.purpose')]);
        $point = $answer->text('contactPoints.0.id');
        $answer = $this->edit(['contactPoints' => [['id' => $point, 'kind' => 'phone', 'value' => '020 915 0148', 'purpose' => 'after four']]])->ok();
        self::assertSame('after four', $answer->text('contactPoints.0.purpose'));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsSaidBesideItsField(array $body, string $path): void
    {
        self::assertSame($path, $this->edit($body)->ok(422)->text('violations.0.path'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'a contact without a name' => [['contacts' => [['role' => 'caretaker']]], 'contacts.0.name'];
        yield 'a contact’s mail' => [['contacts' => [['name' => 'Ida', 'email' => 'no']]], 'contacts.0.email'];
        yield 'somebody else’s contact' => [['contacts' => [['id' => '01a21054-d09d-73f3-84e4-dfab4b5f669b', 'name' => 'Ida']]], 'contacts.0'];
        yield 'a link to nobody' => [['links' => [['kind' => 'household', 'other' => '01a21054-d09d-73f3-84e4-dfab4b5f669b']]], 'links.0.other'];
        yield 'a consent without words' => [['consents' => [['what' => 'News', 'given' => true]]], 'consents.0.wording'];
        yield 'a consent that says nothing' => [['consents' => [['what' => 'News', 'wording' => 'May we?']]], 'consents.0.given'];
        yield 'no language' => [['language' => 'tlh-none'], 'language'];
        yield 'a thing without a name' => [['assets' => [['place' => 'stage']]], 'assets.0.description'];
    }

    public function testArchivedTheyAreOutOfTheListAndFoundAndKnownAllTheSame(): void
    {
        $this->post("/api/clients/{$this->id}/archive", ['archived' => true, 'version' => $this->show()->number('version')])->ok();
        self::assertSame([], $this->get('/api/clients')->ok()->rows('items'));
        self::assertSame(['Quarry Hall'], array_column($this->get('/api/clients?state=archived')->ok()->rows('items'), 'name'));
        self::assertContains('Quarry Hall', $this->get('/api/search?q=quarry')->ok()->column('items', 'label'));
        $this->inquire(['name' => 'Somebody'])->ok(201);
        $id = $this->lastSubmission();
        $this->call('PUT', "/api/submissions/$id/decisions", ['version' => 0, 'choices' => ['client' => $this->id]])->ok();
        $this->accept($id)->ok();
        self::assertNull($this->show()->at('archivedOn'), 'whoever writes again is back');
    }

    public function testOnlyWhoeverNothingHangsOnIsDeletedAndUndoBringsAllOfThemBack(): void
    {
        $this->edit([
            'contacts' => [['name' => 'Ida']],
            'assets' => [['description' => 'Square']],
            'contactPoints' => [['id' => null, 'kind' => 'email', 'value' => 'hall@quarry.example']],
        ])
            ->ok();
        $before = $this->show();
        $this->delete()->ok(204);
        $this->get("/api/clients/{$this->id}")->ok(404);
        self::assertSame([], $this->get('/api/search?q=quarry')->ok()->rows('items'));
        $this->undoLast();
        $after = $this->show();
        foreach (['name', 'contacts', 'assets', 'contactPoints'] as $part) {
            self::assertSame($before->at($part), $after->at($part), $part);
        }
        $this->post('/api/projects', ['client' => $this->id, 'title' => 'Looks in'])->ok(201);
        self::assertSame(['1 project'], array_column($this->get("/api/clients/{$this->id}/holds")->ok()->rows('items'), 'what'));
        self::assertStringContainsString('1 project', $this->delete()->ok(409)->text('detail'));
    }

    public function testFieldStaffDoNone(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->call('DELETE', "/api/clients/{$this->id}?version=1")->ok(403);
        $this->post("/api/clients/{$this->id}/archive", ['archived' => true, 'version' => 1])->ok(403);
    }

    /** @param array<string, mixed> $body */
    private function edit(array $body, ?string $id = null): Answer
    {
        $id ??= $this->id;

        return $this->call('PUT', "/api/clients/$id", $body + ['version' => $this->get("/api/clients/$id")->ok()->number('version')]);
    }

    private function delete(): Answer
    {
        return $this->call('DELETE', "/api/clients/{$this->id}?version=".$this->show()->number('version'));
    }

    private function show(): Answer
    {
        return $this->get("/api/clients/{$this->id}")->ok();
    }

    private function client(string $given, string $family): string
    {
        return $this->post('/api/clients', ['givenName' => $given, 'familyName' => $family])->ok(201)->text('id');
    }

    private function undoLast(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }
}
