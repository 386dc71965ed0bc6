<?php

declare(strict_types=1);

namespace Telamon\Tests\Journal;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Undo and redo write no more than whoever asks may write today, bring no rights back, and ask before the public feels them. */
final class UndoRightsTest extends AppTestCase
{
    use AsksRows;

    public function testNobodyIsMadeOwnerAgainByAnUndo(): void
    {
        $this->signIn('sorcha@marrowby.example');
        $nessa = $this->id("SELECT id FROM staff WHERE email = 'coordinator@marrowby.example'");
        $this->call('PUT', "/api/setup/staff/$nessa", ['role' => 'owner'])->ok();
        $raised = $this->last();
        $this->call('PUT', "/api/setup/staff/$nessa", ['role' => 'coordinator'])->ok();
        $lowered = $this->last();
        $this->signIn();
        foreach ([
            ["/api/changes/$lowered/undo", ['all' => true]],
            ["/api/changes/$raised/undo", ['all' => true]],
            ["/api/changes/$raised/redo", []],
            ["/api/changes/$lowered/redo", []],
        ] as [$path, $body]) {
            $this->post($path, $body);
            self::assertSame('coordinator', $this->role($nessa), $path);
        }
    }

    public function testAnAccountThatEndedStaysEndedAndItsAddressStaysAsItIs(): void
    {
        $this->signIn('sorcha@marrowby.example');
        $pim = $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $this->post("/api/setup/staff/$pim/leaving", ['handTo' => $this->id("SELECT id FROM staff WHERE email = 'sorcha@marrowby.example'")])->ok();
        $undone = $this->post("/api/changes/{$this->last()}/undo", ['all' => true])->ok();
        self::assertStringContainsString('by hand alone', $undone->body);
        self::assertSame('0', $this->number("SELECT active FROM staff WHERE id = '$pim'"));
        self::assertSame(401, $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => 'telamon-demo'])->status);
    }

    public function testAnAccountWhoseMakingWasUndoneIsNotMadeAgain(): void
    {
        $this->signIn('sorcha@marrowby.example');
        $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example', 'role' => 'coordinator'])->ok(201);
        $made = $this->last();
        $this->post("/api/changes/$made/undo")->ok();
        $this->post("/api/changes/$made/redo");
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM staff WHERE email = 'una@marrowby.example'"));
    }

    public function testWhoMayNoLongerWriteItMayNoLongerUndoIt(): void
    {
        $this->signIn();
        $this->call('PUT', '/api/setup/business', ['name' => 'Marrowby Harps'])->ok();
        $renamed = $this->last();
        $this->inquire()->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $accepted = $this->last();
        $this->db()->executeStatement("UPDATE staff SET role = 'field' WHERE email = 'coordinator@marrowby.example'");
        $this->signIn();
        foreach ([$renamed, $accepted] as $change) {
            self::assertSame(403, $this->post("/api/changes/$change/undo")->status);
        }
        self::assertSame('Marrowby Harps', $this->db()->fetchOne('SELECT name FROM business'));
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM client'));
        $this->db()->executeStatement("UPDATE staff SET role = 'coordinator' WHERE email = 'coordinator@marrowby.example'");
        $this->signIn();
        $this->post("/api/changes/$renamed/undo")->ok();
        $this->db()->executeStatement("UPDATE staff SET role = 'field' WHERE email = 'coordinator@marrowby.example'");
        $this->signIn();
        self::assertSame(403, $this->post("/api/changes/$renamed/redo")->status);
        self::assertNotSame('Marrowby Harps', $this->db()->fetchOne('SELECT name FROM business'));
    }

    public function testALiveFormIsNotTakenOfflineUnasked(): void
    {
        $this->signIn();
        $this->publish(
            'Ask us',
            ['pages' => [[
                'title' => 'You',
                'questions' => [['key' => 'email', 'type' => 'email', 'wording' => 'Your mail address', 'needed' => true, 'destination' => 'client.email']],
            ]]],
        );
        $published = $this->last();
        $asked = $this->post("/api/changes/$published/undo", ['ask' => true])->ok(409);
        self::assertSame(['The public feels this', 'It takes “Ask us” offline: nobody can use it until it is live again.'], [$asked->text('title'), $asked->text('detail')]);
        $this->get('/api/public/forms/ask-us')->ok();
        $this->post("/api/changes/$published/undo", ['outside' => true])->ok();
        self::assertSame(404, $this->get('/api/public/forms/ask-us')->status);
        self::assertStringContainsString('online again', $this->post("/api/changes/$published/redo")->ok(409)->text('detail'));
        $this->post("/api/changes/$published/redo", ['outside' => true])->ok();
        $this->get('/api/public/forms/ask-us')->ok();
    }

    public function testABookingPageAndAKindOfVisitAreNotClosedUnasked(): void
    {
        $this->signIn();
        foreach (['types', 'pages'] as $what) {
            $one = $this->get('/api/diary/types')->ok()->rows($what)[0];
            self::assertIsString($one['id']);
            $this->call('PUT', "/api/diary/$what/{$one['id']}", ['live' => false, 'anyway' => true] + $one)->ok();
            $asked = $this->post("/api/changes/{$this->last()}/undo")->ok(409);
            self::assertStringContainsString('online again', $asked->text('detail'));
        }
    }

    public function testAClientWhoStaysKeepsTheirOnlyMailAddress(): void
    {
        $this->signIn();
        $this->inquire()->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $accepted = $this->last();
        $client = $this->id('SELECT id FROM client');
        $version = (int) $this->number('SELECT version FROM client');
        $this->call('PUT', "/api/clients/$client", ['version' => $version, 'address' => '9 Weir Cottages, Marrowby'])->ok();
        $undone = $this->post("/api/changes/$accepted/undo")->ok();
        self::assertSame('orla.fennick@example.com', $this->db()->fetchOne("SELECT value FROM contact_point WHERE client_id = '$client' AND kind = 'email'"));
        self::assertStringContainsString('which stays', $undone->body);
    }

    private function last(): string
    {
        return $this->id('SELECT id FROM change_set ORDER BY seq DESC LIMIT 1');
    }

    private function role(string $staff): mixed
    {
        return $this->db()->fetchOne('SELECT role FROM staff WHERE id = ?', [$staff]);
    }
}
