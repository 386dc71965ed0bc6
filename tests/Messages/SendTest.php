<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Telamon\Messages\RetryTimes;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\DataFolder;

final class SendTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testTheConfirmationReachesTheMailbox(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(['queued', 'queued'], $this->get('/api/messages')->ok()->column('items', 'state'));
        self::assertSame(2, $this->get('/api/health')->ok()->number('queue.waiting'));
        self::assertSame(2, $this->work());
        $messages = $this->get('/api/messages')->ok();
        self::assertSame(['sent', 'sent'], $messages->column('items', 'state'));
        self::assertSame(['sorcha@marrowby.example', 'orla.fennick@example.com'], $messages->column('items', 'to'));
        self::assertSame([], $this->get('/api/messages?state=failed')->ok()->rows('items'));
        self::assertCount(1, $this->get('/api/messages?q=orla.fennick')->ok()->rows('items'));
    }

    public function testAMailWaitsAMomentSoThatUndoCanStopIt(): void
    {
        $_ENV['TELAMON_HOLD_SECONDS'] = $_SERVER['TELAMON_HOLD_SECONDS'] = '30';
        try {
            $this->inquire()->ok(201);
            $id = $this->lastSubmission();
            self::assertSame(30, $this->get("/api/submissions/$id")->ok()->number('holdSeconds'));
            $this->accept($id)->ok();
            self::assertSame('2026-11-25T10:42:30+00:00', $this->get('/api/messages')->ok()->text('items.0.leavesAt'));
            $this->clock->modify('+29 seconds');
            self::assertSame(0, $this->work());
            $this->post("/api/submissions/$id/undo")->ok();
            $this->clock->modify('+1 hour');
            $this->work();
            self::assertSame(['cancelled', 'cancelled'], $this->get('/api/messages')->ok()->column('items', 'state'));
            $this->accept($id)->ok();
            $this->clock->modify('+31 seconds');
            self::assertSame(2, $this->work());
        } finally {
            $_ENV['TELAMON_HOLD_SECONDS'] = $_SERVER['TELAMON_HOLD_SECONDS'] = '0';
        }
    }

    /** A corrected address was sent nothing before: it is written to. What would be said otherwise is offered. */
    public function testAfterUndoWhatWasSentIsKnownByItsRecipientAndByWhatItSaid(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->accept($id)->ok();
        $this->work();
        $this->post("/api/submissions/$id/undo")->ok();
        $plan = $this->get("/api/submissions/$id")->ok();
        $this->call('PUT', "/api/submissions/$id/decisions", ['version' => $plan->number('decided.version'), 'answers' => ['email' => 'o.fennick@example.com']])->ok();
        self::assertStringNotContainsString('Already sent to o.fennick', $this->get("/api/submissions/$id")->ok()->body);
        $now = $this->get("/api/submissions/$id")->ok();
        $this->call('PUT', "/api/submissions/$id/decisions", ['version' => $now->number('decided.version'), 'edits' => ['project' => ['title' => 'Two pianos']]])->ok();
        $lines = array_column($this->get("/api/submissions/$id")->ok()->rows('plan.lines'), 'choice', 'key');
        self::assertIsArray($lines['message.confirmation']);
        self::assertSame('message.confirmation.again', $lines['message.confirmation']['key']);
        $this->accept($id, ['message.confirmation.again' => 'send', 'message.notice.again' => 'leave'])->ok();
        self::assertSame(1, $this->work());
    }

    /** Read back by Python's email package (policy.default, RFC 5322 and MIME), which shares no code with ours. */
    public function testTheFileIsReadBackByAnIndependentParser(): void
    {
        $this->inquire(['name' => 'Órla Ní “Fennick” 🎹'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $row = $this->get('/api/messages')->ok()->rows('items')[1];
        self::assertIsString($row['id']);
        $eml = $this->get("/api/messages/{$row['id']}/eml")->ok();
        self::assertStringContainsString('.eml', $eml->headers['content-disposition']);
        $reader = <<<'PY'
            import sys, json, email
            from email import policy
            m = email.message_from_bytes(sys.stdin.buffer.read(), policy=policy.default)
            print(json.dumps({"from": str(m["from"].addresses[0]), "to": m["to"].addresses[0].addr_spec, "name": m["to"].addresses[0].display_name,
                "subject": m["subject"], "id": m["message-id"], "date": m["date"].datetime.isoformat(), "auto": m["auto-submitted"],
                "defects": [str(d) for d in m.defects], "plain": m.get_body(("plain",)).get_content(), "html": m.get_body(("html",)).get_content()}))
            PY;
        $python = new Process(['python3', '-c', $reader], input: $eml->body);
        $python->mustRun();
        $read = json_decode($python->getOutput(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertIsArray($read);
        self::assertSame([], $read['defects']);
        self::assertSame('Marrowby Piano Workshop <hello@marrowby.example>', $read['from']);
        self::assertSame('orla.fennick@example.com', $read['to']);
        self::assertSame('Órla Ní “Fennick” 🎹', $read['name']);
        self::assertSame($row['subject'], $read['subject']);
        self::assertSame("<{$row['id']}@marrowby.example>", $read['id']);
        self::assertSame('auto-generated', $read['auto']);
        self::assertSame('2026-11-25T10:42:00+00:00', $read['date']);
        self::assertIsString($read['plain']);
        self::assertIsString($read['html']);
        self::assertStringContainsString('thank you for writing to us. Your inquiry', $read['plain']);
        self::assertStringContainsString('thank you for writing to us. Your inquiry', $read['html']);
    }

    public function testALineBreakInANameIsNoHeader(): void
    {
        $this->inquire(['name' => "Orla\r\nBcc: thief@example.net"])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        foreach (glob("{$this->data}/mail/*.eml") ?: [] as $file) {
            $head = explode("\r\n\r\n", (string) file_get_contents($file))[0];
            self::assertDoesNotMatchRegularExpression('/^Bcc:/mi', $head);
        }
    }

    public function testAnAddressThatIsRefusedIsToldAtOnceAndCorrectedWhereItIsTold(): void
    {
        $this->inquire(['email' => 'orla@refused.example'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->runWorker(2);
        $failed = $this->get('/api/messages?state=failed')->ok();
        self::assertSame(['orla@refused.example'], $failed->column('items', 'to'));
        $message = $this->get('/api/messages/'.$failed->text('items.0.id'))->ok();
        self::assertStringContainsString('refused', $message->text('failure'));
        self::assertSame(1, $this->countRows("task WHERE checklist = 'Not delivered'"), 'somebody finds out why');
        $again = $this->post('/api/messages/'.$message->text('id').'/retry')->ok();
        self::assertSame('queued', $again->text('state'));
        $this->runWorker(1);
        self::assertSame('failed', $this->get('/api/messages/'.$message->text('id'))->ok()->text('state'));
        self::assertSame('to', $this->post('/api/messages/'.$message->text('id').'/retry', ['to' => 'nobody'])->ok(422)->text('violations.0.path'));
        $this->post('/api/messages/'.$message->text('id').'/retry', ['to' => 'orla@example.com'])->ok();
        $this->runWorker(1);
        $sent = $this->get('/api/messages/'.$message->text('id'))->ok();
        self::assertSame(['sent', 'orla@example.com'], [$sent->text('state'), $sent->text('to')]);
        self::assertSame(1, $this->countRows("contact_point WHERE value = 'orla@example.com'"), 'on file too');
    }

    public function testAServerThatIsAwayIsTriedForTwoDaysAndAllIsSentAgainAtOnce(): void
    {
        $since = new \DateTimeImmutable('2026-11-25 10:00:00 UTC');
        self::assertSame(
            [60, 120, 300, 600, 1200, 1800, 3600, 3600],
            array_map(static fn (int $tries): ?int => RetryTimes::next($tries, $since, $since->modify('+1 hour')), range(1, 8)),
        );
        self::assertSame(3600, RetryTimes::next(50, $since, $since->modify('+47 hours 59 minutes')));
        self::assertNull(RetryTimes::next(51, $since, $since->modify('+48 hours')));
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->db()->executeStatement("UPDATE message SET state = 'failed'");
        self::assertSame(2, $this->post('/api/messages/retry-failed')->ok()->number('count'));
        self::assertSame(0, $this->countRows("message WHERE state = 'failed'"));
        self::assertSame(0, $this->post('/api/messages/retry-failed')->ok()->number('count'));
    }

    public function testOnlyAFailedMessageIsSentAgain(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $id = $this->get('/api/messages')->ok()->text('items.0.id');
        $this->post("/api/messages/$id/retry")->ok(409);
        $this->work();
        $this->post("/api/messages/$id/retry")->ok(409);
    }

    public function testAWorkerKilledBetweenSendingAndAcknowledgingSendsNothingTwice(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        touch("{$this->data}/".DiesAfterSending::SIGN);
        $killed = $this->runWorker(2);
        self::assertTrue($killed->hasBeenSignaled(), $killed->getErrorOutput());
        self::assertCount(1, $this->deliveries());
        self::assertContains('sending', $this->get('/api/messages')->ok()->column('items', 'state'));
        // What a dead worker left behind comes back after a minute.
        $this->db()->executeStatement('UPDATE queued SET taken_at = taken_at - 61 WHERE taken_at IS NOT NULL');
        $this->runWorker(2);
        self::assertSame(['sent', 'sent'], $this->get('/api/messages')->ok()->column('items', 'state'));
        self::assertCount(2, $this->deliveries());
        self::assertSame(array_unique($this->deliveries()), $this->deliveries());
        self::assertSame(0, $this->countRows("queued WHERE queue = 'outbox'"));
    }

    public function testAMessageOfAnotherServerThatWasInterruptedIsForAPersonToJudge(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->db()->executeStatement("UPDATE message SET state = 'sending'");
        $worker = DataFolder::console($this->data, 'messenger:consume', 'outbox', '--limit=2', '--time-limit=5', '--quiet');
        $worker->setEnv(['MAILER_DSN' => 'smtp://127.0.0.1:1', 'TELAMON_CLOCK_SHIFT' => $this->shift()] + $worker->getEnv());
        $worker->run();
        self::assertSame(['failed', 'failed'], $this->get('/api/messages')->ok()->column('items', 'state'));
    }

    /** Lets a worker handle so many messages, tries included. */
    private function runWorker(int $messages): Process
    {
        $worker = DataFolder::console($this->data, 'messenger:consume', 'outbox', "--limit=$messages", '--time-limit=20', '--sleep=0.05', '--quiet');
        $worker->setEnv(['TELAMON_CLOCK_SHIFT' => $this->shift()] + $worker->getEnv());
        $worker->start();
        try {
            $worker->wait();
        } catch (ProcessSignaledException) {
            // Killed, as some tests want it.
        }

        return $worker;
    }

    /** Seconds from the machine's clock to the test's. */
    private function shift(): string
    {
        return (string) ($this->clock->now()->getTimestamp() - time());
    }

    /** @return list<string> */
    private function deliveries(): array
    {
        return preg_split('/\n/', (string) @file_get_contents("{$this->data}/deliveries"), -1, \PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
