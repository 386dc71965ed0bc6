<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** By what somebody can be written to: each way has its address, its file, and its own correction. */
final class WaysTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
    }

    public function testEachSaysWhereAClientIsReached(): void
    {
        $client = $this->id('SELECT id FROM client');
        $said = static fn (array $ways): array => array_map(static fn (array $way): array => [$way['value'], $way['to'], $way['input'], $way['isLetter'], $way['takesFiles']], $ways);
        self::assertSame(
            [['mail', 'orla.fennick@example.com', 'email', true, true], ['text', '+353 20 914 3327', 'tel', false, false]],
            $said($this->get("/api/messages/ways?client=$client")->ok()->rows('items')),
        );
        self::assertSame(['', ''], $this->get('/api/messages/ways')->ok()->column('items', 'to'));
        $this->get('/api/messages/ways?client=01a21054-d09d-73f3-84e4-dfab4b5f669b')->ok(404);
        $this->db()->executeStatement('DELETE FROM contact_point');
        self::assertSame(['', ''], $this->get("/api/messages/ways?client=$client")->ok()->column('items', 'to'));
        $this->signIn('pim@marrowby.example');
        $this->get("/api/messages/ways?client=$client")->ok(403);
    }

    public function testALetterIsAFileAndATextIsNone(): void
    {
        $mail = $this->id("SELECT id FROM message WHERE template = 'confirmation'");
        self::assertStringContainsString('Subject:', $this->get("/api/messages/$mail/eml")->ok()->body);
        self::assertTrue($this->get("/api/messages/$mail")->ok()->at('canDownload'));
        $text = $this->text('020 914 3327');
        $this->get("/api/messages/$text/eml")->ok(404);
        self::assertFalse($this->get("/api/messages/$text")->ok()->at('canDownload'));
    }

    public function testANumberThatWasRefusedIsCorrectedHereAndOnFile(): void
    {
        $text = $this->text('020 914 3327');
        $this->db()->executeStatement("UPDATE message SET state = 'failed' WHERE id = ?", [$text]);
        self::assertSame('to', $this->post("/api/messages/$text/retry", ['to' => 'orla@example.com'])->ok(422)->text('violations.0.path'));
        $this->post("/api/messages/$text/retry", ['to' => '020 914 4444'])->ok();
        self::assertSame('+353209144444', $this->id("SELECT to_address FROM message WHERE id = '$text'"));
        self::assertSame(['+353209144444'], $this->db()->fetchFirstColumn("SELECT value FROM contact_point WHERE kind = 'phone'"));
        self::assertSame(['orla.fennick@example.com'], $this->db()->fetchFirstColumn("SELECT value FROM contact_point WHERE kind = 'email'"));
    }

    public function testWhatIsWrongIsSaidBesideTheField(): void
    {
        $id = '01a21054-d09d-73f3-84e4-dfab4b5f669c';
        $write = fn (array $with): array => array_keys($this->call('PUT', "/api/messages/$id", $with + ['client' => $this->id('SELECT id FROM client'), 'project' => '', 'submission' => '', 'answers' => ''])->ok(422)->violations());
        self::assertSame(['to'], $write(['channel' => 'mail', 'to' => '', 'subject' => 'Monday', 'text' => 'We come.']));
        self::assertSame(['subject'], $write(['channel' => 'mail', 'to' => 'orla@example.com', 'subject' => ' ', 'text' => 'We come.']));
        self::assertSame(['to'], $write(['channel' => 'text', 'to' => 'orla@example.com', 'text' => 'We come.']));
        self::assertSame(['text'], $write(['channel' => 'text', 'to' => '020 914 3327', 'text' => str_repeat('We come. ', 300)]));
    }

    /** @return string id of a text message by hand */
    private function text(string $to): string
    {
        $id = '01a21054-d09d-73f3-84e4-dfab4b5f669d';
        $this->call('PUT', "/api/messages/$id", ['channel' => 'text', 'to' => $to, 'text' => 'We come at ten.', 'client' => $this->id('SELECT id FROM client'), 'project' => '', 'submission' => '', 'answers' => ''])->ok(201);
        self::assertSame(['text', ''], array_values($this->db()->fetchAssociative('SELECT channel, html FROM message WHERE id = ?', [$id]) ?: []));

        return $id;
    }
}
