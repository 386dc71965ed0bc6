<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use PHPUnit\Framework\Assert;
use Symfony\Component\Process\Process;
use Telamon\Tests\Browser\Support\Installation;

/** A web server over the data folder of a test, asked several things in the same moment: all of them look, and only then may any of them write. */
final class AtOnce
{
    public const MANY = 8;
    private readonly Process $server;
    private readonly string $address;

    public function __construct(private readonly string $data, string $clock)
    {
        $port = Installation::freePort();
        $this->address = "http://127.0.0.1:$port";
        $public = \dirname(__DIR__, 2).'/public';
        $this->server = new Process(
            [\PHP_BINARY, '-d', 'variables_order=EGPCS', '-S', "127.0.0.1:$port", 'router.php'],
            $public,
            [
                'TELAMON_DATA' => $data,
                'APP_ENV' => 'test',
                'APP_DEBUG' => '0',
                'APP_SECRET' => 'tests-only',
                'TELAMON_PROOF_BITS' => '0',
                'TELAMON_LEAST_SECONDS' => '0',
                'TELAMON_HOLD_SECONDS' => '0',
                'TELAMON_HOSTS' => '127.0.0.1',
                'PHP_CLI_SERVER_WORKERS' => (string) (self::MANY + 2),
                'TELAMON_CLOCK_SHIFT' => (string) ((new \DateTimeImmutable($clock))->getTimestamp() - time()),
            ],
        );
        $this->server->start();
        $this->server->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'started'));
    }

    public function __destruct()
    {
        // Asked to end, it ends its own helpers; killed, it would leave them.
        $this->server->stop(5, \SIGTERM);
    }

    /** @return string the cookie of whoever signed in */
    public function signIn(string $email = 'coordinator@marrowby.example'): string
    {
        $curl = $this->request('POST', '/api/session', ['email' => $email, 'password' => 'telamon-demo'], '');
        curl_setopt($curl, \CURLOPT_HEADER, true);
        $answer = curl_exec($curl);
        Assert::assertIsString($answer);
        Assert::assertGreaterThan(0, preg_match_all('/^Set-Cookie: ([^;\r]+)/mi', $answer, $m), $answer);

        return implode('; ', $m[1]);
    }

    /**
     * The same, asked by so many that have all looked before the first may write.
     *
     * @param array<string, mixed> $body
     * @param list<string> $cookies of whoever asks, taken in turn
     * @param (callable(\PDO): mixed)|null $meanwhile what somebody else writes while all of them wait
     *
     * @return list<array{status: int, body: string}>
     */
    public function ask(string $method, string $path, array $body, array $cookies = [''], int $many = self::MANY, ?callable $meanwhile = null): array
    {
        $folder = "{$this->data}/".WaitsAtLock::FOLDER;
        $db = new \PDO("sqlite:{$this->data}/telamon.db", null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $db->exec('PRAGMA busy_timeout = 10000');
        $db->exec('BEGIN IMMEDIATE');
        mkdir($folder);
        $all = curl_multi_init();
        $each = [];
        $waiting = 0;
        $running = 0;
        for ($i = 0; $i < $many; ++$i) {
            $each[] = $one = $this->request($method, $path, $body, $cookies[$i % \count($cookies)]);
            curl_multi_add_handle($all, $one);
            // One after the other up to the lock: a helper of the server takes several connections at a time, and answers them in turn.
            $until = hrtime(true) + 5_000_000_000;
            while ($i + 1 > ($waiting = \count(glob("$folder/*") ?: [])) && hrtime(true) < $until) {
                curl_multi_exec($all, $running);
                curl_multi_select($all, 0.01);
            }
            if ($waiting <= $i) {
                break;
            }
        }
        if (null !== $meanwhile) {
            $meanwhile($db);
        }
        $db->exec('COMMIT');
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.02);
        } while ($running > 0);
        $logs = glob("{$this->data}/log/telamon-*.log") ?: [];
        array_map(
            static fn (\CurlHandle $one) => Assert::assertNotSame(
                500,
                curl_getinfo($one, \CURLINFO_RESPONSE_CODE),
                mb_substr([] === $logs ? '' : (string) file_get_contents($logs[0]), 0, 1500),
            ),
            $each,
        );
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
        Assert::assertSame($many, $waiting, 'all were to wait at the lock: '.mb_substr(strip_tags((string) json_encode(array_map(curl_multi_getcontent(...), $each))), 0, 600));

        return array_map(static fn (\CurlHandle $one): array => ['status' => curl_getinfo($one, \CURLINFO_RESPONSE_CODE), 'body' => (string) curl_multi_getcontent($one)], $each);
    }

    /**
     * Asked once, by whoever was not answered before.
     *
     * @param array<string, mixed> $body
     *
     * @return int the status; 0 where no answer came
     */
    public function once(string $method, string $path, array $body, string $cookie = ''): int
    {
        $curl = $this->request($method, $path, $body, $cookie);
        curl_exec($curl);

        return curl_getinfo($curl, \CURLINFO_RESPONSE_CODE);
    }

    /** @param array<string, mixed> $body */
    private function request(string $method, string $path, array $body, string $cookie): \CurlHandle
    {
        $curl = curl_init($this->address.$path);
        curl_setopt_array($curl, [
            \CURLOPT_RETURNTRANSFER => true, \CURLOPT_TIMEOUT => 30, \CURLOPT_CUSTOMREQUEST => '' === $method
                ? 'GET'
                : $method, \CURLOPT_POSTFIELDS => json_encode((object) $body, \JSON_THROW_ON_ERROR),
            \CURLOPT_HTTPHEADER => ['Content-Type: application/json', "Origin: {$this->address}", ...('' === $cookie ? [] : ["Cookie: $cookie"])],
        ]);

        return $curl;
    }
}
