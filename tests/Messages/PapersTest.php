<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use ZBateson\MailMimeParser\MailMimeParser;

/** What goes with a message beside its words, where its answers go, and what it must be allowed to say. */
final class PapersTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    private function confirmation(): string
    {
        return $this->id("SELECT id FROM message_template WHERE code = 'confirmation'");
    }

    /** @param array<string, mixed> $with papers, answersTo, consent */
    private function change(array $with): void
    {
        $id = $this->confirmation();
        $now = $this->get("/api/templates/$id")->ok();
        $this->call(
            'PUT',
            "/api/templates/$id",
            $with + [
                'name' => $now->text('name'),
                'subject' => $now->text('subject'),
                'document' => $now->at('document'),
                'textMessage' => $now->text('textMessage'),
                'version' => $now->number('version'),
            ],
        )
            ->ok();
    }

    /** @return string id of the confirmation of a new inquiry */
    private function confirmed(): string
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();

        return $this->id("SELECT id FROM message WHERE template = 'confirmation' ORDER BY rowid DESC LIMIT 1");
    }

    /** @return array<string, string> type by name, as another library reads the mail */
    private function enclosed(string $message): array
    {
        $mail = (new MailMimeParser())->parse($this->get("/api/messages/$message/eml")->ok()->body, false);
        $found = [];
        foreach ($mail->getAllAttachmentParts() as $part) {
            $found[(string) $part->getFilename()] = $part->getContentType();
        }

        return $found;
    }

    private function paper(string $name): string
    {
        $path = "{$this->data}/$name";
        file_put_contents($path, "%PDF-1.4\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n");

        return $this->upload($path, $name)->ok(201)->text('id');
    }

    public function testAFixedFileAndTheirAnswersGoWithEveryMessageOfATemplate(): void
    {
        $file = $this->post("/api/templates/{$this->confirmation()}/files", ['uploads' => [$this->paper('how-we-come.pdf')]])->ok(201)->text('items.0.id');
        $this->change(['papers' => ['sheet', $file], 'answersTo' => 'Desk@Marrowby.example']);
        self::assertSame(
            ['their answers, as PDF', 'how-we-come.pdf'],
            array_values(array_intersect_key($this->get("/api/templates/{$this->confirmation()}")->ok()->map('called'), ['sheet' => 1, $file => 1])),
        );
        $message = $this->confirmed();
        $this->work();
        $seen = $this->get("/api/messages/$message")->ok();
        self::assertSame(
            ['sent', ['their answers, as PDF', 'how-we-come.pdf'], [null, $file]],
            [$seen->text('state'), $seen->column('papers', 'name'), $seen->column('papers', 'file')],
        );
        $enclosed = $this->enclosed($message);
        self::assertSame('application/pdf', $enclosed['how-we-come.pdf']);
        self::assertCount(2, $enclosed);
        self::assertStringContainsStringIgnoringCase('Reply-To: Marrowby Piano Workshop <desk@marrowby.example>', $this->get("/api/messages/$message/eml")->ok()->body);
    }

    public function testATestToOneselfHasTheFilesButNothingThatIsMadeForAReader(): void
    {
        $id = $this->confirmation();
        $file = $this->post("/api/templates/$id/files", ['uploads' => [$this->paper('terms.pdf')]])->ok(201)->text('items.0.id');
        $now = $this->get("/api/templates/$id")->ok();
        $this->post(
            "/api/templates/$id/test",
            ['name' => $now->text('name'), 'subject' => $now->text('subject'), 'document' => $now->at('document'), 'textMessage' => '', 'papers' => [$file, 'visit']],
        )
            ->ok();
        $this->work();
        $test = $this->id("SELECT id FROM message WHERE kind = 'test'");
        self::assertSame(['terms.pdf' => 'application/pdf'], $this->enclosed($test));
        self::assertSame('sent', $this->get("/api/messages/$test")->ok()->text('state'));
    }

    public function testWhatShouldGoWithItAndIsNotThereIsAskedOfAPerson(): void
    {
        $this->change(['papers' => ['quote']]);
        $message = $this->confirmed();
        $this->work();
        $held = $this->get("/api/messages/$message")->ok();
        self::assertSame('held', $held->text('state'));
        self::assertStringContainsString('their quote, as PDF', $held->text('failure'));
        $this->post("/api/messages/$message/hold", ['held' => false])->ok();
        $this->work();
        self::assertSame('sent', $this->get("/api/messages/$message")->ok()->text('state'), 'somebody let it go');
        self::assertSame([], $this->enclosed($message));
    }

    public function testAnEarlierVersionHasItsOwnFiles(): void
    {
        $this->change(['papers' => ['sheet']]);
        $this->change(['papers' => []]);
        $id = $this->confirmation();
        self::assertSame([], $this->get("/api/templates/$id")->ok()->at('papers'));
        self::assertSame(['sheet'], $this->get("/api/templates/$id/versions/2")->ok()->at('papers'));
    }

    public function testWhatCannotGoWithItIsRefusedBesideItsField(): void
    {
        $id = $this->confirmation();
        $now = $this->get("/api/templates/$id")->ok();
        $draft = ['name' => $now->text('name'), 'subject' => $now->text('subject'), 'document' => $now->at('document'), 'textMessage' => '', 'version' => $now->number('version')];
        foreach ([
            ['papers', ['nothing']],
            ['papers', ['sheet', 'sheet']],
            ['papers', ['019f0000-0000-7000-8000-00000000000a']],
            ['answersTo', 'nobody'],
            ['consent', str_repeat('x', 101)],
        ] as [$field, $value]) {
            $refused = $this->call('PUT', "/api/templates/$id", [$field => $value] + $draft);
            self::assertSame([422, $field], [$refused->status, $refused->text('violations.0.path')]);
        }
    }

    public function testWhatAdvertisesGoesOnlyToWhoeverAllowedItAndCanBeStopped(): void
    {
        $this->change(['consent' => 'News']);
        $message = $this->confirmed();
        $this->work();
        $held = $this->get("/api/messages/$message")->ok();
        self::assertSame('held', $held->text('state'));
        self::assertStringContainsString('has not said yes to “News”', $held->text('failure'));
        self::assertSame(409, $this->post("/api/messages/$message/hold", ['held' => false])->status, 'nobody lets it go without');
        $this->says(true);
        $this->post("/api/messages/$message/hold", ['held' => false])->ok();
        $this->work();
        $sent = $this->get("/api/messages/$message")->ok();
        self::assertSame(['sent', 'they allowed it: “News”'], [$sent->text('state'), $sent->text('ground')]);
        self::assertMatchesRegularExpression('/^List-Unsubscribe: \\s*<mailto:hello\+r-/m', $this->get("/api/messages/$message/eml")->ok()->body);
    }

    public function testWhoeverChangesTheirMindWhileItWaitsGetsNothing(): void
    {
        $this->confirmed();
        $this->says(true);
        $this->change(['consent' => 'news']);
        $message = $this->confirmed();
        self::assertSame('queued', $this->get("/api/messages/$message")->ok()->text('state'), 'it was allowed then');
        $this->says(false);
        $this->work();
        self::assertSame('held', $this->get("/api/messages/$message")->ok()->text('state'));
    }

    private function says(bool $given): void
    {
        $client = $this->id('SELECT id FROM client ORDER BY rowid LIMIT 1');
        $version = $this->get("/api/clients/$client")->ok()->number('version');
        $this->call(
            'PUT',
            "/api/clients/$client",
            ['version' => $version, 'consents' => [['what' => 'News', 'wording' => 'May we write to you about concerts?', 'given' => $given, 'way' => 'at the desk', 'day' => '']]],
        )
            ->ok();
    }

    public function testAPictureGoesInsideTheMail(): void
    {
        $path = "{$this->data}/felt.png";
        $image = imagecreatetruecolor(2, 2);
        imagepng($image, $path);
        $file = $this->post("/api/templates/{$this->confirmation()}/files", ['uploads' => [$this->upload($path, 'felt.png')->ok(201)->text('id')]])->ok(201)->text('items.0.id');
        $this->change(['document' => ['type' => 'doc', 'content' => [['type' => 'picture', 'attrs' => ['file' => $file, 'alt' => 'Hammer felt']]]]]);
        $message = $this->confirmed();
        $eml = $this->get("/api/messages/$message/eml")->ok()->body;
        self::assertSame(1, preg_match('/^Content-ID: <([^>]+)>/m', $eml, $m));
        self::assertStringContainsString("cid:{$m[1]}", quoted_printable_decode($eml));
        self::assertStringContainsString('[Hammer felt]', $eml, 'told in words where pictures are not shown');
        self::assertStringContainsString('multipart/related', $eml);
        $gone = $this->get("/api/templates/{$this->confirmation()}")->ok();
        $refused = $this->call('PUT', "/api/templates/{$this->confirmation()}", ['name' => $gone->text('name'), 'subject' => $gone->text('subject'), 'version' => $gone->number('version'), 'document' => ['type' => 'doc', 'content' => [['type' => 'picture', 'attrs' => ['file' => '019f0000-0000-7000-8000-00000000000a', 'alt' => 'x']]]]]);
        self::assertSame([422, 'document'], [$refused->status, $refused->text('violations.0.path')]);
    }
}
