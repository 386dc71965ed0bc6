<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A wish in an inquiry becomes a booked time when its plan is accepted. */
final class HoldNearestTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->publish('Tune it', ['pages' => [['key' => 'a', 'title' => 'A', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
            ['key' => 'place', 'type' => 'short-text', 'wording' => 'Where', 'destination' => 'client.address'],
            ['key' => 'when', 'type' => 'short-text', 'wording' => 'When?', 'destination' => 'appointment.wish'],
        ]]]]);
        $this->post('/api/rules', ['name' => 'Book what was wished for', 'when' => 'received', 'then' => [['kind' => 'hold', 'visit' => 'tuning']], 'enabled' => true, 'why' => ''])
            ->ok(201);
    }

    public function testAcceptingBooksTheNearestTimeAndOneUndoTakesItBack(): void
    {
        $submission = $this->asked('Monday morning');
        $sheet = $this->get("/api/submissions/$submission")->ok();
        self::assertStringContainsString('Book Tuning for ', $sheet->body);
        self::assertStringContainsString('30 November, ', $sheet->body);
        $accepted = $this->accept($submission)->ok();
        $row = $this->db()->fetchAssociative('SELECT * FROM appointment');
        self::assertIsArray($row);
        self::assertSame(['booked', $submission, '2 Mill Race, Marrowby'], [$row['state'], $row['submission_id'], $row['place']]);
        self::assertNotNull($row['project_id']);
        $this->clock->sleep(120);
        $this->work();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'booked'"));
        $this->post('/api/changes/'.$accepted->text('change.id').'/undo')->ok();
        self::assertSame('cancelled', $this->db()->fetchOne('SELECT state FROM appointment'));
    }

    public function testTwoPlansWantOneTimeAndTheSecondIsShownTheNext(): void
    {
        // One person, one start a day: what the first takes, the second cannot have.
        $this->db()
            ->executeStatement(
                "UPDATE visit_type SET settings = json_set(settings, '$.people', json_array(json_array((SELECT id FROM staff WHERE initials = 'TA'))), '$.dayLimit', 1) WHERE slug = 'tuning'",
            );
        $first = $this->asked('Monday morning', 'wilf@example.org');
        $second = $this->asked('Monday morning', 'tamsin@example.org', 'Tamsin Oakhanger');
        $seen = $this->get("/api/submissions/$second")->ok();
        $this->accept($first)->ok();
        $late = $this->post("/api/submissions/$second/accept", ['fingerprint' => $seen->text('plan.fingerprint'), 'decisions' => (object) []]);
        self::assertContains($late->status, [409, 422], $late->body);
        self::assertSame(1, $this->countRows('appointment'), 'nothing of it was carried out');
        $this->accept($second)->ok();
        self::assertSame(2, (int) $this->number("SELECT COUNT(DISTINCT starts_at) FROM appointment WHERE state = 'booked'"));
    }

    public function testAWishThatNobodyCanBeSureOfWaitsForADecision(): void
    {
        $submission = $this->asked('not on Mondays, and after the holidays');
        $sheet = $this->get("/api/submissions/$submission")->ok();
        $open = array_values(array_filter($sheet->rows('plan.lines'), static fn (array $line): bool => \is_array($line['choice'] ?? null) && true === $line['choice']['open']));
        self::assertCount(1, $open, $sheet->body);
        $choice = $open[0]['choice'];
        self::assertIsString($choice['key']);
        $this->post("/api/submissions/$submission/accept", ['fingerprint' => $sheet->text('plan.fingerprint'), 'decisions' => (object) []])->ok(422);
        $this->accept($submission, [$choice['key'] => 'leave'])->ok();
        self::assertSame(0, $this->countRows('appointment'));
    }

    private function asked(string $when, string $email = 'wilf@example.org', string $name = 'Wilf Ambry'): string
    {
        $this->post('/api/public/forms/tune-it/submissions', ['answers' => ['name' => $name, 'email' => $email, 'place' => '2 Mill Race, Marrowby', 'when' => $when]])->ok(201);
        $this->work();

        return $this->lastSubmission();
    }
}
