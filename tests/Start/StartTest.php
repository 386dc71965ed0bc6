<?php

declare(strict_types=1);

namespace Telamon\Tests\Start;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Telamon\Tests\Browser\Support\Installation;
use Telamon\Tests\Support\DataFolder;

/** What bin/start says when it cannot start: one clear line, and no zero. */
final class StartTest extends TestCase
{
    /** @param list<string> $arguments */
    #[DataProvider('wrongArguments')]
    public function testWrongArguments(array $arguments, string $words): void
    {
        $this->assertRefused($arguments, $words);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function wrongArguments(): iterable
    {
        yield 'an unknown option' => [['--colour', 'blue'], 'unknown option --colour'];
        yield 'a port that is none' => [['--port', 'eighty'], 'the port must be a number'];
        yield 'a port too high' => [['--port', '70000'], 'between 1 and 65535'];
        yield 'no folder after --data' => [['--port', '18998', '--data'], '--data needs a folder'];
        yield 'the demo for everybody' => [['--host', '0.0.0.0'], 'Add --no-demo'];
        yield 'a data folder that cannot be made' => [['--data', '/proc/telamon'], 'cannot be made'];
    }

    public function testAPortInUse(): void
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);
        $name = (string) stream_socket_get_name($socket, false);
        $port = substr($name, (int) strrpos($name, ':') + 1);
        $this->assertRefused(['--port', $port, '--data', DataFolder::root().'/in-use'], "port $port is in use");
        fclose($socket);
    }

    public function testADataFolderThatCannotBeWritten(): void
    {
        // Nobody writes there, root included.
        $this->assertRefused(['--data', '/proc/self'], 'cannot be written');
    }

    public function testHelp(): void
    {
        $process = $this->start(['--help']);
        self::assertSame(0, $process->getExitCode());
        self::assertStringContainsString('--no-demo', $process->getOutput());
    }

    public function testAMissingExtensionIsNamed(): void
    {
        // A PHP that knows no extension stands in front of the real one.
        $folder = DataFolder::root().'/poor';
        @mkdir($folder, 0o755, true);
        file_put_contents("$folder/php", "#!/bin/sh\n[ \"\$1\" = -m ] && { echo Core; exit 0; }\nexec ".\PHP_BINARY." \"\$@\"\n");
        chmod("$folder/php", 0o755);
        $process = $this->start(['--no-install', '--data', "$folder/data", '--port', '18999'], ['PATH' => "$folder:".getenv('PATH')]);
        self::assertSame(1, $process->getExitCode());
        self::assertStringContainsString('telamon: missing: ', $process->getErrorOutput());
    }

    /** @param list<string> $arguments */
    private function assertRefused(array $arguments, string $words): void
    {
        $process = $this->start($arguments);
        self::assertSame(1, $process->getExitCode(), $process->getOutput().$process->getErrorOutput());
        $lines = array_values(array_filter(explode("\n", trim($process->getErrorOutput())), static fn (string $line): bool => '' !== $line));
        self::assertStringContainsString($words, implode("\n", $lines));
        self::assertStringStartsWith('telamon: ', $lines[\count($lines) - 1]);
    }

    /**
     * @param list<string> $arguments
     * @param array<string, string> $environment
     */
    private function start(array $arguments, array $environment = []): Process
    {
        if (!\in_array('--port', $arguments, true)) {
            array_push($arguments, '--port', (string) Installation::freePort());
        }
        $process = new Process([\dirname(__DIR__, 2).'/bin/start', ...$arguments], null, $environment + ['APP_ENV' => 'prod'], null, 60);
        $process->run();

        return $process;
    }
}
