<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser\Support;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\DataFolder;

/** Telamon as bin/start runs it, with the demo, on a Wednesday morning; one for all browser tests. */
final class Installation
{
    private const MORNING = '2026-11-25 10:42:00 Europe/Dublin';
    private static ?self $one = null;

    private function __construct(public readonly string $address, public readonly string $data)
    {
    }

    public static function running(): self
    {
        return self::$one ??= self::start();
    }

    /** @return int a port that nothing listens on */
    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if (false === $socket) {
            throw new \RuntimeException('no port is free');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    private static function start(): self
    {
        $data = DataFolder::root().'/browser';
        $port = self::freePort();
        $process = new Process(
            [\dirname(__DIR__, 3).'/bin/start', '--no-install', '--port', (string) $port, '--data', $data],
            null,
            [
                'APP_ENV' => 'prod',
                'APP_DEBUG' => '0',
                'APP_SECRET' => 'tests-only',
                'TELAMON_LEAST_SECONDS' => '0',
                'TELAMON_HOLD_SECONDS' => '5',
                'TELAMON_DATA' => $data,
                'TELAMON_CLOCK_SHIFT' => (string) ((new \DateTimeImmutable(self::MORNING))->getTimestamp() - time()),
            ],
            null,
            null,
        );
        $process->start();
        $process->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'End it with'));
        if (!$process->isRunning()) {
            throw new \RuntimeException('bin/start failed: '.$process->getOutput().$process->getErrorOutput());
        }
        register_shutdown_function(static function () use ($process): void {
            $process->signal(\SIGTERM);
            $process->wait();
        });

        return new self("http://127.0.0.1:$port", $data);
    }
}
