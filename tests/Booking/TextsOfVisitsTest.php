<?php

declare(strict_types=1);

namespace Telamon\Tests\Booking;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Visits are told of by text where their template says so, or where there is no other way. */
final class TextsOfVisitsTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    private function template(string $words, bool $first): void
    {
        $id = $this->id("SELECT id FROM message_template WHERE code = 'booked'");
        $now = $this->get("/api/templates/$id")->ok();
        $this->call(
            'PUT',
            "/api/templates/$id",
            [
                'name' => $now->text('name'),
                'subject' => $now->text('subject'),
                'document' => $now->at('document'),
                'textMessage' => $words,
                'textFirst' => $first,
                'version' => $now->number('version'),
            ],
        )
            ->ok();
    }

    /** @param list<array{kind: string, value: string}> $points */
    private function placed(array $points): void
    {
        $client = $this->post('/api/clients', ['givenName' => 'Wilf', 'familyName' => 'Ambry', 'contactPoints' => $points, 'address' => '2 Mill Race, Marrowby'])
            ->ok(201)
            ->text('id');
        $this->post(
            '/api/appointments',
            [
                'type' => $this->id("SELECT id FROM visit_type WHERE slug = 'tuning'"),
                'client' => $client,
                'staff' => $this->id("SELECT id FROM staff WHERE initials = 'TA'"),
                'startsAt' => '2026-11-30T10:00:00+00:00',
            ],
        )
            ->ok(201);
        $this->clock->sleep(120);
        $this->work();
        $this->work();
    }

    /** @return list<array<string, mixed>> */
    private function told(): array
    {
        return $this->db()->fetchAllAssociative("SELECT channel, to_address AS \"to\", text, state FROM message WHERE template = 'booked'");
    }

    private const BOTH = [['kind' => 'email', 'value' => 'wilf@example.org'], ['kind' => 'phone', 'value' => '020 917 3140']];

    public function testByTextWhereItsTemplateSaysSo(): void
    {
        $this->template('{{visit}}: {{when}}.', true);
        $this->placed(self::BOTH);
        self::assertSame([['channel' => 'text', 'to' => '+353209173140', 'text' => 'Tuning: Monday 30 November, 10:00 to 11:00.', 'state' => 'sent']], $this->told());
        self::assertCount(1, glob("{$this->data}/texts/*") ?: [], 'it reached the gateway');
    }

    public function testByMailWhereItDoesNot(): void
    {
        $this->template('{{visit}}: {{when}}.', false);
        $this->placed(self::BOTH);
        self::assertSame(['mail'], array_column($this->told(), 'channel'));
    }

    public function testByMailWhereThereAreNoWordsOrThereIsNoNumber(): void
    {
        $this->template('', true);
        $this->placed(self::BOTH);
        $this->template('{{visit}}: {{when}}.', true);
        $this->db()->executeStatement("UPDATE appointment SET state = 'cancelled'");
        $this->placed([['kind' => 'email', 'value' => 'other@example.org']]);
        self::assertSame(['mail', 'mail'], array_column($this->told(), 'channel'));
    }

    public function testByTextWhereThereIsNoOtherWay(): void
    {
        $this->template('{{visit}}: {{when}}.', false);
        $this->placed([['kind' => 'phone', 'value' => '020 917 3140']]);
        self::assertSame(['text'], array_column($this->told(), 'channel'));
    }

    public function testASeriesThatHasNoWordsForATextIsToldVisitByVisit(): void
    {
        $this->template('{{visit}}: {{when}}.', false);
        $client = $this->post(
            '/api/clients',
            ['givenName' => 'Wilf', 'familyName' => 'Ambry', 'contactPoints' => [['kind' => 'phone', 'value' => '020 917 3140']], 'address' => '2 Mill Race, Marrowby'],
        )
            ->ok(201)
            ->text('id');
        $this->post('/api/appointments', ['type' => $this->id("SELECT id FROM visit_type WHERE slug = 'tuning'"), 'client' => $client, 'staff' => $this->id("SELECT id FROM staff WHERE initials = 'TA'"), 'startsAt' => '2026-11-30T10:00:00+00:00', 'every' => 'WEEKLY', 'times' => 2])
            ->ok(201);
        self::assertSame(2, $this->countRows('appointment'));
        $this->clock->sleep(120);
        $this->work();
        $this->work();
        self::assertSame(['text', 'text'], array_column($this->told(), 'channel'));
    }

    public function testNotAtAllWhereNothingReachesThem(): void
    {
        $this->template('', false);
        $this->placed([['kind' => 'phone', 'value' => '020 917 3140']]);
        self::assertSame([], $this->told());
    }

    public function testAnEarlierVersionKnowsHowItWent(): void
    {
        $this->template('{{visit}}', true);
        $this->template('{{visit}}', false);
        $id = $this->id("SELECT id FROM message_template WHERE code = 'booked'");
        $now = $this->get("/api/templates/$id")->ok();
        self::assertFalse($now->at('textFirst'));
        self::assertTrue($this->get("/api/templates/$id/versions/".($now->number('version') - 1))->ok()->at('textFirst'));
        self::assertFalse($this->get("/api/templates/$id/versions/1")->ok()->at('textFirst'), 'one of before');
    }
}
