<?php

/*
 * bin/bench [clients] [submissions]: fills a data folder of its own and prints what costs how much, as a
 * ratio to two floors measured in the same run: an empty framework route, and one durable SQLite insert.
 */

declare(strict_types=1);

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;
use Telamon\Bench\Clock;
use Telamon\Bench\Filler;
use Telamon\Bench\Web;
use Telamon\Http\BuiltAssets;

require_once dirname(__DIR__).'/vendor/autoload.php';

$root = dirname(__DIR__);
$clients = (int) ($argv[1] ?? 10_000);
$submissions = (int) ($argv[2] ?? 100_000);
$data = sys_get_temp_dir().'/telamon-bench-'.getmypid();
$port = 8700 + (int) getmypid() % 200;
$server = new Process(["$root/bin/start", '--no-install', '--port', (string) $port, '--data', $data], null, ['TELAMON_DATA' => $data, 'TELAMON_SUBMISSIONS_PER_HOUR' => '1000000', 'TELAMON_BENCH' => '1', 'APP_ENV' => 'prod'], null, null);
$server->start();
$server->waitUntil(static fn (string $type, string $out): bool => str_contains($out, 'End it with'));
if (!$server->isRunning()) {
    fwrite(\STDERR, $server->getOutput().$server->getErrorOutput());
    exit(1);
}
register_shutdown_function(static function () use ($server, $data): void {
    $server->signal(\SIGTERM);
    $server->wait();
    (new Filesystem())->remove($data);
});

$db = new PDO("sqlite:$data/telamon.db");
foreach (['busy_timeout = 10000', 'synchronous = FULL'] as $pragma) {
    $db->exec("PRAGMA $pragma");
}
printf("Filling with %s clients and %s submissions …\n", number_format($clients), number_format($submissions));
(new Filler($db))->fill($clients, $submissions);

$web = new Web("http://127.0.0.1:$port");
$web->signIn();
$anonymous = new Web("http://127.0.0.1:$port");

$empty = Clock::measure(static fn (): array => $anonymous->call('GET', '/api/empty'), 300, 30);
$db->exec('CREATE TABLE floor (id INTEGER PRIMARY KEY, body TEXT)');
$insert = Clock::measure(static fn (int $i): int|false => $db->exec("INSERT INTO floor (body) VALUES ('".str_repeat('x', 400)."')"), 200);

$answers = ['name' => 'Orla Fennick', 'email' => 'orla.fennick@post.example', 'phone' => '020 914 3327', 'service' => 'repair', 'piano' => 'Upright', 'place' => '7 Weir Cottages', 'wanted_by' => '12 June 2027', 'matter' => 'Several keys stick.'];
$started = hrtime(true);
$post = Clock::measure(static fn (int $i): array => $anonymous->call('POST', '/api/public/forms/piano-inquiry/submissions', ['answers' => $answers]), 200);
$perSecond = 205 / ((hrtime(true) - $started) / 1e9);
$list = Clock::measure(static fn (): array => $web->call('GET', '/api/submissions'), 100);
$aside = Clock::measure(static fn (): array => $web->call('GET', '/api/submissions?state=set-aside'), 100);

$ids = [];
$cursor = '';
while (count($ids) < 70) {
    $page = $web->call('GET', '/api/submissions?q=fennick'.('' === $cursor ? '' : "&cursor=$cursor"));
    foreach (is_array($page['items']) ? $page['items'] : [] as $item) {
        if (is_array($item) && is_string($item['id']) && 0 === $item['toDecide']) {
            $ids[] = $item['id'];
        }
    }
    if (!is_string($page['next'])) {
        break;
    }
    $cursor = $page['next'];
}
$plan = Clock::measure(static fn (int $i): array => $web->call('GET', '/api/submissions/'.$ids[abs($i) % count($ids)]), 100);
$left = $ids;
$accept = [];
foreach (array_slice($left, 0, 60) as $id) {
    $submission = $web->call('GET', "/api/submissions/$id");
    $fingerprint = is_array($submission['plan']) ? $submission['plan']['fingerprint'] : '';
    $start = hrtime(true);
    $web->call('POST', "/api/submissions/$id/accept", ['fingerprint' => $fingerprint]);
    $accept[] = (hrtime(true) - $start) / 1e6;
}
sort($accept);
$accepted = ['median' => $accept[intdiv(count($accept), 2)], 'p95' => $accept[(int) floor(0.95 * (count($accept) - 1))]];

$entry = (new BuiltAssets($root))->entry('src/client/main.tsx');
$bytes = 0;
foreach ([$entry['script'], ...$entry['preload'], ...$entry['styles']] as $address) {
    $bytes += (int) @filesize("$root/public$address.gz");
}

$line = static function (string $what, array $time, ?float $most = null) use ($empty): void {
    printf("%-42s %8.2f ms %8.2f ms   %5.1f empty routes%s\n", $what, $time['median'], $time['p95'], $time['median'] / $empty['median'], null === $most ? '' : sprintf('   (aim: at most %.1f)', $most / $empty['median']));
};
printf("\n%-42s %11s %11s\n", '', 'median', '95 %');
$line('floor: an empty framework route', $empty);
$line('floor: one durable SQLite insert', $insert);
$line('post a submission', $post, 4 * $empty['median'] + $insert['median']);
$line('Arrivals, first page', $list, 3 * $empty['median']);
$line('set aside, first page', $aside, 3 * $empty['median']);
$line('a submission with its plan', $plan);
$line('accept a plan', $accepted);
printf("\n%.0f submissions posted a second over one connection; public form: %.1f kB of script and style compressed\n", $perSecond, $bytes / 1000);
