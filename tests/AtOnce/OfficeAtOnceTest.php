<?php

declare(strict_types=1);

namespace Telamon\Tests\AtOnce;

use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\AtOnce;

/** What the office and its clients do with plans, tasks and quotes, eight times in the same moment. */
final class OfficeAtOnceTest extends AtOnceTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['service' => 'repair'])->ok(201);
        $this->work();
    }

    public function testAPlanIsAcceptedOnceByTwoPeople(): void
    {
        $id = $this->lastSubmission();
        $fingerprint = $this->get("/api/submissions/$id")->ok()->text('plan.fingerprint');
        $answers = $this->web->ask(
            'POST',
            "/api/submissions/$id/accept",
            ['fingerprint' => $fingerprint, 'decisions' => (object) []],
            [$this->web->signIn(), $this->web->signIn('sorcha@marrowby.example')],
        );
        $count = self::statuses($answers);
        self::assertSame(1, $count[200] ?? 0, (string) json_encode($count));
        self::assertSame(['1', '1'], [$this->number('SELECT COUNT(*) FROM client'), $this->number('SELECT COUNT(*) FROM project')]);
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM change_set WHERE kind = 'accept'"));
    }

    public function testATaskIsFinishedOnce(): void
    {
        $this->accept($this->lastSubmission())->ok();
        $task = $this->id('SELECT id FROM task ORDER BY position LIMIT 1');
        $before = $this->number('SELECT COUNT(*) FROM journal_entry');
        $this->web->ask(
            'POST',
            "/api/tasks/$task/finish",
            ['version' => (int) $this->number("SELECT version FROM task WHERE id = '$task'")],
            [$this->web->signIn(), $this->web->signIn('sorcha@marrowby.example')],
        );
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM journal_entry WHERE record_id = '$task' AND action = 'changed'"), "before: $before");
    }

    public function testATaskThatIsRemovedMeanwhileIsNotSaidToBeFinished(): void
    {
        $this->accept($this->lastSubmission())->ok();
        $task = $this->post(
            '/api/tasks',
            ['project' => $this->id('SELECT id FROM project'), 'name' => 'Look at the strings', 'assignee' => $this->id("SELECT id FROM staff WHERE initials = 'SV'")],
        )
            ->ok(201)
            ->text('id');
        $answers = $this->web->ask(
            'POST',
            "/api/tasks/$task/finish",
            ['version' => 1],
            [$this->web->signIn()],
            meanwhile: static fn (\PDO $db) => $db->exec("DELETE FROM task WHERE id = '$task'"),
        );
        self::assertSame([409 => AtOnce::MANY], self::statuses($answers));
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM journal_entry WHERE record_id = '$task' AND action = 'changed'"));
    }

    public function testAVisitPlacedByHandIsOne(): void
    {
        $who = $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $body = ['title' => 'Look at the strings', 'staff' => $who, 'startsAt' => '2026-11-27T10:00:00+00:00', 'endsAt' => '2026-11-27T11:00:00+00:00'];
        $answers = $this->web->ask('POST', '/api/appointments', $body, [$this->web->signIn()]);
        self::assertSame([201 => 1, 409 => AtOnce::MANY - 1], self::statuses($answers), 'the person is not free a second time');
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM appointment'));
    }

    public function testAQuoteIsAcceptedOnceAndOneNoIsOneNo(): void
    {
        [, $token] = $this->sentQuote();
        $total = $this->post("/api/public/quotes/$token/total", ['ticked' => []])->ok()->text('total');
        $answers = $this->web->ask('POST', "/api/public/quotes/$token/accept", ['ticked' => [], 'total' => $total, 'name' => 'Orla Fennick']);
        self::assertSame([200 => 1, 409 => AtOnce::MANY - 1], self::statuses($answers));
        self::assertSame(['1', '1'], [$this->number('SELECT COUNT(*) FROM signed'), $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote-accepted'")]);
        [, $other] = $this->sentQuote();
        self::assertSame([200 => AtOnce::MANY], self::statuses($this->web->ask('POST', "/api/public/quotes/$other/decline", ['reason' => 'Too dear.'])));
        self::assertSame(
            '1',
            $this->number("SELECT COUNT(*) FROM change_set c WHERE c.words LIKE '%declined%' AND EXISTS (SELECT 1 FROM journal_entry e WHERE e.change_id = c.id)"),
        );
        [, $third] = $this->sentQuote();
        $this->web->ask('POST', "/api/public/quotes/$third/question", ['words' => 'When could you begin?']);
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM task WHERE name LIKE 'Answer the question about %'"));
    }

    /** All draw it before the first may write: whoever is first decides, and everybody has that one. */
    public function testWhatIsSignedIsOneFileForAllWhoAskAtOnce(): void
    {
        [, $token] = $this->sentQuote();
        $total = $this->post("/api/public/quotes/$token/total", ['ticked' => []])->ok()->text('total');
        $this->post("/api/public/quotes/$token/accept", ['ticked' => [], 'total' => $total, 'name' => 'Orla Fennick'])->ok();
        $answers = $this->web->ask('GET', "/api/public/quotes/$token/quote.pdf", [], many: 4);
        self::assertSame([200 => 4], self::statuses($answers));
        $sums = array_unique(array_map(static fn (array $one): string => hash('sha256', $one['body']), $answers));
        self::assertCount(1, $sums);
        self::assertSame($sums[0], hash('sha256', $this->get("/api/public/quotes/$token/quote.pdf")->ok()->body));
        self::assertSame($sums[0], $this->db()->fetchOne('SELECT pdf_sha256 FROM signed'));
    }

    public function testARevisionThatIsSentMeanwhileIsNotAcceptedInItsOldForm(): void
    {
        [$id, $token] = $this->sentQuote();
        $total = $this->post("/api/public/quotes/$token/total", ['ticked' => []])->ok()->text('total');
        $next = $this->post("/api/quotes/$id/revise")->ok(201);
        $version = $next->number('version');
        $answers = $this->web->ask(
            'POST',
            "/api/public/quotes/$token/accept",
            ['ticked' => [], 'total' => $total, 'name' => 'Orla Fennick'],
            many: 3,
            meanwhile: static fn (\PDO $db): int|false => $db->exec("UPDATE quote SET state = 'replaced' WHERE id = '$id'"),
        );
        self::assertSame([409 => 3], self::statuses($answers));
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM signed'));
        $this->post('/api/quotes/'.$next->text('id').'/send', ['version' => $version])->ok();
    }

    /** @return array{string, string} id and token */
    private function sentQuote(): array
    {
        if ('0' === $this->number('SELECT COUNT(*) FROM client')) {
            $this->accept($this->lastSubmission())->ok();
        }
        $quote = $this->post('/api/quotes', ['project' => $this->id('SELECT id FROM project')])->ok(201);
        $kept = $this->call(
            'PUT',
            '/api/quotes/'.$quote->text('id'),
            [
                'version' => $quote->number('version'),
                'content' => ['lines' => [['key' => 'l1', 'name' => 'First visit', 'quantity' => '1', 'price' => '65.00', 'vat' => ['category' => 'S', 'rate' => '13.5']]]] + $quote->map('content'),
            ],
        )
            ->ok();

        return [$quote->text('id'), $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $kept->number('version')])->ok()->text('token')];
    }
}
