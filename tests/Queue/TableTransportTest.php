<?php

declare(strict_types=1);

namespace Telamon\Tests\Queue;

use Doctrine\DBAL\Schema\Schema;
use Psr\Log\NullLogger;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Symfony\Component\Messenger\Transport\Serialization\PhpSerializer;
use Telamon\Messages\SendMessage;
use Telamon\Queue\TableTransport;
use Telamon\Queue\TableTransportFactory;
use Telamon\Submissions\LookAhead;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Time\AppClock;
use TelamonMigrations\Version20261126040000;

final class TableTransportTest extends AppTestCase
{
    private TableTransport $queue;

    protected function setUp(): void
    {
        parent::setUp();
        $this->queue = (new TableTransportFactory($this->db(), new AppClock()))->createTransport('table://tried', [], new PhpSerializer());
    }

    public function testWhatWaitedUnderAnOldNameIsCarriedOut(): void
    {
        $this->queue->send(new Envelope(new LookAhead('submission')));
        $this->db()
            ->executeStatement(
                'UPDATE queued SET body = ?',
                [str_replace('O:29:\\"Telamon\\\\Submissions\\\\LookAhead', 'O:24:\\"Telamon\\\\Intake\\\\LookAhead', $this->waiting())],
            );
        self::assertStringContainsString('Intake', $this->waiting());
        $migration = new Version20261126040000($this->db(), new NullLogger());
        $migration->up(new Schema());
        foreach ($migration->getSql() as $query) {
            $this->db()->executeStatement($query->getStatement(), $query->getParameters());
        }
        [$envelope] = [...$this->queue->get()];
        self::assertEquals(new LookAhead('submission'), $envelope->getMessage());
    }

    private function waiting(): string
    {
        $body = $this->db()->fetchOne('SELECT body FROM queued');

        return \is_string($body) ? $body : self::fail('nothing waits');
    }

    public function testFirstInFirstOut(): void
    {
        foreach (['a', 'b', 'c'] as $id) {
            $this->queue->send(new Envelope(new SendMessage($id)));
        }
        self::assertSame(3, $this->queue->getMessageCount());
        self::assertSame(['a', 'b', 'c'], [$this->take(), $this->take(), $this->take()]);
        self::assertNull($this->take());
    }

    public function testADelayedMessageWaits(): void
    {
        $this->queue->send(new Envelope(new SendMessage('later'), [new DelayStamp(90_000)]));
        self::assertNull($this->take());
        $this->clock->modify('+89 seconds');
        self::assertNull($this->take());
        $this->clock->modify('+1 second');
        self::assertSame('later', $this->take());
    }

    public function testAClockThatGoesBackKeepsNothingWaiting(): void
    {
        $this->queue->send(new Envelope(new SendMessage('queued')));
        $this->queue->send(new Envelope(new SendMessage('taken')));
        self::assertSame('queued', $this->take());
        $this->clock->modify('-1 hour');
        self::assertEqualsCanonicalizing(['queued', 'taken'], [$this->take(), $this->take()]);
        self::assertNull($this->take(), 'what was taken just now is not given out again');
    }

    public function testWhatWasTakenAndNotAcknowledgedComesBackAfterAMinute(): void
    {
        $this->queue->send(new Envelope(new SendMessage('left behind')));
        self::assertSame('left behind', $this->take());
        $this->clock->modify('+59 seconds');
        self::assertNull($this->take());
        $this->clock->modify('+1 second');
        self::assertSame('left behind', $this->take());
    }

    public function testWhatIsAcknowledgedIsGone(): void
    {
        $this->queue->send(new Envelope(new SendMessage('done')));
        foreach ($this->queue->get() as $envelope) {
            self::assertNotNull($this->queue->find(1));
            $this->queue->ack($envelope);
        }
        self::assertSame(0, $this->queue->getMessageCount());
        self::assertNull($this->queue->find(1));
    }

    public function testAMessageIsThereIfAndOnlyIfItsTransactionIs(): void
    {
        try {
            $this->db()->transactional(function (): never {
                $this->queue->send(new Envelope(new SendMessage('never')));
                throw new \DomainException('no');
            });
        } catch (\DomainException) {
        }
        self::assertSame(0, $this->queue->getMessageCount());
        self::assertSame([], [...$this->queue->all()]);
    }

    public function testWhatCannotBeReadIsTakenOut(): void
    {
        $this->db()->insert('queued', ['queue' => 'tried', 'body' => 'no envelope', 'headers' => '[]', 'queued_at' => 0, 'available_at' => 0]);
        try {
            $this->take();
            self::fail('it cannot be read');
        } catch (\Symfony\Component\Messenger\Exception\MessageDecodingFailedException) {
            self::assertSame(0, $this->queue->getMessageCount());
        }
    }

    private function take(): ?string
    {
        foreach ($this->queue->get() as $envelope) {
            $message = $envelope->getMessage();
            self::assertInstanceOf(SendMessage::class, $message);

            return $message->messageId;
        }

        return null;
    }
}
