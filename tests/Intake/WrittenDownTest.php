<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Inquiries that staff write down: what is on file is there already, the plan grows, and one undo takes it away. */
final class WrittenDownTest extends AppTestCase
{
    private string $client = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->client = $this->post(
            '/api/clients',
            [
                'givenName' => 'Bryony',
                'familyName' => 'Tesk',
                'address' => '12 Ropewalk, Marrowby',
                'contactPoints' => [['id' => null, 'kind' => 'email', 'value' => 'bryony@tesk.example'], ['id' => null, 'kind' => 'phone', 'value' => '020 915 0148']],
            ],
        )
            ->ok(201)
            ->text('id');
    }

    public function testWhatIsOnFileIsThereAlready(): void
    {
        self::assertContains('piano-inquiry', array_column($this->get('/api/inquiries/forms')->ok()->rows('items'), 'value'));
        $sheet = $this->get("/api/inquiries/forms/piano-inquiry?client={$this->client}")->ok();
        self::assertSame(['Bryony Tesk', 'bryony@tesk.example', '+353 20 915 0148'], [$sheet->text('answers.name'), $sheet->text('answers.email'), $sheet->text('answers.phone')]);
        self::assertSame('Bryony Tesk', $sheet->text('client.label'));
        self::assertSame([], $this->get('/api/inquiries/forms/piano-inquiry')->ok()->at('answers'));
        $this->get('/api/inquiries/forms/nothing')->ok(404);
    }

    public function testThePlanGrowsWithEveryAnswer(): void
    {
        $little = $this->try(['answers' => ['service' => 'repair']])->ok();
        self::assertStringContainsString('Repair', $little->body);
        $more = $this->try(['answers' => ['service' => 'repair', 'name' => 'Ida Spindle']])->ok();
        self::assertStringNotContainsString('Ida', $little->body);
        self::assertStringContainsString('Ida Spindle', $more->body);
        self::assertSame(0, $this->howMany('submission'));
    }

    public function testADayInWordsCountsFromTheDayOnWhichItWasSaid(): void
    {
        foreach (['19 Dec' => '2026-12-19', 'in three weeks' => '2026-12-16', '12/6' => '2027-06-12'] as $words => $day) {
            self::assertStringContainsString(
                (new \DateTimeImmutable($day))->format('j F'),
                $this->try(['answers' => ['name' => 'Ida Spindle', 'service' => 'tuning', 'wanted_by' => $words]])->ok()->body,
                $words,
            );
        }
        $saved = $this->save(['answers' => ['name' => 'Ida Spindle', 'email' => 'ida@spindle.example', 'service' => 'tuning', 'wanted_by' => 'in three weeks']])
            ->ok(201)
            ->text('id');
        // Looked at a week later it is the same day.
        $this->clock->modify('+7 days');
        $this->signIn();
        self::assertStringContainsString('16 December', $this->get("/api/submissions/$saved")->ok()->body);
        $this->accept($saved)->ok();
        self::assertSame('2026-12-16', $this->db()->fetchOne('SELECT ready_by FROM project'));
        $week = $this->save(['answers' => ['name' => 'Wilf Ambry', 'email' => 'wilf@example.org', 'service' => 'tuning', 'wanted_by' => 'next week']])->ok(201)->text('id');
        self::assertArrayHasKey('decisions.ready_by', $this->accept($week)->ok(422)->violations(), 'a span is asked about');
        self::assertSame('wanted_by', $this->inquire(['wanted_by' => 'whenever you like'])->ok(422)->text('violations.0.path'));
        $this->inquire(['wanted_by' => 'in three weeks', 'service' => 'tuning', 'name' => 'Bo Lark', 'email' => 'bo@lark.example', 'phone' => '020 914 7711'])->ok(201);
    }

    public function testItIsFromWhomSheSaysEvenWhereTheNameTellsNothing(): void
    {
        $plan = $this->try(['answers' => ['name' => 'B.', 'service' => 'repair'], 'client' => $this->client])->ok();
        self::assertStringContainsString($this->client, $plan->body);
        self::assertSame(0, $plan->number('open'));
        $saved = $this->save(['answers' => ['name' => 'B.', 'service' => 'repair', 'matter' => 'Keys.'], 'client' => $this->client])->ok(201);
        $this->accept($saved->text('id'))->ok();
        self::assertSame($this->client, $this->db()->fetchOne('SELECT client_id FROM project ORDER BY rowid DESC LIMIT 1'));
        self::assertSame(1, $this->howMany('client'));
    }

    public function testSavedItIsASubmissionWithItsChannelAndItsClockStopped(): void
    {
        $saved = $this->save(['answers' => ['name' => 'Ida Spindle', 'service' => 'tuning'], 'answered' => true])->ok(201);
        $submission = $this->get('/api/submissions/'.$saved->text('id'))->ok();
        self::assertSame(
            ['phone', 'waiting', true, 'Nessa Quarle'],
            [$submission->text('channel'), $submission->text('state'), $submission->at('answered'), $submission->text('answeredBy')],
        );
        self::assertSame($saved->text('number'), $submission->text('number'));
        $rung = $this->save(['answers' => ['name' => 'Wilf Ambry'], 'channel' => 'desk'])->ok(201);
        self::assertFalse($this->get('/api/submissions/'.$rung->text('id'))->at('answered'), 'the promise runs where nobody answered');
        self::assertSame(0, $this->howMany('message'), 'nobody gets a copy of what they said');
    }

    public function testTheSameSavingTwiceIsOne(): void
    {
        $first = $this->save(['answers' => ['name' => 'Ida Spindle']], 'k1')->ok(201);
        $again = $this->save(['answers' => ['name' => 'Ida Spindle']], 'k1')->ok(201);
        self::assertSame($first->text('id'), $again->text('id'));
        self::assertSame(1, $this->howMany('submission'));
        $meant = $this->save(['answers' => ['name' => 'Ida Spindle']], 'k2')->ok(201);
        self::assertNotSame($first->text('id'), $meant->text('id'));
        self::assertSame('waiting', $this->get('/api/submissions/'.$meant->text('id'))->text('state'), 'what a person wrote down is set aside by nobody else');
    }

    public function testOneUndoTakesItAway(): void
    {
        $saved = $this->save(['answers' => ['name' => 'B. Tesk', 'matter' => 'Keys.'], 'client' => $this->client])->ok(201);
        $change = $this->get('/api/changes/last')->ok();
        self::assertStringContainsString('wrote an inquiry down', $change->text('change.words'));
        $this->post('/api/changes/'.$change->text('change.id').'/undo')->ok();
        $this->get('/api/submissions/'.$saved->text('id'))->ok(404);
        self::assertSame([], $this->get('/api/submissions')->ok()->rows('items'));
        $this->work();
        $this->post('/api/changes/'.$change->text('change.id').'/redo')->ok();
        self::assertStringContainsString('Keys.', $this->get('/api/submissions/'.$saved->text('id'))->ok()->body);
    }

    public function testWhatCannotBeIsSaidBesideIt(): void
    {
        self::assertSame('email', $this->save(['answers' => ['name' => 'Ida', 'email' => 'no mail']])->ok(422)->text('violations.0.path'));
        self::assertSame('answers', $this->save(['answers' => []])->ok(422)->text('violations.0.path'));
        self::assertSame('channel', $this->save(['answers' => ['name' => 'Ida'], 'channel' => 'page'])->ok(422)->text('violations.0.path'));
        $this->save(['answers' => ['name' => 'Ida'], 'client' => '01a21054-d09d-73f3-84e4-dfab4b5f669b'])->ok(404);
        self::assertSame(0, $this->howMany('submission'));
    }

    public function testRulesMayAskHowItCame(): void
    {
        $this->post(
            '/api/rules',
            [
                'name' => 'Rang',
                'enabled' => true,
                'if' => ['question' => '@channel', 'op' => 'is', 'value' => 'phone'],
                'then' => [['kind' => 'note', 'text' => 'They rang; no mail needed.']],
            ],
        )
            ->ok(201);
        self::assertStringContainsString('They rang', $this->try(['answers' => ['name' => 'Ida']])->ok()->body);
        self::assertStringNotContainsString('They rang', $this->try(['answers' => ['name' => 'Ida'], 'channel' => 'mail'])->ok()->body);
    }

    public function testFieldStaffWriteNothingDown(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->save(['answers' => ['name' => 'Ida']])->ok(403);
        $this->get('/api/inquiries/forms')->ok(403);
    }

    /** @param array<string, mixed> $body */
    private function try(array $body): Answer
    {
        return $this->post('/api/inquiries/try', $body + ['form' => 'piano-inquiry', 'channel' => 'phone']);
    }

    /** @param array<string, mixed> $body */
    private function save(array $body, ?string $key = null): Answer
    {
        $body['answers'] = (object) (\is_array($body['answers'] ?? null) ? $body['answers'] : []);

        return $this->call('POST', '/api/inquiries', $body + ['form' => 'piano-inquiry', 'channel' => 'phone'], null === $key ? [] : ['HTTP_IDEMPOTENCY_KEY' => $key]);
    }

    private function howMany(string $table): int
    {
        $count = $this->db()->fetchOne("SELECT COUNT(*) FROM $table");

        return is_numeric($count) ? (int) $count : -1;
    }
}
