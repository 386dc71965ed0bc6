<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\Finder\Finder;
use Telamon\Queue\DueWork;

/** While a worker runs, now and then: sessions that have ended are removed. */
final readonly class SessionSweep implements DueWork
{
    public function __construct(private string $dataFolder)
    {
    }

    public function name(): string
    {
        return 'sessions';
    }

    public function words(): string
    {
        return 'Old sessions are ended';
    }

    public function every(): int
    {
        return 3600;
    }

    /** @return list<string> names of files that nobody has used for as long as a session may stand idle */
    public function due(): array
    {
        $due = [];
        foreach (is_dir("{$this->dataFolder}/sessions") ? (new Finder())->files()->in("{$this->dataFolder}/sessions")->name('sess_*')->date('until '.(SessionLimits::IDLE / 3600).' hours ago') : [] as $file) {
            $due[] = $file->getFilename();
        }

        return \array_slice($due, 0, 1000);
    }

    public function carryOut(string $key): void
    {
        @unlink("{$this->dataFolder}/sessions/".basename($key));
    }
}
