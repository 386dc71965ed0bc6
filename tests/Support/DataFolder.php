<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** Data folders for tests. One is prepared once; every test gets a copy of it. */
final class DataFolder
{
    private static ?string $template = null;

    public static function root(): string
    {
        return sys_get_temp_dir().'/telamon-tests-'.getmypid();
    }

    /** A fresh folder with the workshop's staff, setup and forms, and nothing else. */
    public static function fresh(): string
    {
        self::$template ??= self::prepare();
        $folder = self::root().'/'.bin2hex(random_bytes(6));
        (new Filesystem())->mirror(self::$template, $folder);

        return $folder;
    }

    public static function remove(string $folder): void
    {
        (new Filesystem())->remove($folder);
    }

    /** Runs the console on a data folder, as the worker and bin/start do. */
    public static function console(string $folder, string ...$arguments): Process
    {
        return new Process(
            [\PHP_BINARY, \dirname(__DIR__, 2).'/bin/console', ...$arguments],
            null,
            ['TELAMON_DATA' => $folder, 'APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'tests-only', 'TELAMON_HOLD_SECONDS' => '0'],
            null,
            120,
        );
    }

    private static function prepare(): string
    {
        $folder = self::root().'/template';
        (new Filesystem())->mkdir($folder);
        register_shutdown_function(static function (): void {
            self::remove(self::root());
        });
        self::console($folder, 'telamon:database:update', '--quiet')->mustRun();
        self::console($folder, 'telamon:demo:load', '--setup-only')->mustRun();
        // The copy that goes out at once has its own test; in all others it would only be one message more to count.
        (new \PDO("sqlite:$folder/telamon.db"))->exec("UPDATE form_version SET definition = json_set(definition, '$.copy', json('false'))");

        return $folder;
    }
}
