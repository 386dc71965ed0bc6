<?php

declare(strict_types=1);

namespace Telamon\Bench;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** Telamon as bin/start runs it, on a data folder of its own, until the script ends. */
final readonly class Started
{
    /** @param non-empty-string $address */
    private function __construct(public string $address, public string $data)
    {
    }

    /**
     * @param string $name of the data folder
     * @param array<string, string> $environment
     *
     * @throws \RuntimeException with its output when it does not start
     */
    public static function as(string $name, array $environment = []): self
    {
        $data = sys_get_temp_dir()."/telamon-$name-".getmypid();
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no port is free');
        $port = substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $server = new Process(
            [\dirname(__DIR__).'/bin/start', '--no-install', '--port', $port, '--data', $data],
            null,
            ['TELAMON_DATA' => $data, 'APP_ENV' => 'prod'] + $environment,
            null,
            null,
        );
        $server->start();
        register_shutdown_function(static function () use ($server, $data): void {
            $server->stop(10);
            (new Filesystem())->remove($data);
        });
        $server->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'End it with'));
        if (!$server->isRunning()) {
            throw new \RuntimeException('it did not start: '.$server->getOutput().$server->getErrorOutput());
        }

        return new self("http://127.0.0.1:$port", $data);
    }
}
