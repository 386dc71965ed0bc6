<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** An installation of before, which is brought up to now. */
abstract class OldInstallation extends TestCase
{
    private string $data = '';

    protected function setUp(): void
    {
        $this->data = DataFolder::root().'/old-'.bin2hex(random_bytes(4));
        (new Filesystem())->mkdir($this->data);
    }

    protected function tearDown(): void
    {
        DataFolder::remove($this->data);
    }

    /** @param string $version of the database, as YmdHis */
    protected function installed(string $version): \PDO
    {
        $this->console('doctrine:migrations:migrate', "TelamonMigrations\\Version$version");

        return new \PDO("sqlite:{$this->data}/telamon.db");
    }

    protected function bringUp(): void
    {
        $this->console('telamon:database:update');
    }

    private function console(string ...$arguments): void
    {
        (new Process([\PHP_BINARY, 'bin/console', ...$arguments, '-n'], \dirname(__DIR__, 2), ['TELAMON_DATA' => $this->data, 'APP_ENV' => 'test']))->mustRun();
    }
}
