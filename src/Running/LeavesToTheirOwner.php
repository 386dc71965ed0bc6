<?php

declare(strict_types=1);

namespace Telamon\Running;

use Symfony\Component\Console\ConsoleEvents;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Process\Process;

/**
 * Web server and workers do not run as root, and the data folder is theirs. What a command that root runs has written
 * there is given to them, or they could not read it.
 */
#[AsEventListener(ConsoleEvents::TERMINATE)]
final readonly class LeavesToTheirOwner
{
    public function __construct(private string $dataFolder)
    {
    }

    public function __invoke(): void
    {
        $owner = @fileowner($this->dataFolder);
        if (0 === posix_geteuid() && false !== $owner && 0 !== $owner) {
            (new Process(['chown', '-R', '--from=0', $owner.':'.filegroup($this->dataFolder), $this->dataFolder]))->run();
        }
    }
}
