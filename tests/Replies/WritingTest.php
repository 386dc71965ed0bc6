<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use Telamon\Tests\Support\AppTestCase;

/** Letters by hand. */
final class WritingTest extends AppTestCase
{
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
}
