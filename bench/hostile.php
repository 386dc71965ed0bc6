<?php

/*
 * bin/hostile [seed] [requests]: generated requests that no honest browser sends, to every route of the contract, signed in
 * and not; before them, many that are begun and not ended. Ends with exit code 0 when none was answered with 5xx, somebody
 * else was answered while the many were held, and the database is sound. The same seed asks the same.
 */

declare(strict_types=1);

namespace Telamon\Bench;

use Symfony\Component\Yaml\Yaml;

require __DIR__.'/../vendor/autoload.php';

/**
 * @template T
 *
 * @param non-empty-list<T> $from
 *
 * @return T
 */
function pick(array $from): mixed
{
    return $from[mt_rand(0, \count($from) - 1)];
}

/** @param non-empty-list<string> $texts */
function value(int $depth, array $texts): mixed
{
    return match (mt_rand(0, 9)) {
        0 => mt_rand(\PHP_INT_MIN, \PHP_INT_MAX),
        1 => null,
        2 => (bool) mt_rand(0, 1),
        3 => mt_rand(-5, 5) / 3,
        4 => $depth > 4 ? [] : array_map(static fn (): mixed => value($depth + 1, $texts), range(0, mt_rand(0, 3))),
        5 => $depth > 4
            ? new \stdClass()
            : (object) [
                'question' => value($depth + 1, $texts),
                'op' => pick(['is', 'between', pick($texts)]),
                'value' => value($depth + 1, $texts),
                'kind' => value($depth + 1, $texts),
            ],
        default => pick($texts),
    };
}

$seed = (int) ($argv[1] ?? 1);
$wanted = (int) ($argv[2] ?? 12_000);
mt_srand($seed);
$root = \dirname(__DIR__);
$telamon = Started::as('hostile', ['TELAMON_SUBMISSIONS_PER_HOUR' => '1000000', 'TELAMON_UPLOADS_PER_HOUR' => '1000000', 'TELAMON_HOLD_SECONDS' => '3600']);
[$base, $data] = [$telamon->address, $telamon->data];

// Requests that are begun and never ended: half a head is nobody's yet, half a body is of an address that has its share.
$host = substr($base, \strlen('http://'));
$slow = new Slow($base);
$waits = [];
foreach ([
    'half heads' => [1500, "GET / HTTP/1.1\r\nHost: $host\r\nX-A: "],
    'half bodies' => [520, "POST /api/public/forms/piano-inquiry/submissions HTTP/1.1\r\nHost: $host\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{"],
] as $name => [$many, $begun]) {
    $seen = $slow->against($many, $begun);
    printf(
        "%d %s: somebody else is answered %d after %.2f s, %d are turned away, %d are held after 25 s\n",
        $many,
        $name,
        $seen['status'],
        $seen['seconds'],
        $seen['turned'],
        $seen['left'],
    );
    $waits[] = 200 === $seen['status'] && $seen['seconds'] < 5 && 0 === $seen['left'] && ('half heads' === $name || $seen['turned'] > 0);
}

$texts = [
    '',
    ' ',
    "\0",
    '%00',
    "a\r\nX-Bad: 1",
    str_repeat('x', 70_000),
    '<script>',
    "' OR 1=1 --",
    '{{#x}}',
    '../../etc/passwd',
    "\u{202E}abc",
    "\xff\xfe",
    '9999999999999999999999',
    '-1',
    'NaN',
    '1e309',
    'null',
    'true',
    '2026-02-31',
    '0000-00-00',
    '2026-11-25T10:42:00+99:99',
    'Europe/Nowhere',
    'a?bcc=x@example.com',
    'a(comment)@example.com',
    "\u{1F3B9}\u{0301}",
    '=1+1',
    'eyJ',
    '{',
    '[[[[',
    '0193650a-0000-7000-8000-000000000000',
];
/** @var array{paths: array<string, array<string, array{requestBody?: array{content?: array<string, array{schema?: array{properties?: array<string, mixed>}}>}}>>} $document */
$document = Yaml::parseFile("$root/api/openapi.yaml");
$operations = [];
foreach ($document['paths'] as $path => $item) {
    foreach (array_intersect_key($item, array_flip(['get', 'post', 'put', 'delete', 'patch'])) as $method => $operation) {
        $operations[] = [strtoupper($method), $path, array_keys($operation['requestBody']['content']['application/json']['schema']['properties'] ?? [])];
    }
}[] !== $operations || throw new \RuntimeException('the contract is empty');
/** @return array{int, string} */
$ask = static function (\CurlHandle $curl): array {
    $body = curl_exec($curl);

    return [curl_getinfo($curl, \CURLINFO_RESPONSE_CODE), \is_string($body) ? $body : ''];
};
/** @param list<string> $headers */
$open = static function (string $method, string $url, ?string $body, array $headers) use ($base): \CurlHandle {
    $curl = curl_init($base.$url);
    '' !== $method || throw new \LogicException('a request has a method');
    curl_setopt_array(
        $curl,
        [\CURLOPT_CUSTOMREQUEST => $method, \CURLOPT_RETURNTRANSFER => true, \CURLOPT_HTTPHEADER => $headers, \CURLOPT_TIMEOUT => 60, \CURLOPT_PATH_AS_IS => true],
    );
    if (null !== $body) {
        curl_setopt($curl, \CURLOPT_POSTFIELDS, $body);
    }

    return $curl;
};
$login = $open(
    'POST',
    '/api/session',
    json_encode(['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo'], \JSON_THROW_ON_ERROR),
    ['Content-Type: application/json', "Origin: $base"],
);
curl_setopt($login, \CURLOPT_HEADER, true);
[, $answer] = $ask($login);
preg_match('/Set-Cookie: (telamon=[^;]+)/i', $answer, $cookie) ?: throw new \RuntimeException("not signed in: $answer");

// Real ids, so that much of it goes deeper than a 404.
$db = new \PDO("sqlite:$data/telamon.db");
$ids = [];
foreach (['submission', 'client', 'project', 'task', 'message', 'form', 'handling_rule', 'change_set', 'attachment', 'staff'] as $table) {
    foreach ($db->query("SELECT id FROM $table LIMIT 20") ?: [] as $row) {
        $ids[] = \is_array($row) && \is_string($row[0] ?? null) ? $row[0] : '';
    }
}
$db = null;
[] !== $ids || throw new \RuntimeException('the demo is empty');
/** @var array<int, int> $seen */
$seen = [];
$bad = [];
$began = microtime(true);
for ($i = 0; $i < $wanted; ++$i) {
    [$method, $path, $fields] = pick($operations);
    // Signing out would make the rest of it dull.
    if ('DELETE' === $method && '/api/session' === $path) {
        continue;
    }
    $url = preg_replace_callback(
        '/\{(\w+)\}/',
        static fn (array $m): string => 'slug' === $m[1] && mt_rand(0, 2) > 0 ? 'piano-inquiry' : rawurlencode(mt_rand(0, 2) > 0 ? pick($ids) : pick($texts)),
        $path,
    );
    if (0 === mt_rand(0, 2)) {
        $url .= '?'.pick(['q', 'cursor', 'state', 'sort', 'record', 'client', 'project', 'limit', 'from', 'day', 'q[]', 'cursor[a]']).'='.rawurlencode(pick($texts));
    }
    $url = substr((string) $url, 0, 7000);
    $body = null;
    $headers = ["Origin: $base"];
    if ('GET' !== $method && mt_rand(0, 9) > 0) {
        $object = [];
        foreach ($fields as $field) {
            if (mt_rand(0, 3) > 0) {
                $object[$field] = value(0, $texts);
            }
        }
        if (0 === mt_rand(0, 4)) {
            $object[pick($texts)] = value(0, $texts);
        }
        $body = (string) json_encode((object) $object, \JSON_INVALID_UTF8_SUBSTITUTE | \JSON_PARTIAL_OUTPUT_ON_ERROR);
        if (0 === mt_rand(0, 14)) {
            $body = substr($body, 0, mt_rand(0, \strlen($body)));
        }
        if (0 === mt_rand(0, 20)) {
            $body = '{"answers":{"any":'.str_repeat('[', 600).str_repeat(']', 600).'}}';
        }
        $headers[] = 'Content-Type: '.(mt_rand(0, 19) > 0 ? 'application/json' : pick(['multipart/form-data; boundary=x', 'text/plain', '']));
    }
    if (mt_rand(0, 4) > 0) {
        $headers[] = "Cookie: {$cookie[1]}";
    }
    if (0 === mt_rand(0, 9)) {
        $headers[] = 'Idempotency-Key: '.preg_replace('/[^\x20-\x7e]/', '?', substr(pick($texts), 0, 300));
    }
    [$status, $answer] = $ask($open($method, $url, $body, $headers));
    $seen[$status] = ($seen[$status] ?? 0) + 1;
    if ($status >= 500 || 0 === $status) {
        $bad[] = "$status $method ".substr($url, 0, 200).' '.substr($body ?? '', 0, 300).' -> '.substr($answer, 0, 200);
    }
}
ksort($seen);
$db = new \PDO("sqlite:$data/telamon.db");
$sound = ($db->query('PRAGMA integrity_check') ?: throw new \RuntimeException('the database does not answer'))->fetchColumn();
$sound = \is_string($sound) ? $sound : 'silent';
$loose = \count(($db->query('PRAGMA foreign_key_check') ?: throw new \RuntimeException('the database does not answer'))->fetchAll());
printf(
    "%d requests of seed %d in %.0f s: %s\n",
    array_sum($seen),
    $seed,
    microtime(true) - $began,
    implode(', ', array_map(static fn (int $status, int $n): string => "$n × $status", array_keys($seen), $seen)),
);
printf("database %s, %d loose references\n", $sound, $loose);
foreach (\array_slice($bad, 0, 40) as $line) {
    echo "$line\n";
}
exit(!\in_array(false, $waits, true) && [] === $bad && 'ok' === $sound && 0 === $loose ? 0 : 1);
