<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Letters by hand. */
final class WritingTest extends AppTestCase
{
    use AsksRows;

    private const ID = '019f0000-0000-7000-8000-00000000000a';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    /** @return array<string, string> */
    private static function letter(): array
    {
        return ['to' => 'orla.fennick@example.com', 'subject' => 'Your keys', 'text' => "Hello Orla,\n\nwe come on Thursday.\n\nNessa"];
    }

    public function testWrittenToAnArrivalItIsTheAnswerAndStopsTheClock(): void
    {
        $this->inquire()->ok(201);
        $arrival = $this->lastSubmission();
        self::assertFalse($this->get("/api/submissions/$arrival")->ok()->at('answered'));
        $this->call('PUT', '/api/messages/'.self::ID, ['submission' => $arrival] + self::letter())->ok(201);
        // The answer that did not come back is sent once more: it is one letter.
        $this->call('PUT', '/api/messages/'.self::ID, ['submission' => $arrival] + self::letter())->ok(201);
        self::assertTrue($this->get("/api/submissions/$arrival")->ok()->at('answered'));
        $this->work();
        self::assertSame(1, $this->countRows('message'));
        $sent = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame(['sent', 'by-hand'], [$sent->text('state'), $sent->text('kind')]);
        self::assertStringNotContainsString('Auto-Submitted', $this->get('/api/messages/'.self::ID.'/eml')->ok()->body, 'a person wrote it');
    }

    public function testAnAnswerToAMessageIsThreaded(): void
    {
        $in = $this->post('/api/stand-in/mail', ['from' => 'tess@example.com', 'text' => 'Do you tune harps?'])->ok(201);
        $this->call('PUT', '/api/messages/'.self::ID, ['answers' => $in->text('id'), 'to' => 'tess@example.com'] + self::letter())->ok(201);
        $eml = $this->get('/api/messages/'.self::ID.'/eml')->ok()->body;
        self::assertMatchesRegularExpression('/^In-Reply-To: <[^>]+@stand-in\.example>/m', $eml);
        self::assertMatchesRegularExpression('/^References: <[^>]+@stand-in\.example>/m', $eml);
    }

    public function testItWaitsForItsTime(): void
    {
        $this->call('PUT', '/api/messages/'.self::ID, ['sendAt' => '2026-11-26T08:00'] + self::letter())->ok(201);
        self::assertSame('2026-11-26T08:00:00+00:00', $this->get('/api/messages/'.self::ID)->ok()->text('leavesAt'));
        $this->work();
        self::assertSame('queued', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
        $this->clock->modify('+22 hours');
        $this->work();
        self::assertSame('sent', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
    }

    public function testWhatIsMissingIsSaidBesideItsField(): void
    {
        foreach (['to' => 'nobody', 'subject' => ' ', 'text' => '', 'sendAt' => '2020-01-01T08:00'] as $field => $value) {
            $refused = $this->call('PUT', '/api/messages/'.self::ID, [$field => $value] + self::letter());
            self::assertSame([422, $field], [$refused->status, $refused->text('violations.0.path')]);
        }
        $this->call('PUT', '/api/messages/'.self::ID, ['subject' => "Hello\r\nBcc: everybody@example.com"] + self::letter())->ok(201);
        self::assertSame('Hello Bcc: everybody@example.com', $this->get('/api/messages/'.self::ID)->ok()->text('subject'));
        self::assertSame(404, $this->call('PUT', '/api/messages/019f0000-0000-7000-8000-00000000000b', ['client' => '019f0000-0000-7000-8000-00000000000c'] + self::letter())->status);
    }

    public function testFilesOfTheClientAndBroughtAlongGoWithIt(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $client = $this->id('SELECT id FROM client');
        $there = $this->post('/api/files', ['client' => $client, 'uploads' => [$this->paper('there.pdf')]])->ok(201)->text('items.0.id');
        $letter = ['client' => $client, 'files' => [$there], 'uploads' => [$this->paper('brought.pdf')]] + self::letter();
        $this->call('PUT', '/api/messages/'.self::ID, $letter)->ok(201);
        $again = $this->call('PUT', '/api/messages/'.self::ID, $letter)->ok(201);
        self::assertSame(['there.pdf', 'brought.pdf'], $again->column('papers', 'name'), 'the same again is one letter');
        self::assertEqualsCanonicalizing(['there.pdf', 'brought.pdf'], $this->get("/api/files?client=$client")->ok()->column('items', 'name'), 'what was brought along is on record');
        $this->work();
        $eml = $this->get('/api/messages/'.self::ID.'/eml')->ok()->body;
        self::assertStringContainsString('there.pdf', $eml);
        self::assertStringContainsString('brought.pdf', $eml);
    }

    public function testNobodyGetsAnotherClientsFilesNorMoreThanAMailboxTakes(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Tess Marlow', 'email' => 'tess@example.com', 'phone' => '020 914 3399', 'place' => '3 Quay Row', 'piano' => 'Harker grand'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        [$orla, $tess] = [$this->id("SELECT id FROM client WHERE given_name = 'Orla'"), $this->id("SELECT id FROM client WHERE given_name = 'Tess'")];
        $hers = $this->post('/api/files', ['client' => $tess, 'uploads' => [$this->paper('hers.pdf')]])->ok(201)->text('items.0.id');
        $refused = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $orla, 'files' => [$hers]] + self::letter());
        self::assertSame([422, 'files'], [$refused->status, $refused->text('violations.0.path')]);
        $gone = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $orla, 'uploads' => ['never-was']] + self::letter());
        self::assertSame([422, 'uploads'], [$gone->status, $gone->text('violations.0.path')]);
        $this->db()->executeStatement('UPDATE stored_file SET size = 16000000');
        $large = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $tess, 'files' => [$hers]] + self::letter());
        self::assertSame([422, 'files'], [$large->status, $large->text('violations.0.path')]);
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM message WHERE kind = 'by-hand'"), 'refused whole');
    }

    public function testWhatATemplateSendsAlongGoesWithALetterWrittenFromIt(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $client = $this->id('SELECT id FROM client');
        $template = $this->id("SELECT id FROM message_template WHERE code = 'confirmation'");
        $file = $this->post("/api/templates/$template/files", ['uploads' => [$this->paper('prices.pdf')]])->ok(201)->text('items.0.id');
        $this->db()->executeStatement('UPDATE message_template SET papers = ? WHERE id = ?', [json_encode([$file, 'quote'], \JSON_THROW_ON_ERROR), $template]);
        $missing = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $client, 'template' => $template, 'papers' => [$file, 'quote']] + self::letter());
        self::assertSame([422, 'papers'], [$missing->status, $missing->text('violations.0.path')]);
        $sent = $this->call('PUT', '/api/messages/'.self::ID, ['client' => $client, 'template' => $template, 'papers' => [$file]] + self::letter())->ok(201);
        self::assertSame(['prices.pdf'], $sent->column('papers', 'name'));
        $this->db()->executeStatement("UPDATE message_template SET consent = 'News'");
        $refused = $this->call('PUT', '/api/messages/019f0000-0000-7000-8000-00000000000b', ['client' => $client, 'template' => $template, 'papers' => []] + self::letter());
        self::assertSame([422, 'to'], [$refused->status, $refused->text('violations.0.path')]);
    }

    private function paper(string $name): string
    {
        $path = "{$this->data}/$name";
        file_put_contents($path, "%PDF-1.4\n% $name\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n");

        return $this->upload($path, $name)->ok(201)->text('id');
    }
}
