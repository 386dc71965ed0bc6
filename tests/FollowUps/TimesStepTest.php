<?php

declare(strict_types=1);

namespace Telamon\Tests\FollowUps;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A follow-up sends the times of a booking page by itself, and a booking answers it. */
final class TimesStepTest extends AppTestCase
{
    use AsksRows;

    private string $followUp = '';
    private string $client = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->followUp = $this->post('/api/follow-ups', ['name' => 'Times', 'courses' => [
            'main' => [
                ['key' => 'w', 'kind' => 'wait', 'amount' => 2, 'unit' => 'days'],
                ['key' => 't', 'kind' => 'times', 'what' => 'visit'],
                ['key' => 'w2', 'kind' => 'wait', 'amount' => 5, 'unit' => 'days'],
            ],
        ]])->ok(201)->text('id');
        $this->post("/api/follow-ups/{$this->followUp}/switch", ['on' => true])->ok();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $this->client = $this->id('SELECT id FROM client');
    }

    public function testTheTimesGoOutOnceAndLeadToThePage(): void
    {
        self::assertContains(['value' => 'visit', 'label' => 'When shall we come?'], $this->pages());
        $this->begin();
        self::assertSame([], $this->sent());
        $this->wind('+2 days');
        $this->wind('+1 hour');
        [$mail] = $this->sent() + [''];
        self::assertCount(1, $this->sent());
        self::assertMatchesRegularExpression('#/book/visit\?t=\S+#', $mail);
        self::assertStringContainsString('sent the times of /book/visit', stripslashes($this->get("/api/follow-ups/{$this->followUp}")->ok()->body));
    }

    public function testTheyKeepQuietHours(): void
    {
        $this->clock->modify('2026-11-25 21:30:00');
        $this->begin();
        $this->wind('+2 days');
        self::assertSame([], $this->sent(), 'half past nine in the evening');
        $this->wind('+11 hours');
        self::assertCount(1, $this->sent());
    }

    public function testWhoSaidStopIsSentNone(): void
    {
        $this->begin();
        $this->post('/api/stops', ['client' => $this->client, 'stopped' => true])->ok(204);
        $this->wind('+2 days');
        self::assertSame([], $this->sent());
    }

    public function testSomebodyRunsItWithThemselves(): void
    {
        $sent = $this->post('/api/follow-ups/to-me', ['name' => 'Times', 'courses' => $this->get("/api/follow-ups/{$this->followUp}")->ok()->at('courses')])->ok();
        self::assertSame(1, $sent->number('sent'));
    }

    public function testAStopOfTheirNewAddressCounts(): void
    {
        $this->begin();
        $client = $this->get("/api/clients/{$this->client}")->ok();
        $this->db()->executeStatement("UPDATE contact_point SET value = 'new@example.org', match_key = 'new@example.org' WHERE kind = 'email'");
        $this->db()->executeStatement("UPDATE follow_up_run SET address = 'old@example.org'");
        $this->post('/api/stops', ['client' => $client->text('id'), 'stopped' => true])->ok(204);
        $this->wind('+2 days');
        self::assertSame([], $this->sent());
    }

    public function testAClosedPageSendsNothingAndAsksBeforeItCloses(): void
    {
        $gone = $this->post('/api/follow-ups', ['name' => 'Gone', 'courses' => ['main' => [['key' => 't', 'kind' => 'times', 'what' => 'nowhere']]]]);
        self::assertSame([422, 'courses.main.0.what'], [$gone->status, $gone->text('violations.0.path')]);
        $this->post('/api/follow-ups', ['name' => 'None', 'courses' => ['main' => [['key' => 't', 'kind' => 'times', 'what' => '']]]])->ok(422);
        $page = array_values(array_filter($this->get('/api/diary/types')->ok()->rows('pages'), static fn (array $one): bool => 'visit' === $one['slug']))[0];
        $id = \is_string($page['id']) ? $page['id'] : '';
        $off = $this->call('PUT', "/api/diary/pages/$id", ['live' => false] + $page)->ok(422)->violations();
        self::assertStringContainsString('Times', $off['live'] ?? '', 'the follow-up names it');
        $this->begin();
        $this->call('PUT', "/api/diary/pages/$id", ['live' => false, 'anyway' => true] + $page)->ok();
        $this->wind('+2 days');
        self::assertSame([], $this->sent());
        self::assertStringContainsString('the page is closed', stripslashes($this->get("/api/follow-ups/{$this->followUp}")->ok()->body));
    }

    private function begin(): Answer
    {
        return $this->post("/api/follow-ups/{$this->followUp}/begin", ['client' => $this->client, 'project' => $this->id('SELECT id FROM project')])->ok(201);
    }

    private function wind(string $by): void
    {
        $this->clock->modify($by);
        $this->byClock('follow-ups');
        $this->work();
    }

    /** @return list<mixed> */
    private function pages(): array
    {
        return $this->get('/api/follow-ups')->ok()->rows('pages');
    }

    /** @return list<string> texts of the mails with times that went out */
    private function sent(): array
    {
        return array_map(
            static fn (mixed $text): string => \is_string($text) ? $text : '',
            $this->db()->fetchFirstColumn("SELECT text FROM message WHERE template = 'choose-time' AND state = 'sent'"),
        );
    }
}
