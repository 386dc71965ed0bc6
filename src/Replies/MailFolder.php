<?php

declare(strict_types=1);

namespace Telamon\Replies;

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

    public function __construct(private readonly MailIn $in, private readonly ClockInterface $clock, private readonly LoggerInterface $logger, private readonly string $dataFolder)
    {
        $this->look = new Every(5);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->look->isDue($this->clock->now())) {
            $this->takeIn();
        }
    }

    /** Each is moved once it is in: a file that is there after a crash is taken in again, and is known. */
    public function takeIn(): void
    {
        $folder = "{$this->dataFolder}/mail-in";
        foreach (\array_slice(glob("$folder/*.eml") ?: [], 0, self::MOST_AT_ONCE) as $file) {
            $to = 'taken';
            try {
                $this->in->take((string) file_get_contents($file));
            } catch (\Throwable $error) {
                // One that cannot be read must not keep the others out; it stays beside, for a person.
                $this->logger->error('a mail could not be taken in', ['file' => basename($file), 'error' => $error->getMessage()]);
                $to = 'not-read';
            }
            if (!is_dir("$folder/$to")) {
                @mkdir("$folder/$to", 0o700, true);
            }
            rename($file, "$folder/$to/".basename($file));
        }
    }
}
