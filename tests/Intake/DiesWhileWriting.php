<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostPersistEventArgs;
use Doctrine\ORM\Events;
use Telamon\Tasks\Task;

/** Kills the process at the third task that is written, when a file in the data folder says so. */
#[AsDoctrineListener(Events::postPersist)]
final class DiesWhileWriting
{
    public const SIGN = 'die-while-writing';
    private int $tasks = 0;

    public function __construct(private readonly string $folder)
    {
    }

    public function postPersist(PostPersistEventArgs $args): void
    {
        if ($args->getObject() instanceof Task && 3 === ++$this->tasks && is_file("{$this->folder}/".self::SIGN)) {
            posix_kill(posix_getpid(), \SIGKILL);
        }
    }
}
