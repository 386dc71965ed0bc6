<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Doctrine\DBAL\Connection;
use Doctrine\Persistence\ManagerRegistry;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\ReceivedStamp;
use Symfony\Component\Messenger\Transport\Receiver\ReceiverInterface;
use Telamon\Messages\SendMessage;
use Telamon\Messages\SendMessageHandler;
use Telamon\Queue\DueRun;

/** A test of the application through HTTP, on a data folder of its own, at 10:42 on a Wednesday in Dublin. */
abstract class AppTestCase extends WebTestCase
{
    private int $inquiries = 0;

    protected const NOW = '2026-11-25 10:42:00 Europe/Dublin';

    protected KernelBrowser $browser;
    protected string $data;
    protected MockClock $clock;
    /** Whether public pages are opened where somebody of the business is signed in. */
    protected bool $asOffice = false;

    protected function setUp(): void
    {
        $this->data = DataFolder::fresh();
        $this->useData($this->data);
        $this->clock = new MockClock(new \DateTimeImmutable(self::NOW));
        Clock::set($this->clock);
        $this->browser = self::createClient();
        // One application answers all requests of a test, reset in between as the worker's is: what it kept from one to the next would show.
        $this->browser->disableReboot();
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        Clock::set(new NativeClock());
        DataFolder::remove($this->data);
        $this->useData(DataFolder::root());
        // PHPUnit keeps every test to the end; what it holds of the application must go now, or each one is slower than the last.
        unset($this->browser, $this->clock);
        // The framework leaves its own handlers in place; PHPUnit wants the ones it had.
        restore_exception_handler();
    }

    /**
     * Asks the application, and holds its answer to the contract.
     *
     * @param array<string, mixed>|null $json the body
     * @param array<string, string> $headers in the way of $_SERVER
     */
    protected function call(string $method, string $path, ?array $json = null, array $headers = []): Answer
    {
        // An empty kind keeps the test browser from naming one itself.
        $server = $headers + ['HTTP_ORIGIN' => 'http://localhost'] + (null === $json ? ['CONTENT_TYPE' => ''] : []);
        $body = null;
        if (null !== $json) {
            $server += ['CONTENT_TYPE' => 'application/json'];
            $body = json_encode((object) $json, \JSON_THROW_ON_ERROR);
        }

        return $this->send($method, $path, $server, $body);
    }

    /** @param array<string, string> $server */
    protected function send(string $method, string $path, array $server, ?string $body): Answer
    {
        $ask = function () use ($method, $path, $server, $body): Answer {
            $this->browser->request($method, $path, server: $server + ['CONTENT_LENGTH' => (string) \strlen($body ?? '')], content: $body);

            return $this->answer($method, $path);
        };

        return str_starts_with($path, '/api/public/') && !$this->asOffice ? $this->inTheirOwnBrowser($ask) : $ask();
    }

    /**
     * A client opens links in a browser in which nobody of the business is signed in.
     *
     * @param \Closure(): Answer $ask
     */
    private function inTheirOwnBrowser(\Closure $ask): Answer
    {
        $cookies = $this->browser->getCookieJar()->all();
        $this->browser->getCookieJar()->clear();
        $answer = $ask();
        $this->browser->getCookieJar()->clear();
        array_map($this->browser->getCookieJar()->set(...), $cookies);

        return $answer;
    }

    protected function get(string $path): Answer
    {
        return $this->call('GET', $path);
    }

    /** @param array<string, mixed> $json */
    protected function post(string $path, array $json = []): Answer
    {
        return $this->call('POST', $path, $json);
    }

    protected function upload(string $source, string $name): Answer
    {
        $copy = $this->data.'/'.bin2hex(random_bytes(4));
        copy($source, $copy);
        $this->browser->request(
            'POST',
            '/api/public/uploads',
            files: ['file' => new UploadedFile($copy, $name, null, null, true)],
            server: ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x', 'CONTENT_LENGTH' => (string) filesize($source)],
        );

        return $this->answer('POST', '/api/public/uploads');
    }

    protected function signIn(string $email = 'coordinator@marrowby.example'): Answer
    {
        return $this->post('/api/session', ['email' => $email, 'password' => 'telamon-demo'])->ok();
    }

    /**
     * Sends the inquiry form.
     *
     * @param array<string, mixed> $answers over a plain inquiry; without, no two say the same
     */
    protected function inquire(array $answers = [], ?string $key = null): Answer
    {
        $answers += [
            'name' => 'Orla Fennick', 'email' => 'orla.fennick@example.com', 'phone' => '020 914 3327', 'service' => 'repair',
            'piano' => 'Pell & Thrane upright', 'place' => '7 Weir Cottages, Marrowby',
            'matter' => 'Several keys stick.'.(0 === $this->inquiries || null !== $key ? '' : " Asked {$this->inquiries} times before."),
        ];
        ++$this->inquiries;

        return $this->call(
            'POST',
            '/api/public/forms/piano-inquiry/submissions',
            ['answers' => array_filter($answers, static fn (mixed $a): bool => null !== $a)],
            null === $key ? [] : ['HTTP_IDEMPOTENCY_KEY' => $key],
        );
    }

    /** @param array<string, mixed> $definition */
    protected function publish(string $title, array $definition): void
    {
        $form = $this->post('/api/forms', ['title' => $title])->ok(201);
        $kept = $this->call(
            'PUT',
            '/api/forms/'.$form->text('id'),
            ['version' => $form->number('version'), 'definition' => ['title' => $title] + $definition + ['purpose' => 'open']],
        )
            ->ok();
        self::assertSame([], $kept->at('problems'));
        $this->post('/api/forms/'.$form->text('id').'/publish', ['version' => $kept->number('version')])->ok();
    }

    /** The id of the submission that came last. */
    protected function lastSubmission(): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM submission ORDER BY rowid DESC LIMIT 1');
        self::assertIsString($id);

        return $id;
    }

    /**
     * Accepts as the interface does: looks, decides, accepts.
     *
     * @param array<string, string> $decisions
     */
    protected function accept(string $id, array $decisions = []): Answer
    {
        $plan = $this->get("/api/submissions/$id")->ok();

        return $this->post("/api/submissions/$id/accept", ['fingerprint' => $plan->text('plan.fingerprint'), 'decisions' => (object) $decisions]);
    }

    /** Does the worker's work: looks ahead, and sends all that is due. Returns how many were sent. */
    protected function work(): int
    {
        $doctrine = self::getContainer()->get('doctrine');
        self::assertInstanceOf(ManagerRegistry::class, $doctrine);
        // A refused change closes the manager; the worker begins every message with an open one.
        $doctrine->resetManager();
        $outbox = self::getContainer()->get('messenger.transport.outbox');
        $handler = self::getContainer()->get(SendMessageHandler::class);
        self::assertInstanceOf(ReceiverInterface::class, $outbox);
        self::assertInstanceOf(SendMessageHandler::class, $handler);
        $this->look();
        $sent = 0;
        while ([] !== ($envelopes = [...$outbox->get()])) {
            foreach ($envelopes as $envelope) {
                $command = $envelope->getMessage();
                self::assertInstanceOf(SendMessage::class, $command);
                $handler($command);
                $outbox->ack($envelope);
                ++$sent;
            }
        }

        return $sent;
    }

    /** Does what is due by the clock, of everything or of the kinds named, as its processes do. Whether it is time to look is left aside. */
    protected function byClock(string ...$names): int
    {
        $run = self::getContainer()->get(DueRun::class);
        self::assertInstanceOf(DueRun::class, $run);
        foreach ($names as $name) {
            self::assertArrayHasKey($name, $run->words());
        }
        foreach (array_keys($run->words()) as $name) {
            $this->db()
                ->executeStatement(
                    "INSERT INTO due_work (name, next_at, looked_at, taken_by) VALUES (:name, CAST(:at AS INTEGER), 0, '') ON CONFLICT DO UPDATE SET next_at = CAST(:at AS INTEGER)",
                    ['name' => $name, 'at' => [] === $names || \in_array($name, $names, true) ? 0 : 99_999_999_999],
                );
        }

        return $run->round(false, static fn (): bool => true) + $run->round(true, static fn (): bool => true);
    }

    private function look(): void
    {
        $ahead = self::getContainer()->get('messenger.transport.ahead');
        $bus = self::getContainer()->get(MessageBusInterface::class);
        self::assertInstanceOf(ReceiverInterface::class, $ahead);
        self::assertInstanceOf(MessageBusInterface::class, $bus);
        while ([] !== ($envelopes = [...$ahead->get()])) {
            foreach ($envelopes as $envelope) {
                $bus->dispatch($envelope->with(new ReceivedStamp('ahead')));
                $ahead->ack($envelope);
            }
        }
    }

    protected function db(): Connection
    {
        $db = self::getContainer()->get(Connection::class);
        self::assertInstanceOf(Connection::class, $db);

        return $db;
    }

    protected function countRows(string $table): int
    {
        $count = $this->db()->fetchOne("SELECT COUNT(*) FROM $table");
        self::assertIsNumeric($count);

        return (int) $count;
    }

    protected function answer(string $method, string $path): Answer
    {
        $response = $this->browser->getResponse();
        $body = $this->browser->getInternalResponse()->getContent();
        $clean = explode('?', $path)[0];
        if (str_starts_with($clean, '/api/')) {
            Contract::load()->check($method, $clean, $response, $body);
        }
        $headers = [];
        foreach ($response->headers->all() as $name => $values) {
            $headers[$name] = $values[0] ?? '';
        }

        return new Answer($response->getStatusCode(), $body, $headers);
    }

    private function useData(string $folder): void
    {
        $_ENV['TELAMON_DATA'] = $_SERVER['TELAMON_DATA'] = $folder;
        putenv("TELAMON_DATA=$folder");
    }
}
