<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\DBAL\Exception\RetryableException;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Queue\Every;

/** The worker takes in whatever lies in the folder mail-in of the data: a program that fetches mail puts it there. */
#[AsEventListener]
final class MailFolder
{
    private const MOST_AT_ONCE = 20;

    private readonly Every $look;

    public function __construct(private readonly MailIn $in, private readonly EntityManagerInterface $em, private readonly ClockInterface $clock, private readonly LoggerInterface $logger, private readonly string $dataFolder)
    {
        $this->look = new Every(5);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->look->isDue($this->clock->now())) {
            $this->takeIn();
        }
    }

    /**
     * Each is moved once it is in: a file that is there after a crash is taken in again, and is known.
     *
     * @throws \Throwable where nothing more can be written before the worker begins anew; what was not looked at stays
     */
    public function takeIn(): void
    {
        foreach (\array_slice(glob("{$this->folder()}/*.eml") ?: [], 0, self::MOST_AT_ONCE) as $file) {
            try {
                $this->in->take((string) file_get_contents($file));
                $this->move($file, 'taken');
            } catch (RetryableException $error) {
                // The database was busy: the mail stays where it is, to be taken in the next time.
                throw $error;
            } catch (\Throwable $error) {
                // One that cannot be read must not keep the others out; it stays beside, for a person.
                $this->logger->error('a mail could not be taken in', ['file' => basename($file), 'error' => $error->getMessage()]);
                $this->move($file, 'not-read');
                if (!$this->em->isOpen()) {
                    throw $error;
                }
            }
        }
    }

    /** How many lie beside because they could not be read. */
    public function notRead(): int
    {
        return \count(glob("{$this->folder()}/not-read/*.eml") ?: []);
    }

    private function folder(): string
    {
        return "{$this->dataFolder}/mail-in";
    }

    private function move(string $file, string $to): void
    {
        $folder = "{$this->folder()}/$to";
        if (!is_dir($folder)) {
            @mkdir($folder, 0o700, true);
        }
        rename($file, "$folder/".basename($file));
    }
}
