<?php

declare(strict_types=1);

namespace Telamon\Tests\Quotes;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A text that a client signs: sent, opened, signed with its evidence, declined, withdrawn. */
final class AgreementTest extends AppTestCase
{
    use AsksRows;

    private string $project = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['service' => 'repair', 'place' => '7 Weir Cottages, Marrowby'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $this->project = $this->id('SELECT id FROM project');
    }

    public function testItIsSignedOnceAndKeptWithItsEvidence(): void
    {
        $this->post(
            '/api/rules',
            [
                'name' => 'Signed',
                'when' => 'agreement-signed',
                'then' => [['kind' => 'task', 'name' => 'Begin the work', 'doer' => 'lead', 'days' => 1]],
                'enabled' => true,
                'why' => '',
            ],
        )
            ->ok(201);
        $draft = $this->get("/api/agreements/draft?project={$this->project}")->ok();
        self::assertSame('Agreement on Repair', $draft->text('title'));
        self::assertStringContainsString('Marrowby Piano Workshop and Orla Fennick', $draft->text('text'));
        $t = $this->sent();
        $this->post("/api/public/agreements/$t/opened")->ok(204);
        self::assertStringContainsString('We agree', $this->get("/api/public/agreements/$t")->ok()->text('agreement.text'));
        self::assertArrayHasKey('name', $this->post("/api/public/agreements/$t/sign", ['name' => ' '])->ok(422)->violations());
        $this->post("/api/public/agreements/$t/sign", ['name' => 'Orla Fennick'])->ok();
        $this->post("/api/public/agreements/$t/sign", ['name' => 'Orla Fennick'])->ok(409);
        $this->post("/api/public/agreements/$t/decline", ['reason' => 'no'])->ok(409);
        $row = $this->db()->fetchAssociative('SELECT document, sha256 FROM signed');
        self::assertIsArray($row);
        self::assertIsString($row['document']);
        self::assertSame(hash('sha256', $row['document']), $row['sha256']);
        $this->signIn();
        $shown = $this->get("/api/agreements?project={$this->project}")->ok();
        self::assertSame(['signed', 'Orla Fennick'], [$shown->text('items.0.state'), $shown->text('items.0.signedBy')]);
        $this->work();
        $this->signIn();
        self::assertContains('On the work-signed.pdf', $this->get("/api/files?project={$this->project}")->ok()->column('items', 'name'), 'put with the project by itself');
        self::assertContains('Begin the work', $this->db()->fetchFirstColumn('SELECT name FROM task'));
        $text = (new Process(['pdftotext', '-layout', '-', '-'], input: $this->get('/api/agreements/'.$shown->text('items.0.id').'/pdf')->ok()->body))->mustRun()->getOutput();
        foreach (['On the work', 'We agree', 'What was signed, and how', 'Orla Fennick', substr($row['sha256'], 0, 16)] as $said) {
            self::assertStringContainsString($said, $text);
        }
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'agreement-signed' AND papers <> '[]'"));
        $this->post('/api/agreements/'.$shown->text('items.0.id').'/withdraw')->ok(409);
    }

    public function testItIsDeclinedOrWithdrawnAndTheLinkSaysSo(): void
    {
        $t = $this->sent();
        $this->post("/api/public/agreements/$t/decline", ['reason' => 'Not yet'])->ok();
        self::assertStringContainsString('You said no', $this->get("/api/public/agreements/$t")->ok()->text('agreement.over'));
        $t = $this->sent('k2');
        $id = $this->id("SELECT id FROM agreement WHERE state = 'sent'");
        $this->post("/api/agreements/$id/withdraw")->ok();
        $this->post("/api/public/agreements/$t/sign", ['name' => 'Orla Fennick'])->ok(409);
        $this->post('/api/agreements', ['project' => $this->project, 'title' => '', 'text' => 'x'])->ok(422);
        $this->signIn('teo@marrowby.example');
        $this->get("/api/agreements?project={$this->project}")->ok(403);
    }

    private function sent(string $key = 'k1'): string
    {
        $send = fn () => $this->call(
            'POST',
            '/api/agreements',
            ['project' => $this->project, 'title' => 'On the work', 'text' => 'We agree on the work.'],
            ['HTTP_IDEMPOTENCY_KEY' => $key],
        )
            ->ok(201)
            ->text('token');
        $send();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM agreement WHERE state = 'sent'"));

        return $send();
    }
}
