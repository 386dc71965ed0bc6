<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use Telamon\Tests\Support\AppTestCase;

/** People come, change and leave; nothing of theirs is left behind. */
final class StaffSetUpTest extends AppTestCase
{
    public function testSomebodyIsAddedAndSignsInWithThePasswordThatIsShownOnce(): void
    {
        $this->signIn();
        $added = $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'Una@Marrowby.example', 'role' => 'field'])->ok(201);
        [$email, $password] = [$added->text('email'), $added->text('password')];
        self::assertGreaterThanOrEqual(20, \strlen($password));
        self::assertStringNotContainsString($password, $this->get('/api/setup')->body);
        $journal = $this->db()->fetchFirstColumn("SELECT after FROM journal_entry WHERE record_label = 'Una Merrow'");
        self::assertCount(1, $journal);
        self::assertStringNotContainsStringIgnoringCase('hash', \is_string($journal[0]) ? $journal[0] : '', 'the journal holds no password');
        $session = $this->post('/api/session', ['email' => $email, 'password' => $password])->ok();
        self::assertSame(['UM', 'field', ['work']], [$session->text('user.initials'), $session->text('user.role'), $session->at('user.may')]);
        self::assertSame(403, $this->get('/api/setup')->status);
    }

    public function testAnUndoneAdditionIsGoneAndOneWhoHasWorkedStays(): void
    {
        $this->signIn();
        $added = $this->post('/api/setup/staff', ['name' => 'Una Merrow', 'email' => 'una@marrowby.example', 'role' => 'coordinator'])->ok(201);
        $this->undoLast();
        self::assertSame(401, $this->post('/api/session', ['email' => 'una@marrowby.example', 'password' => $added->text('password')])->status);
    }

    public function testANewPasswordEndsWhereTheyAreSignedIn(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->get('/api/session')->ok();
        $cookies = $this->browser->getCookieJar()->all();
        $this->browser->getCookieJar()->clear();
        $this->signIn();
        $given = $this->post('/api/setup/staff/'.$this->staffId('PT').'/password')->ok();
        $this->browser->getCookieJar()->clear();
        foreach ($cookies as $cookie) {
            $this->browser->getCookieJar()->set($cookie);
        }
        self::assertSame(401, $this->get('/api/session')->status);
        $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => $given->text('password')])->ok();
    }

    public function testWhoeverLeavesHandsEverythingOverAndCannotSignIn(): void
    {
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        [$sorcha, $pim, $nessa] = [$this->staffId('SV'), $this->staffId('PT'), $this->staffId('NQ')];
        $lead = $this->db()->fetchOne('SELECT lead_id FROM project ORDER BY rowid DESC LIMIT 1');
        self::assertSame($sorcha, $lead);
        $refused = $this->post("/api/setup/staff/$sorcha/leaving", ['handTo' => $nessa]);
        self::assertSame(403, $refused->status, 'an owner leaves by an owner’s word');
        $before = $this->holds($pim);
        $this->signIn('sorcha@marrowby.example');
        self::assertSame(422, $this->post("/api/setup/staff/$sorcha/leaving", ['handTo' => $nessa])->status, 'nobody shows themselves out');
        self::assertSame(422, $this->post("/api/setup/staff/$pim/leaving", ['handTo' => $pim])->status);
        $this->post("/api/setup/staff/$pim/leaving", ['handTo' => $sorcha])->ok();
        self::assertSame([], $this->holds($pim));
        self::assertSame(401, $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => 'telamon-demo'])->status);
        $this->undoLast();
        self::assertSame($before, $this->holds($pim), 'their work is theirs again');
        self::assertSame(401, $this->post('/api/session', ['email' => 'pim@marrowby.example', 'password' => 'telamon-demo'])->status, 'who may sign in is said by hand alone');
    }

    public function testOpenWorkGoesToWhoeverTakesOver(): void
    {
        $this->signIn('sorcha@marrowby.example');
        $this->inquire(['service' => 'moving'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        [$pim, $teo] = [$this->staffId('PT'), $this->staffId('TA')];
        self::assertContains('1 open project', array_column($this->holds($pim), 'what'));
        $this->post("/api/setup/staff/$pim/leaving", ['handTo' => $teo])->ok();
        self::assertSame($teo, $this->db()->fetchOne('SELECT lead_id FROM project ORDER BY rowid DESC LIMIT 1'));
        self::assertSame([], $this->db()->fetchFirstColumn('SELECT id FROM task WHERE assignee_id = ? AND finished_at IS NULL', [$pim]));
        self::assertContains(
            'Teo Ashbrand',
            array_column(array_filter($this->get('/api/setup')->rows('services'), static fn (array $one): bool => 'moving' === $one['key']), 'lead'),
        );
        self::assertNotContains('Pim Tarrow', array_column($this->get('/api/rules')->ok()->rows('offers.staff'), 'label'), 'who has left is not offered');
        $this->call('PUT', "/api/setup/staff/$pim", ['active' => true])->ok();
        self::assertContains('Pim Tarrow', array_column($this->get('/api/rules')->ok()->rows('offers.staff'), 'label'));
    }

    public function testThereIsAlwaysAnOwner(): void
    {
        $this->signIn('sorcha@marrowby.example');
        $refused = $this->call('PUT', '/api/setup/staff/'.$this->staffId('SV'), ['role' => 'coordinator']);
        self::assertSame([422, 'role'], [$refused->status, $refused->text('violations.0.path')]);
        $this->call('PUT', '/api/setup/staff/'.$this->staffId('NQ'), ['role' => 'owner'])->ok();
        $this->call('PUT', '/api/setup/staff/'.$this->staffId('SV'), ['role' => 'coordinator'])->ok();
        $this->signIn('sorcha@marrowby.example');
        self::assertSame(
            403,
            $this->call('PUT', '/api/setup/staff/'.$this->staffId('NQ'), ['email' => 'mine@marrowby.example'])->status,
            'a coordinator does not change how an owner signs in',
        );
        self::assertSame(403, $this->post('/api/setup/staff/'.$this->staffId('NQ').'/password')->status);
    }

    /** @return list<array<string, mixed>> */
    private function holds(string $id): array
    {
        foreach ($this->get('/api/setup')->ok()->rows('staff') as $one) {
            if ($one['id'] === $id) {
                /** @var list<array<string, mixed>> $holds */
                $holds = $one['holds'];

                return $holds;
            }
        }
        self::fail('nobody has this id');
    }

    private function undoLast(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }

    private function staffId(string $initials): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM staff WHERE initials = ?', [$initials]);

        return \is_string($id) ? $id : '';
    }
}
