<?php

declare(strict_types=1);

namespace Telamon\Tests\Queue;

use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Symfony\Component\Messenger\Transport\Serialization\PhpSerializer;
use Telamon\Messages\SendMessage;
use Telamon\Queue\TableTransport;
use Telamon\Queue\TableTransportFactory;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Time\AppClock;

final class TableTransportTest extends AppTestCase
{
    private TableTransport $queue;

    protected function setUp(): void
    {
        parent::setUp();
        $this->queue = (new TableTransportFactory($this->db(), new AppClock()))->createTransport('table://tried', [], new PhpSerializer());
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
