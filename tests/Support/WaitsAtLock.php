<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** Leaves a sign in the folder at-lock of the data, where there is one, each time somebody is about to ask for the write lock. */
final readonly class WaitsAtLock implements Middleware
{
    public const FOLDER = 'at-lock';

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
                    public function __construct(Connection $connection, private readonly string $folder)
                    {
                        parent::__construct($connection);
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
