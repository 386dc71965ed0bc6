<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\DataProvider;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Mailer\Transport;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Process\Process;
use Telamon\Business\Profile;
use Telamon\Core\Reading\EmailReader;
use Telamon\Journal\Changes;
use Telamon\Messages\EmailMaker;
use Telamon\Messages\Lacking;
use Telamon\Messages\MailWay;
use Telamon\Messages\SendMessage;
use Telamon\Messages\SendMessageHandler;
use Telamon\Messages\Stops;
use Telamon\Messages\TextWay;
use Telamon\Messages\Ways;
use Telamon\StandIn\Mailbox;
use Telamon\StandIn\TextFolder;
use Telamon\StandIn\TextTransport;
use Telamon\Tests\Support\AppTestCase;

/** Held against a mail server from outside the project: aiosmtpd (Debian's python3-aiosmtpd), over RFC 5321 and STARTTLS (RFC 3207). */
final class SmtpTest extends AppTestCase
{
    private const ID = '019f0000-0000-7000-8000-00000000000d';

    private ?Process $server = null;
    private string $folder = '';
    private int $port = 0;

    protected function tearDown(): void
    {
        $this->server?->stop(1);
        parent::tearDown();
    }

    private function serve(string $mode): void
    {
        $this->folder = $this->data.'/smtp';
        @mkdir($this->folder);
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($socket);
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $files = [];
        if ('tls' === $mode) {
            $files = [$this->folder.'/cert.pem', $this->folder.'/key.pem'];
            (new Process([
                'openssl',
                'req',
                '-x509',
                '-newkey',
                'rsa:2048',
                '-nodes',
                '-days',
                '1',
                '-subj',
                '/CN=smtp.example',
                '-out',
                $files[0],
                '-keyout',
                $files[1],
            ]))->mustRun();
        }
        $this->server = new Process(['/usr/bin/python3', __DIR__.'/smtp_server.py', (string) $this->port, $this->folder, $mode, ...$files]);
        $this->server->start();
        $this->server->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'ready'));
    }

    private function letter(): void
    {
        $this->signIn();
        $this->call(
            'PUT',
            '/api/messages/'.self::ID,
            ['to' => 'orla.fennick@example.com', 'subject' => 'Grüße 😀', 'text' => "Hello Orla,\n\n.a line that begins with a dot\nNessa"],
        )
            ->ok(201);
    }

    private function mail(string $options = ''): void
    {
        [$em, $emails, $changes, $mailbox] = array_map(self::getContainer()->get(...), [EntityManagerInterface::class, EmailMaker::class, Changes::class, Mailbox::class]);
        \assert($em instanceof EntityManagerInterface && $emails instanceof EmailMaker && $changes instanceof Changes && $mailbox instanceof Mailbox);
        $clock = self::getContainer()->get(ClockInterface::class);
        $bus = self::getContainer()->get(MessageBusInterface::class);
        $business = self::getContainer()->get(Profile::class);
        $lacking = self::getContainer()->get(Lacking::class);
        $stops = self::getContainer()->get(Stops::class);
        $events = self::getContainer()->get(EventDispatcherInterface::class);
        \assert(
            $clock instanceof ClockInterface
                && $bus instanceof MessageBusInterface
                && $business instanceof Profile
                && $lacking instanceof Lacking
                && $stops instanceof Stops
                && $events instanceof EventDispatcherInterface,
        );
        $texts = new TextFolder($this->folder);
        $dsn = "smtp://127.0.0.1:{$this->port}$options";
        (new SendMessageHandler(
            $em,
            new Ways([
                new MailWay(Transport::fromDsn($dsn), $emails, new EmailReader(), $mailbox, $dsn),
                new TextWay(new TextTransport($texts), $texts, $business, 'text-folder://'),
            ]),
            $changes,
            $clock,
            $bus,
            $business,
            $lacking,
            $stops,
            $events,
        ))(new SendMessage(self::ID));
    }

    /** @return list<string> */
    private function taken(): array
    {
        return array_map(static fn (string $file): string => (string) file_get_contents($file), glob("{$this->folder}/*.eml") ?: []);
    }

    public function testTheServerGetsItWholeAndOnce(): void
    {
        $this->serve('take');
        $this->letter();
        $this->mail();
        $this->mail();
        self::assertCount(1, $this->taken());
        $eml = $this->taken()[0];
        self::assertStringContainsString('Message-ID: <'.self::ID.'@marrowby.example>', $eml);
        self::assertMatchesRegularExpression('/^Subject: =\?utf-8\?/mi', $eml);
        self::assertStringContainsString('.a line that begins with a dot', quoted_printable_decode($eml));
        self::assertSame('sent', $this->get('/api/messages/'.self::ID)->ok()->text('state'));
    }

    public function testItGoesThroughStartTls(): void
    {
        $this->serve('tls');
        $this->letter();
        $this->mail('?verify_peer=0');
        self::assertSame('yes', file_get_contents("{$this->folder}/tls"));
        self::assertCount(1, $this->taken());
    }

    /** @return array<string, array{string, string, string}> */
    public static function refusals(): array
    {
        return [
            'at the greeting' => ['refuse-helo', '550', 'queued'],
            'of the sender' => ['refuse-mail', '451', 'queued'],
            'of the recipient' => ['refuse-rcpt', '550', 'failed'],
            'of the text' => ['refuse-data', '554', 'failed'],
        ];
    }

    #[DataProvider('refusals')]
    public function testAPermanentNoIsToldAtOnceAndAnyOtherIsTriedAgain(string $mode, string $code, string $state): void
    {
        $this->serve($mode);
        $this->letter();
        $this->mail();
        $shown = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame($state, $shown->text('state'));
        self::assertStringContainsString($code, $shown->text('failure'));
        self::assertSame('queued' === $state ? '1' : '0', (string) $this->countRows("queued WHERE queue = 'outbox' AND available_at > ".(strtotime(self::NOW) + 50)));
        self::assertSame([], $this->taken());
    }

    public function testAServerThatTakesItAndDiesIsNotSentToTwice(): void
    {
        $this->serve('dies');
        $this->letter();
        $this->mail();
        $shown = $this->get('/api/messages/'.self::ID)->ok();
        self::assertSame('failed', $shown->text('state'), 'nobody can say whether it was delivered: a person decides');
        self::assertStringContainsString('Ask before sending it again', $shown->text('failure'));
        $this->mail();
        self::assertCount(1, $this->taken());
        self::assertStringContainsString('<'.self::ID.'@', $this->taken()[0]);
    }
}
