<?php

/*
 * bin/bench [clients] [submissions]: fills a data folder of its own and prints what costs how much, as a
 * ratio to two floors measured in the same run: an empty framework route, and one durable SQLite insert.
 */

declare(strict_types=1);

use Telamon\Bench\Clock;
use Telamon\Bench\Filler;
use Telamon\Bench\Started;
use Telamon\Bench\Web;
use Telamon\Core\Checklists\OutlineMerge;
use Telamon\Core\Checklists\OutlineReader;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\SlotReader;
use Telamon\Http\BuiltAssets;

require_once dirname(__DIR__).'/vendor/autoload.php';

$root = dirname(__DIR__);
$clients = (int) ($argv[1] ?? 10_000);
$submissions = (int) ($argv[2] ?? 100_000);
$telamon = Started::as('bench', ['TELAMON_SUBMISSIONS_PER_HOUR' => '1000000', 'TELAMON_BENCH' => '1', 'TELAMON_PROOF_BITS' => '0']);
$data = $telamon->data;

$db = new PDO("sqlite:$data/telamon.db");
foreach (['busy_timeout = 10000', 'synchronous = FULL'] as $pragma) {
    $db->exec("PRAGMA $pragma");
}
printf("Filling with %s clients and %s submissions …\n", number_format($clients), number_format($submissions));
$filler = new Filler($db, "$data/telamon.db");
$filler->fill($clients, $submissions);

$web = new Web($telamon->address);
$web->signIn();
$anonymous = new Web($telamon->address);

$db->exec('CREATE TABLE floor (id INTEGER PRIMARY KEY, body TEXT)');
$answers = [
    'name' => 'Orla Fennick',
    'email' => 'orla.fennick@post.example',
    'phone' => '020 914 3327',
    'service' => 'repair',
    'piano' => 'Upright',
    'place' => '7 Weir Cottages',
    'wanted_by' => '12 June 2027',
    'matter' => 'Several keys stick.',
];
$posted = 0;
// No two say the same: the second would be recognised as the first.
$post = static function () use ($anonymous, $answers, &$posted): array {
    return $anonymous->call('POST', '/api/public/forms/piano-inquiry/submissions', ['answers' => ['matter' => 'Several keys stick, '.++$posted.' of them.'] + $answers]);
};
$last = static function () use ($db): string {
    $found = $db->query("SELECT id FROM submission WHERE state = 'waiting' ORDER BY rowid DESC LIMIT 1");
    $id = false === $found ? null : $found->fetchColumn();

    return is_string($id) ? $id : throw new RuntimeException('nothing waits');
};
$seen = ['', ''];
// Fetched whole: a statement left open would hold an old view of the database.
$form = ($db->query("SELECT id FROM form WHERE slug = 'piano-inquiry'") ?: throw new RuntimeException('no form'))->fetchAll(PDO::FETCH_COLUMN)[0] ?? '';
$table = '/api/forms/'.(is_string($form) ? $form : '').'/submissions';
$owner = ($db->query("SELECT id FROM staff WHERE initials = 'SV'") ?: throw new RuntimeException('no staff'))->fetchAll(PDO::FETCH_COLUMN)[0] ?? '';
$owner = is_string($owner) ? $owner : '';
$times = Clock::race([
    'floor: an empty framework route' => static fn (): array => $anonymous->call('GET', '/api/empty'),
    'floor: one durable SQLite insert' => static fn (): int|false => $db->exec("INSERT INTO floor (body) VALUES ('".str_repeat('x', 400)."')"),
    'post a submission' => $post,
    'Arrivals, first page' => static fn (): array => $web->call('GET', '/api/submissions'),
    'set aside, first page' => static fn (): array => $web->call('GET', '/api/submissions?state=set-aside'),
    'a form\'s table, first page' => static fn (): array => $web->call('GET', $table),
    'a submission with its plan' => static function () use ($web, $last, &$seen): void {
        $id = $last();
        $plan = $web->call('GET', "/api/submissions/$id")['plan'];
        $seen = [$id, is_array($plan) && is_string($plan['fingerprint']) ? $plan['fingerprint'] : ''];
    },
    'a plan made again after a decision' => static function () use ($web, &$seen): void {
        $web->call('PUT', "/api/submissions/{$seen[0]}/decisions", ['version' => 0, 'dropped' => ['message.notice']]);
    },
    'clients by name' => static fn (): array => $web->call('GET', '/api/clients'),
    'clients the newest first' => static fn (): array => $web->call('GET', '/api/clients?sort=-since'),
    'clients with a tag' => static fn (): array => $web->call('GET', '/api/clients?tag=choir'),
    'clients of somebody' => static fn (): array => $web->call('GET', "/api/clients?owner=$owner&sort=-since"),
    'clients of a place' => static fn (): array => $web->call('GET', '/api/clients?place=brethwick'),
    'clients last in touch first' => static fn (): array => $web->call('GET', '/api/clients?sort=-contact'),
    'clients never in touch' => static fn (): array => $web->call('GET', '/api/clients?contact=never'),
    'clients of a service' => static fn (): array => $web->call('GET', '/api/clients?service=tuning'),
    'clients found by typing' => static fn (): array => $web->call('GET', '/api/clients?q=fenn'),
    'clients with open work' => static fn (): array => $web->call('GET', '/api/clients?state=open-work'),
    'search' => static fn (int $round): array => $web->call('GET', '/api/search?q='.['brethwoock', 'maur', 'orla+fenn', '085', 'A-001'][abs($round) % 5]),
    'search with a slip' => static fn (int $round): array => $web->call('GET', '/api/search?q='.['goonbramrol', 'caitrona', 'wilfrid+hockunis'][abs($round) % 3]),
    'accept a plan' => static function () use ($web, &$seen): void {
        $web->call('POST', "/api/submissions/{$seen[0]}/accept", ['fingerprint' => $seen[1]]);
    },
], 120);
$slow = Clock::race([
    'a form\'s table, sorted by an answer' => static fn (): array => $web->call('GET', "$table?sort=answer:service"),
    'a form\'s table, searched' => static fn (): array => $web->call('GET', "$table?q=person4711"),
    'every answer of a form counted' => static fn (): array => $web->call('GET', str_replace('submissions', 'figures', $table)),
], 5, 1);
$started = hrtime(true);
for ($i = 0; $i < 100; ++$i) {
    $post();
}
$perSecond = 100 / ((hrtime(true) - $started) / 1e9);

$entry = (new BuiltAssets($root))->entry('src/client/main.tsx');
$bytes = 0;
foreach ([$entry['script'], ...$entry['preload'], ...$entry['styles']] as $address) {
    $bytes += (int) @filesize("$root/public$address.gz");
}

$calendar = [
    'zone' => 'Europe/Dublin',
    'now' => '2026-03-01T08:00:00Z',
    'from' => '2026-03-01',
    'to' => '2026-05-29',
    'type' => ['length' => 60, 'clear_after' => 15, 'step' => 15, 'notice_minutes' => 120, 'furthest_days' => 90],
    'staff' => [],
];
for ($one = 0; $one < 20; ++$one) {
    $calendar['staff'][] = [
        'id' => "s$one",
        'hours' => array_fill(1, 5, [['09:00', '12:30'], ['13:00', '17:00']]),
        'appointments' => array_map(
            static fn (int $i): array => [
                'start' => gmdate('Y-m-d\TH:i:s\Z', 1_772_352_000 + 76_000 * $i + 900 * $one),
                'end' => gmdate('Y-m-d\TH:i:s\Z', 1_772_355_600 + 76_000 * $i + 900 * $one),
                'clear_after' => 15,
                'taken' => 1,
            ],
            range(1, 100),
        ),
    ];
}
$request = (new SlotReader())->read($calendar);
$times += Clock::race(['free times: 20 people, 90 days, 2,000 visits' => static fn (): array => (new SlotFinder())->find($request)], 10, 1);

$merge = ['start' => '2026-11-24', 'ready_by' => '2027-06-30', 'open_weekdays' => [1, 2, 3, 4, 5], 'closures' => ['2026-12-25', '2026-12-28', '2027-01-01'], 'checklists' => []];
for ($list = 0; $list < 10; ++$list) {
    $items = array_map(
        static fn (int $i): array => [
            'key' => "i$i",
            'name' => "Item $i",
            'takes' => $i % 3,
            'waits_for' => 0 === $i ? [] : array_values(array_unique(["l$list/i".intdiv($i, 2), "l$list/i".($i - 1)])),
        ],
        range(0, 99),
    );
    $merge['checklists'][] = ['key' => "l$list", 'joins_after' => 0 === $list ? null : 'l'.($list - 1).'/i50', 'items' => $items];
}
$times += Clock::race(['merging 10 checklists of 100 items' => static fn (): array => (new OutlineMerge())->of((new OutlineReader())->read($merge))], 30, 1);

$lines = array_map(
    static fn (int $i): array => [
        'key' => "l$i",
        'name' => "Line $i",
        'quantity' => (string) (1 + $i % 7),
        'price' => (10 + $i).'.50',
        'offPercent' => 0 === $i % 5 ? '10' : null,
        'vat' => ['category' => 'S', 'rate' => 0 === $i % 3 ? '23' : '13.5'],
        'optional' => 0 === $i % 9,
    ],
    range(1, 200),
);
$times += Clock::race(['the sums of a quote with 200 lines' => static fn (): array => $web->call('POST', '/api/quotes/total', ['content' => ['lines' => $lines]])], 30);

$filler->projects(500);
$times += Clock::race(['the wall with 500 open projects' => static fn (): array => $web->call('GET', '/api/wall')], 30);

$empty = $times['floor: an empty framework route']['median'];
$aims = ['free times: 20 people, 90 days, 2,000 visits' => $empty, 'the sums of a quote with 200 lines' => 2 * $empty, 'merging 10 checklists of 100 items' => $empty, 'the wall with 500 open projects' => 2 * $empty] + array_fill_keys(array_filter(array_keys($times), static fn (string $what): bool => str_starts_with($what, 'clients ')), 4 * $empty) + [
    'a plan made again after a decision' => 2 * $empty,
    'search' => 2 * $empty,
    'post a submission' => 4 * $empty + $times['floor: one durable SQLite insert']['median'],
    'Arrivals, first page' => 3 * $empty,
    'set aside, first page' => 3 * $empty,
    'a form\'s table, first page' => 3 * $empty,
];
printf("\n%-46s %11s %11s %16s\n", '', 'median', '95 %', 'empty routes');
foreach ($times + $slow as $what => $time) {
    printf("%-46s %8.2f ms %8.2f ms %16.1f%s\n", $what, $time['median'], $time['p95'], $time['median'] / $empty, isset($aims[$what]) ? sprintf('   (aim: at most %.1f)', $aims[$what] / $empty) : '');
}
printf("\n%.0f submissions posted a second over one connection; public form: %.1f kB of script and style compressed\n", $perSecond, $bytes / 1000);
