<?php

/*
 * How long it takes from an arrival to the hand-over of its first answer to the mail server, at 50 arrivals a minute.
 * Prints every one of them, in order, and the quarters. Usage: php bench/first-answer.php [arrivals] [seconds]
 */

declare(strict_types=1);

use Telamon\Bench\Started;
use Telamon\Bench\Web;

require_once dirname(__DIR__).'/vendor/autoload.php';

$arrivals = max(1, (int) ($argv[1] ?? 50));
$seconds = max(1, (int) ($argv[2] ?? 60));
$telamon = Started::as('first-answer', ['TELAMON_SUBMISSIONS_PER_HOUR' => '1000000', 'TELAMON_PROOF_BITS' => '0']);
$web = new Web($telamon->address);
$answers = ['name' => 'Orla Fennick', 'phone' => '020 914 3327', 'service' => 'repair', 'piano' => 'Upright', 'place' => '7 Weir Cottages'];
$came = [];
$begin = microtime(true);
for ($i = 0; $i < $arrivals; ++$i) {
    $wait = $begin + $i * $seconds / $arrivals - microtime(true);
    usleep((int) max(0, 1_000_000 * $wait));
    $email = "orla$i@post.example";
    $came[$email] = microtime(true);
    $web->call('POST', '/api/public/forms/piano-inquiry/submissions', ['answers' => ['email' => $email, 'matter' => "Several keys stick, $i of them."] + $answers]);
}

// The stand-in mailbox is the mail server here: a letter is handed over when its file is there.
$took = [];
$until = microtime(true) + 120;
while (count($took) < $arrivals && microtime(true) < $until) {
    foreach (glob("{$telamon->data}/mail/*.eml") ?: [] as $file) {
        if (1 === preg_match('/^To: .*<?(orla\d+@post\.example)>?/m', (string) file_get_contents($file), $m) && !isset($took[$m[1]])) {
            clearstatcache(true, $file);
            $took[$m[1]] = max(0.0, (float) shell_exec('stat -c %.3Y '.escapeshellarg($file)) - $came[$m[1]]);
        }
    }
    usleep(50_000);
}
$all = array_values($took);
sort($all);
printf("%d arrivals in %d seconds, %d first answers handed over\n", $arrivals, $seconds, count($all));
if ([] === $all) {
    exit(1);
}
$part = static fn (float $of): float => $all[(int) min(count($all) - 1, floor($of * count($all)))];
printf(
    "seconds from arrival to hand-over: least %.2f, quarter %.2f, half %.2f, three quarters %.2f, nine of ten %.2f, most %.2f (aim: all under 60)\n",
    $all[0],
    $part(.25),
    $part(.5),
    $part(.75),
    $part(.9),
    $all[count($all) - 1],
);
echo implode(' ', array_map(static fn (float $one): string => number_format($one, 2), $all)), "\n";
exit(count($all) === $arrivals && $all[count($all) - 1] < 60 ? 0 : 1);
