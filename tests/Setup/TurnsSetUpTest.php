<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use Telamon\Tests\Support\AppTestCase;

/** A service that goes by turns, with hours and absences of staff, and a promise of its own. */
final class TurnsSetUpTest extends AppTestCase
{
    private string $service = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->service = $this->id("SELECT id FROM service WHERE code = 'repair'");
    }

    public function testAServiceGoesByTurnsAndAnUndoneProjectGivesItsTurnBack(): void
    {
        [$sorcha, $teo] = [$this->staff('SV'), $this->staff('TA')];
        self::assertSame('among', $this->change(['led' => 'turns', 'among' => [$sorcha]], 422)->text('violations.0.path'), 'turns need two');
        $this->change(['led' => 'turns', 'among' => [$teo, $sorcha]]);
        self::assertStringContainsString('Teo Ashbrand, Sorcha Vell', $this->get("/api/journal?record={$this->service}")->ok()->body, 'told by names, not by ids');
        self::assertSame(['Teo Ashbrand', 'Sorcha Vell', 'Teo Ashbrand'], [$this->accepted(), $this->accepted(), $this->accepted()]);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok()->body;
        self::assertStringContainsString('Repair goes by turns, and it is Teo', $plan);
        // Whoever is away gets no turn.
        $today = $this->clock->now()->format('Y-m-d');
        $this->post("/api/setup/staff/$teo/absences", ['first' => $today, 'last' => $today, 'note' => 'Course'])->ok(201);
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok()->body;
        self::assertStringContainsString('it is Sorcha', $plan);
        self::assertStringContainsString('Teo Ashbrand is away', $plan);
    }

    public function testAServiceGoesToWhoeverLeadsFewest(): void
    {
        [$sorcha, $pim] = [$this->staff('SV'), $this->staff('PT')];
        $this->change(['led' => 'fewest', 'among' => [$sorcha, $pim]]);
        self::assertSame(['Sorcha Vell', 'Pim Tarrow'], [$this->accepted(), $this->accepted()]);
        $this->signIn('sorcha@marrowby.example');
        $this->post("/api/setup/staff/$pim/leaving", ['handTo' => $this->staff('TA')])->ok();
        self::assertContains($this->staff('TA'), $this->among('repair'), 'whoever takes over takes the turns too');
    }

    public function testWhatClientsAreToldOfAServiceStandsInTheirMail(): void
    {
        $this->change(['words' => 'Photographs of the pedals help us.']);
        $text = $this->id("SELECT id FROM message_template WHERE code = 'confirmation'");
        $field = static fn (string $name): array => ['type' => 'paragraph', 'content' => [['type' => 'field', 'attrs' => ['field' => $name, 'or' => '']]]];
        $this->call(
            'PUT',
            "/api/templates/$text",
            ['name' => 'We have your inquiry', 'subject' => 'Hello', 'document' => ['type' => 'doc', 'content' => [$field('first_name'), $field('service_words')]], 'version' => 1],
        )
            ->ok();
        $this->inquire()->ok(201);
        $mails = $this->get('/api/submissions/'.$this->lastSubmission().'/mails')->ok()->rows('items');
        self::assertStringContainsString('Photographs of the pedals help us.', (string) json_encode($mails[0]['text']));
    }

    public function testAServiceMayPromiseAnAnswerOfItsOwn(): void
    {
        $this->inquire()->ok(201);
        $usual = $this->due();
        $this->change(['promise' => '1']);
        $this->inquire()->ok(201);
        self::assertLessThan($usual, $this->due());
        self::assertSame(60, $this->get('/api/submissions/'.$this->lastSubmission())->ok()->number('clock.promiseMinutes'), 'the clock counts down from what was promised');
        self::assertSame('promise', $this->change(['promise' => '0'], 422)->text('violations.0.path'));
        $this->change(['promise' => '']);
        $this->inquire()->ok(201);
        self::assertSame($usual, $this->due());
    }

    public function testStaffHaveHoursOfTheirOwnAndAbsencesThatAreUndone(): void
    {
        $teo = $this->staff('TA');
        $hours = [['day' => 1, 'spans' => [['from' => '10:00', 'to' => '18:00']]]];
        self::assertSame('Mon, 10 to 6', $this->person($this->call('PUT', "/api/setup/staff/$teo", ['hours' => $hours])->ok()->rows('staff'), 'hoursText'));
        self::assertContains('Mon, 10 to 6', array_column($this->get("/api/journal?record=$teo")->ok()->rows('items.0.changes'), 'to'));
        $this->call('PUT', "/api/setup/staff/$teo", ['hours' => [['day' => 1, 'spans' => [['from' => '18:00', 'to' => '10:00']]]]])->ok(422);
        self::assertSame('', $this->person($this->call('PUT', "/api/setup/staff/$teo", ['hours' => []])->ok()->rows('staff'), 'hoursText'));
        self::assertSame('last', $this->post("/api/setup/staff/$teo/absences", ['first' => '2027-03-05', 'last' => '2027-03-01'])->ok(422)->text('violations.0.path'));
        self::assertSame('first', $this->post("/api/setup/staff/$teo/absences", ['first' => ''])->ok(422)->text('violations.0.path'));
        $this->post("/api/setup/staff/$teo/absences", ['first' => '2027-03-01', 'last' => '2027-03-05'])->ok(201);
        $absence = $this->id('SELECT id FROM absence');
        $this->call('DELETE', "/api/setup/staff/{$this->staff('SV')}/absences/$absence")->ok(404);
        $this->call('DELETE', "/api/setup/staff/$teo/absences/$absence")->ok();
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('2027-03-01', $this->db()->fetchOne('SELECT first FROM absence'));
    }

    /** @param array<string, mixed> $edit */
    private function change(array $edit, int $status = 200): \Telamon\Tests\Support\Answer
    {
        return $this->call('PUT', "/api/setup/services/{$this->service}", $edit)->ok($status);
    }

    private function accepted(): string
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->clock->modify('+1 minute');

        return $this->get('/api/projects')->ok()->text('items.0.lead');
    }

    private function due(): string
    {
        return $this->id('SELECT due_at FROM submission ORDER BY rowid DESC LIMIT 1');
    }

    private function staff(string $initials): string
    {
        return $this->id("SELECT id FROM staff WHERE initials = '$initials'");
    }

    private function id(string $sql): string
    {
        $id = $this->db()->fetchOne($sql);

        return \is_string($id) ? $id : self::fail($sql);
    }

    /** @param list<array<string, mixed>> $staff */
    private function person(array $staff, string $field): mixed
    {
        return array_column($staff, $field, 'initials')['TA'] ?? null;
    }

    /** @return array<mixed> */
    private function among(string $key): array
    {
        $among = array_column($this->get('/api/setup')->ok()->rows('services'), 'among', 'key')[$key] ?? null;

        return \is_array($among) ? $among : self::fail($key);
    }
}
