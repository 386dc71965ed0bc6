<?php

/*
 * bin/burden [rows]: four people post while a large file of clients is brought in and taken back and two look-backs run. Prints
 * how long the posts took; exit code 0 when none was refused and none took over a second and a half.
 */

declare(strict_types=1);

namespace Telamon\Bench;

use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';

$rows = (int) ($argv[1] ?? 60_000);
$telamon = Started::as('burden', ['TELAMON_SUBMISSIONS_PER_HOUR' => '1000000', 'TELAMON_PROOF_BITS' => '0', 'TELAMON_LEAST_SECONDS' => '0']);
[$base, $data] = [$telamon->address, $telamon->data];
$cookie = '';
/** @return array{int, array<array-key, mixed>} */
$call = static function (string $method, string $path, mixed $body = null) use ($base, &$cookie): array {
    $curl = curl_init($base.$path) ?: throw new \RuntimeException('no request');
    $headers = ["Origin: $base", "Cookie: $cookie"];
    '' !== $method || throw new \LogicException('a request has a method');
    curl_setopt_array($curl, [\CURLOPT_CUSTOMREQUEST => $method, \CURLOPT_RETURNTRANSFER => true, \CURLOPT_TIMEOUT => 120, \CURLOPT_HEADER => true]);
    if ($body instanceof \CURLFile) {
        curl_setopt($curl, \CURLOPT_POSTFIELDS, ['file' => $body]);
    } elseif (null !== $body) {
        curl_setopt($curl, \CURLOPT_POSTFIELDS, json_encode($body, \JSON_THROW_ON_ERROR));
        $headers[] = 'Content-Type: application/json';
    }
    curl_setopt($curl, \CURLOPT_HTTPHEADER, $headers);
    $answer = curl_exec($curl);
    $answer = \is_string($answer) ? $answer : '';
    $size = curl_getinfo($curl, \CURLINFO_HEADER_SIZE);
    [$head, $text] = [substr($answer, 0, $size), substr($answer, $size)];
    if (1 === preg_match('/Set-Cookie: (telamon=[^;]+)/i', $head, $found)) {
        $cookie = $found[1];
    }
    $decoded = json_decode($text, true);

    return [curl_getinfo($curl, \CURLINFO_RESPONSE_CODE), \is_array($decoded) ? $decoded : []];
};
[$status] = $call('POST', '/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo']);
200 === $status || throw new \RuntimeException("not signed in: $status");
$file = "$data/clients.csv";
$out = fopen($file, 'w') ?: throw new \RuntimeException('the file cannot be written');
fputcsv($out, ['external_id', 'given_name', 'family_name', 'organisation', 'email', 'phone', 'address_line', 'locality', 'postal_code', 'country'], ',', '"', '');
for ($i = 0; $i < $rows; ++$i) {
    fputcsv($out, ["x$i", 'Given'.dechex($i), 'Family'.dechex($i * 7), '', "person$i@example.com", '', "$i Mill Row", 'Marrowby', '', ''], ',', '"', '');
}
fclose($out);
[$status, $run] = $call('POST', '/api/client-imports', new \CURLFile($file, 'text/csv', 'clients.csv'));
$id = $run['id'] ?? null;
201 === $status && \is_string($id) || throw new \RuntimeException("the file was not taken: $status");

// Four people, each a process of their own, until they are told to stop.
$poster = <<<'PHP'
[$base, $who, $until] = [$argv[1], $argv[2], $argv[3]];
for ($i = 0; !is_file($until); ++$i) {
    $curl = curl_init("$base/api/public/forms/piano-inquiry/submissions");
    $began = hrtime(true);
    curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 60, CURLOPT_HTTPHEADER => ["Origin: $base", 'Content-Type: application/json', "Idempotency-Key: $who-$i"],
        CURLOPT_POSTFIELDS => json_encode(['seconds' => 60, 'answers' => ['name' => "Poster $who", 'email' => "poster$who@example.com", 'service' => 'repair', 'matter' => "Number $i of $who."]])]);
    curl_exec($curl);
    printf("%d %.1f\n", curl_getinfo($curl, CURLINFO_RESPONSE_CODE), (hrtime(true) - $began) / 1e6);
    usleep(150_000);
}
PHP;
file_put_contents("$data/poster.php", "<?php\n$poster");
$posters = array_map(static function (int $who) use ($data, $base): Process {
    $process = new Process([\PHP_BINARY, "$data/poster.php", $base, (string) $who, "$data/stop-posting"], null, null, null, null);
    $process->start();

    return $process;
}, [1, 2, 3, 4]);
$state = static function () use ($call, $id): string {
    $now = $call('GET', "/api/client-imports/$id")[1]['state'] ?? '';

    return \is_string($now) ? $now : '';
};
$wait = static function (string $for, int $seconds) use ($state): float {
    $began = microtime(true);
    while ($state() !== $for) {
        microtime(true) - $began < $seconds || throw new \RuntimeException("never $for");
        usleep(300_000);
    }

    return microtime(true) - $began;
};
$call('POST', "/api/client-imports/$id/carry-out");
$rule = ['name' => 'Look', 'if' => ['question' => '@client', 'op' => 'is', 'value' => 'new'], 'then' => [['kind' => 'note', 'text' => 'x']]];
foreach ([400, 300] as $days) {
    $call('POST', '/api/rules/look-backs', ['rule' => $rule, 'days' => $days]);
}
printf("brought in after %.0f s\n", $wait('done', 600));
$change = $call('GET', "/api/client-imports/$id")[1]['changeId'] ?? '';
[$status] = $call('POST', '/api/changes/'.(\is_string($change) ? $change : '').'/undo');
200 === $status || throw new \RuntimeException("not undone: $status");
printf("undone after %.0f s\n", $wait('undone', 600));
touch("$data/stop-posting");
$times = [];
$refused = 0;
foreach ($posters as $process) {
    $process->wait();
    foreach (array_filter(explode("\n", $process->getOutput()), static fn (string $line): bool => '' !== $line) as $line) {
        [$status, $took] = explode(' ', $line) + ['0', '0'];
        $times[] = (float) $took;
        $refused += '201' === $status ? 0 : 1;
    }
}
sort($times);
[] !== $times || throw new \RuntimeException('nobody posted');
$at = static fn (float $share): float => $times[(int) min(\count($times) - 1, floor($share * \count($times)))];
$log = is_file("$data/telamon.db-wal") ? (int) filesize("$data/telamon.db-wal") : 0;
printf(
    "%d posts, %d refused; median %.0f ms, 95 in 100 within %.0f, 99 within %.0f, longest %.0f; log %.1f MB\n",
    \count($times),
    $refused,
    $at(0.5),
    $at(0.95),
    $at(0.99),
    end($times),
    $log / 1e6,
);
exit(0 === $refused && end($times) <= 1500.0 ? 0 : 1);
