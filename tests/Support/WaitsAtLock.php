<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * Leaves a sign in the folder at-lock of the data, where there is one, each time somebody is about to ask for the write
 * lock. Where a file die-at says so (“before 2”, “after 1”), the process is killed before or after that commit of its own.
 */
final readonly class WaitsAtLock implements Middleware
{
    public const FOLDER = 'at-lock';
    public const DIES = 'die-at';

    public function __construct(private string $folder)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        return new class($driver, $this->folder.'/'.self::FOLDER) extends AbstractDriverMiddleware {
            public function __construct(Driver $driver, private readonly string $folder)
            {
                parent::__construct($driver);
            }

            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                return new class(parent::connect($params), $this->folder) extends AbstractConnectionMiddleware {
                    private int $commits = 0;

                    public function __construct(Connection $connection, private readonly string $folder)
                    {
                        parent::__construct($connection);
                    }

                    public function commit(): void
                    {
                        ++$this->commits;
                        $this->die('before');
                        parent::commit();
                        $this->die('after');
                    }

                    private function die(string $when): void
                    {
                        $sign = \dirname($this->folder).'/'.WaitsAtLock::DIES;
                        if (is_file($sign) && "$when {$this->commits}" === file_get_contents($sign)) {
                            // Once: whoever asks again is answered.
                            unlink($sign);
                            posix_kill(posix_getpid(), \SIGKILL);
                        }
                    }

                    public function beginTransaction(): void
                    {
                        if (is_dir($this->folder)) {
                            touch("{$this->folder}/".getmypid());
                        }
                        parent::beginTransaction();
                    }
                };
            }
        };
    }
}
