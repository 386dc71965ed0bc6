<?php

declare(strict_types=1);

namespace Telamon\Tests\Start;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;
use Telamon\Tests\Browser\Support\Installation;
use Telamon\Tests\Support\DataFolder;

/** What bin/start runs is watched over, alone on its data folder, and ends with it. */
final class SuperviseTest extends TestCase
{
    public function testAPartThatDiesIsReplacedASecondStartIsRefusedAndAllEndTogether(): void
    {
        $data = DataFolder::root().'/supervised';
        $port = Installation::freePort();
        $start = $this->start($data, $port);
        try {
            foreach (['messenger:consume outbox', 'nginx: master', 'php-fpm: master'] as $part) {
                $pid = $this->pid($data, $part);
                posix_kill($pid, \SIGKILL);
                $this->until(fn (): bool => !\in_array($this->found($data, $part), [0, $pid], true), "$part is replaced");
            }
            $this->until(static fn (): bool => str_contains((string) @file_get_contents("http://127.0.0.1:$port/api/health"), '"database":"ok"'), 'it answers again');
            $nul = curl_init("http://127.0.0.1:$port/api/rules/%00");
            curl_setopt_array($nul, [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_PATH_AS_IS => true]);
            self::assertIsString($body = curl_exec($nul));
            self::assertSame([400, 'Not understood'], [curl_getinfo($nul, \CURLINFO_RESPONSE_CODE), ((array) json_decode($body, true))['title'] ?? $body]);

            // Started as root, nothing that answers or works is root; and what root does by hand is theirs to read.
            if (0 === posix_geteuid()) {
                foreach (['messenger:consume outbox', 'telamon:due:work --time', 'nginx: master', 'nginx: worker', 'php-fpm: master', 'php-fpm: pool'] as $part) {
                    $pid = $this->pid($data, $part);
                    self::assertSame(1, preg_match('/^Uid:\s+([1-9]\d*)\s+([1-9]\d*)\s/m', (string) file_get_contents("/proc/$pid/status")), "$part is not root");
                }
                DataFolder::console($data, 'telamon:backup', "$data/kept.tar")->run();
                $roots = [];
                foreach ((new Finder())->in($data)->ignoreDotFiles(true) as $one) {
                    if (0 === $one->getOwner()) {
                        $roots[] = $one->getPathname();
                    }
                }
                self::assertSame([], $roots);
            }

            // Several at once, as when the machine runs out of memory.
            $parts = ['messenger:consume outbox', 'messenger:consume ahead', 'telamon:due:work --time', 'php-fpm: master'];
            $pids = array_map(fn (string $part): int => $this->pid($data, $part), $parts);
            array_map(static fn (int $pid): bool => posix_kill($pid, \SIGKILL), $pids);
            foreach ($parts as $i => $part) {
                $this->until(fn (): bool => !\in_array($this->found($data, $part), [0, $pids[$i]], true), "$part is replaced with the others");
            }

            $second = new Process(
                [\dirname(__DIR__, 2).'/bin/start', '--no-install', '--no-demo', '--port', (string) Installation::freePort(), '--data', $data],
                null,
                ['APP_ENV' => 'prod', 'TELAMON_DATA' => $data],
                null,
                60,
            );
            self::assertSame(1, $second->run());
            self::assertStringContainsString('another Telamon runs on', $second->getErrorOutput());

            posix_kill((int) $start->getPid(), \SIGKILL);
            $this->until(
                fn (): bool => 0 === $this->found($data, 'messenger:consume') && 0 === $this->found($data, 'nginx: master') && 0 === $this->found($data, 'php-fpm: master'),
                'all end with the script that began them',
            );
        } finally {
            $start->stop(5);
        }
        // And it starts again at once.
        $this->start($data, $port)->stop(10);
    }

    private function start(string $data, int $port): Process
    {
        $start = new Process(
            [\dirname(__DIR__, 2).'/bin/start', '--no-install', '--no-demo', '--port', (string) $port, '--data', $data],
            null,
            ['APP_ENV' => 'prod', 'APP_DEBUG' => '0', 'TELAMON_DATA' => $data],
            null,
            null,
        );
        $start->start();
        $this->until(static fn (): bool => str_contains($start->getOutput(), 'End it with') || !$start->isRunning(), 'it starts');
        self::assertTrue($start->isRunning(), $start->getErrorOutput());

        return $start;
    }

    private function pid(string $data, string $part): int
    {
        $this->until(fn (): bool => 0 !== $this->found($data, $part), "$part runs");

        return $this->found($data, $part);
    }

    /** @return int 0 where no such part of that installation runs */
    private function found(string $data, string $part): int
    {
        foreach (glob('/proc/[0-9]*') ?: [] as $process) {
            $command = str_replace("\0", ' ', (string) @file_get_contents("$process/cmdline"));
            if (str_contains($command, $part) && "$data/.lock" === @readlink("$process/fd/9")) {
                return (int) basename($process);
            }
        }

        return 0;
    }

    private function until(callable $holds, string $what): void
    {
        $end = microtime(true) + 40;
        while (!$holds()) {
            self::assertLessThan($end, microtime(true), $what);
            usleep(50_000);
        }
        $this->addToAssertionCount(1);
    }
}
