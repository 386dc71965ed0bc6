<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** A plan moved by hand before it is accepted: what was answered put right, the day set, a household refused, mails read. */
final class PlanMovedTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAChoiceIsPutRightAndWhoLeadsFollows(): void
    {
        $this->come();
        $service = $this->howRight('service');
        self::assertSame('repair', $service['given'] ?? '');
        self::assertContains('tuning', array_column(\is_array($service['offers'] ?? null) ? $service['offers'] : [], 'value'));
        $plan = $this->decide(['answers' => ['service' => 'tuning']])->ok();
        self::assertStringContainsString('Tunings go to Teo', $plan->body);
        $this->accept($this->id)->ok();
        self::assertSame(['Tuning', 'Teo Ashbrand', 'tuning'], [$this->project('title'), $this->project('lead'), $this->project('service')]);
    }

    public function testTheReadyByDayIsSetByHandAndUndone(): void
    {
        $this->come();
        $this->decide(['edits' => ['project' => ['readyBy' => '2027-06-12']]])->ok();
        $this->accept($this->id)->ok();
        self::assertSame('2027-06-12', $this->project('readyBy'));
    }

    public function testTheAnsweredDayIsLeftOut(): void
    {
        $this->come(['wanted_by' => '2027-06-12']);
        self::assertTrue($this->line('ready_by')['canDrop'] ?? false);
        $this->decide(['dropped' => ['ready_by']])->ok();
        self::assertTrue($this->line('ready_by')['dropped'] ?? false);
        $this->accept($this->id)->ok();
        self::assertNull($this->project('readyBy'));
    }

    public function testAHouseholdIsRefusedAndNobodyIsLinked(): void
    {
        $this->inquire(['name' => 'Wilf Fennick'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->come();
        self::assertSame('client.link', $this->line('client.link')['key'] ?? '', 'a household is known');
        $this->decide(['choices' => ['client' => 'unrelated']])->ok();
        self::assertSame([], $this->line('client.link'));
        $this->accept($this->id)->ok();
        self::assertSame(0, $this->countRows('client_link'));
        $this->come();
        self::assertStringNotContainsString('Wilf', (string) json_encode($this->line('client')), 'told apart, he is not asked about again');
    }

    public function testAMailIsReadWordForWordBeforeItIsSent(): void
    {
        $this->come();
        $before = $this->countRows('message') + $this->countRows('client') + $this->countRows('project');
        $mails = $this->get("/api/submissions/{$this->id}/mails")->ok()->rows('items');
        self::assertSame(['message.confirmation', 'message.notice'], array_column($mails, 'line'));
        self::assertSame($before, $this->countRows('message') + $this->countRows('client') + $this->countRows('project'), 'nothing stays of it');
        $this->accept($this->id)->ok();
        $sent = $this->db()->fetchFirstColumn('SELECT text FROM message ORDER BY rowid DESC LIMIT 2');
        $plain = static fn (mixed $text): string => (string) preg_replace('/[PA]-\d+|projects\/[0-9a-f-]+|clients\/[0-9a-f-]+/', '…', \is_string($text) ? $text : '');
        self::assertEqualsCanonicalizing(array_map($plain, $sent), array_map($plain, array_column($mails, 'text')));
        self::assertSame('P-0001', $this->project('number'), 'no number is used up by reading');
        self::assertSame([], $this->get("/api/submissions/{$this->id}/mails")->ok()->rows('items'), 'once decided there is nothing ahead');
    }

    public function testWhatTheSameSenderSentBeforeStandsAtTheHeadThoughItWasSetAside(): void
    {
        $this->inquire(['name' => 'O. F.', 'phone' => null])->ok(201);
        $first = $this->lastSubmission();
        $this->post("/api/submissions/$first/set-aside", ['reason' => 'other', 'note' => 'Too far away'])->ok();
        $this->inquire(['email' => 'not.orla.fennick@example.com', 'name' => 'Somebody Else', 'phone' => '020 914 9999'])->ok(201);
        $this->clock->modify('+1 minute');
        $this->come();
        $earlier = $this->get("/api/submissions/{$this->id}")->ok()->rows('earlier');
        self::assertSame([['set-aside', $first]], array_map(static fn (array $one): array => [$one['state'], \is_array($one['record']) ? $one['record']['id'] : ''], $earlier));
    }

    public function testWhatTheClientAgreedToIsKeptWithItsWordingAndDay(): void
    {
        $this->publish('News', ['pages' => [['key' => 'p', 'title' => 'You', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
            ['key' => 'letters', 'type' => 'consent', 'wording' => 'You may send me the spring letter.', 'destination' => 'client.consent'],
            ['key' => 'photos', 'type' => 'consent', 'wording' => 'You may show my piano.', 'destination' => 'client.consent'],
        ]]]]);
        $this->call('POST', '/api/public/forms/news/submissions', ['answers' => ['name' => 'Ida Spindle', 'email' => 'ida@example.org', 'letters' => 'yes']])->ok(201);
        $this->id = $this->lastSubmission();
        $day = $this->clock->now()->format('Y-m-d');
        $this->clock->modify('+3 days');
        $this->signIn();
        self::assertSame([], $this->line('consent.photos'), 'left open is no refusal, and no consent');
        self::assertNull(array_column($this->get("/api/submissions/{$this->id}")->ok()->rows('answers'), 'right', 'key')['letters'], 'nobody agrees for somebody else');
        $this->accept($this->id)->ok();
        $consents = $this->get('/api/clients/'.$this->get('/api/clients?q=spindle')->ok()->text('items.0.id'))->ok()->rows('consents');
        self::assertCount(1, $consents);
        self::assertSame(['You may send me the spring letter.', true, $day], [$consents[0]['wording'], $consents[0]['given'], $consents[0]['day']]);
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame(0, $this->countRows('client_consent'));
    }

    public function testWhatCannotBePutRightIsRefused(): void
    {
        $this->come();
        self::assertSame('answers.photos', $this->decide(['answers' => ['photos' => 'none']])->ok(422)->text('violations.0.path'));
        self::assertSame('answers.nowhere', $this->decide(['answers' => ['nowhere' => 'x']])->ok(422)->text('violations.0.path'));
        $this->decide(['edits' => ['project' => ['readyBy' => 'soon']]])->ok(422);
    }

    /** @param array<string, mixed> $answers */
    private function come(array $answers = []): void
    {
        $this->inquire($answers)->ok(201);
        $this->id = $this->lastSubmission();
    }

    /** @param array<string, mixed> $what */
    private function decide(array $what): Answer
    {
        return $this->call(
            'PUT',
            "/api/submissions/{$this->id}/decisions",
            $what + ['version' => 0, 'choices' => (object) [], 'answers' => (object) [], 'dropped' => [], 'edits' => (object) [], 'added' => []],
        );
    }

    /** @return array<string, mixed> of the plan; empty where there is no such line */
    private function line(string $key): array
    {
        return array_column($this->get("/api/submissions/{$this->id}")->ok()->rows('plan.lines'), null, 'key')[$key] ?? [];
    }

    /** @return array<array-key, mixed> how an answer can be put right */
    private function howRight(string $key): array
    {
        $right = array_column($this->get("/api/submissions/{$this->id}")->ok()->rows('answers'), 'right', 'key')[$key] ?? null;

        return \is_array($right) ? $right : self::fail("$key cannot be put right");
    }

    private function project(string $field): mixed
    {
        return $this->get('/api/projects/'.$this->get('/api/projects')->ok()->text('items.0.id'))->ok()->at($field);
    }
}
