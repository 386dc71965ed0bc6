<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Queue\Every;

/** While a worker runs, now and then: sessions that have ended are removed. */
#[AsEventListener]
final class SessionSweep
{
    private readonly Every $every;

    public function __construct(private readonly string $dataFolder)
    {
        $this->every = new Every(3600);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue(new \DateTimeImmutable())) {
            $this->sweep();
        }
    }

    /** @return int how many were removed */
    public function sweep(): int
    {
        $removed = 0;
        foreach (is_dir("{$this->dataFolder}/sessions") ? (new Finder())->files()->in("{$this->dataFolder}/sessions")->name('sess_*')->date('until '.(SessionLimits::IDLE / 3600).' hours ago') : [] as $file) {
            $removed += @unlink($file->getPathname()) ? 1 : 0;
        }

        return $removed;
    }
}
