<?php

declare(strict_types=1);

namespace Telamon\Tests\Replies;

use Telamon\Replies\TextIn;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** Text messages, out and in, by the stand-in of a gateway. */
final class TextsTest extends AppTestCase
{
    use AsksRows;

    private const ID = '019f0000-0000-7000-8000-00000000000e';
    private const NUMBER = '+353209143327';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
    }

    /** @param array<string, mixed> $with */
    private function write(string $id = self::ID, array $with = []): void
    {
        $this->call(
            'PUT',
            "/api/messages/$id",
            $with + ['channel' => 'text', 'to' => '020 914 3327', 'text' => 'We come at ten on Thursday.', 'client' => $this->id('SELECT id FROM client')],
        )
            ->ok(201);
    }

    /** @return list<string> what the gateway took */
    private function taken(): array
    {
        return array_map(static fn (string $file): string => (string) file_get_contents($file), glob("{$this->data}/texts/*.txt") ?: []);
    }

    private function comes(string $id, string $from, string $words): string
    {
        $texts = self::getContainer()->get(TextIn::class);
        self::assertInstanceOf(TextIn::class, $texts);

        return $texts->take($id, $from, $words)->id;
    }

    public function testATextIsWrittenByHandAndSentOnce(): void
    {
        $this->write();
        $this->write();
        $this->work();
        self::assertSame(['To: '.self::NUMBER."\n\nWe come at ten on Thursday.\n"], $this->taken());
        $sent = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame(['sent', 'text', 'We come at ten on Thursday.'], [$sent->text('state'), $sent->text('channel'), $sent->text('subject')]);
        self::assertFalse($sent->at('canDownload'));
        self::assertSame(404, $this->get('/api/messages/'.self::ID.'/eml')->status, 'it is no mail');
    }

    public function testAWorkerThatDiesAfterHandingItOverSendsItNoSecondTime(): void
    {
        $this->write();
        $this->work();
        // As it stands where the process ends between the gateway and the mark.
        $this->db()->executeStatement("UPDATE message SET state = 'sending', sent_at = NULL WHERE id = '".self::ID."'");
        touch("{$this->data}/texts/".self::ID.'.txt', 1_000_000);
        $handler = self::getContainer()->get(\Telamon\Messages\SendMessageHandler::class);
        self::assertInstanceOf(\Telamon\Messages\SendMessageHandler::class, $handler);
        $handler(new \Telamon\Messages\SendMessage(self::ID));
        self::assertSame('sent', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
        clearstatcache();
        self::assertSame(1_000_000, filemtime("{$this->data}/texts/".self::ID.'.txt'), 'not written again');
    }

    public function testWhatCannotBeATextIsSaidBesideItsField(): void
    {
        foreach (['to' => ['to' => 'orla@example.com'], 'text' => ['text' => str_repeat('Long words. ', 200)]] as $field => $with) {
            $refused = $this->call('PUT', '/api/messages/'.self::ID, $with + ['channel' => 'text', 'to' => '020 914 3327', 'text' => 'x']);
            self::assertSame([422, $field], [$refused->status, $refused->text('violations.0.path')]);
        }
        self::assertSame(
            [2, 1],
            [$this->post('/api/messages/length', ['text' => '€'])->ok()->number('places'), $this->post('/api/messages/length', ['text' => '€'])->ok()->number('parts')],
            'TS 23.038, section 6.2.1.1',
        );
    }

    public function testANumberThatIsRefusedIsTriedAgainAndSaid(): void
    {
        $this->write(with: ['to' => '+353 20 914 0000']);
        try {
            $this->work();
            self::fail('it is refused');
        } catch (\RuntimeException $error) {
            self::assertStringContainsString('refused', $error->getMessage());
        }
        self::assertStringContainsString('refused', $this->get('/api/messages/'.self::ID)->ok()->text('failure'));
    }

    public function testAnAnswerBelongsToTheTextThatWasSentToThatNumber(): void
    {
        $this->write();
        $this->work();
        $in = $this->post('/api/stand-in/mail', ['message' => self::ID, 'text' => 'Could you come at eleven instead?'])->ok(201);
        self::assertSame(['text', self::NUMBER, 'question'], [$in->text('channel'), $in->text('from'), $in->text('says')]);
        self::assertSame('Orla Fennick', $in->text('client.label'));
        self::assertSame(self::ID, $in->text('answers.id'));
        $again = $this->comes('one', self::NUMBER, 'Thanks!');
        self::assertSame($again, $this->comes('one', self::NUMBER, 'Thanks!'), 'the same text twice is one');
    }

    public function testStopByTextStopsTextsAndLetters(): void
    {
        $this->write();
        $this->work();
        $this->comes('stop', self::NUMBER, 'STOP');
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM stopped_address WHERE address = '".self::NUMBER."'"));
        self::assertSame('stop', $this->id('SELECT says FROM incoming'));
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM stopped_address WHERE address = 'orla.fennick@example.com'"));
        $client = $this->id('SELECT id FROM client');
        self::assertEqualsCanonicalizing([self::NUMBER, 'orla.fennick@example.com'], $this->get("/api/stops?client=$client")->ok()->column('items', 'address'));
        $this->post('/api/stops', ['client' => $client, 'stopped' => false])->ok(204);
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM stopped_address'));
    }

    public function testATextThatBelongsNowhereIsAnArrivalMatchedByItsNumber(): void
    {
        $in = $this->comes('new', self::NUMBER, 'Could somebody look at my soft pedal?');
        $shown = $this->get("/api/replies/$in")->ok();
        $arrival = $this->get('/api/submissions/'.$shown->text('submission.id'))->ok();
        self::assertSame('text', $arrival->text('channel'));
        self::assertStringContainsString('soft pedal', $arrival->body);
        self::assertStringContainsString('Orla Fennick', $arrival->body, 'whose number it is');
        $other = $this->post('/api/stand-in/mail', ['channel' => 'text', 'from' => '020 914 3355', 'text' => 'Do you move pianos?'])->ok(201);
        self::assertNotSame('', $other->text('submission.id'));
        self::assertSame(422, $this->post('/api/stand-in/mail', ['channel' => 'text', 'from' => 'nobody', 'text' => 'x'])->status);
    }
}
