<?php

/*
 * bin/bench-matching [records] [pairs] [seed]: how well duplicates are found among made-up people, as a table
 * of precision and recall by threshold.
 */

declare(strict_types=1);

use Telamon\Bench\People;
use Telamon\Core\Matching\DuplicateFinder;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Matching\Verdict;

require_once dirname(__DIR__).'/vendor/autoload.php';

$records = (int) ($argv[1] ?? 20_000);
$pairs = (int) ($argv[2] ?? 1_700);
$seed = (int) ($argv[3] ?? 1);
$errors = in_array('more', $argv, true) ? People::MORE_ERRORS : People::ERRORS;
[$rows, $truth] = (new People($seed, $errors))->make($records, $pairs);
$people = [];
foreach ($rows as $row) {
    $people[$row['external_id']] = new Person(
        $row['given_name'],
        $row['family_name'],
        $row['organisation'],
        [$row['email']],
        [$row['phone']],
        $row['address_line'],
        $row['locality'],
        $row['postal_code'],
    );
}
$finder = new DuplicateFinder(new ShortForms());
$reached = array_fill_keys(array_keys($truth), false);
$order = array_keys($people);
$compared = 0;
foreach ($finder->candidates(array_values($people)) as $i => $others) {
    foreach ($others as $j) {
        ++$compared;
        $key = "{$order[$j]}|{$order[$i]}";
        if (isset($reached[$key])) {
            $reached[$key] = true;
        }
    }
}
$start = hrtime(true);
$found = $finder->pairs($people, 0.01);
$seconds = (hrtime(true) - $start) / 1e9;

printf("%s records, %s true pairs, seed %d. Errors in a second record:\n\n", number_format($records), number_format($pairs), $seed);
foreach ($errors as $what => $share) {
    printf("- %s: %.0f %%\n", $what, 100 * $share);
}
printf("\n%s pairs compared in %.1f s; they hold %.4f of the true ones.\n\n", number_format($compared), $seconds, count(array_filter($reached)) / $pairs);
echo "| | precision | recall | found |\n|---|---|---|---|\n";
$row = static function (string $words, array $pairs) use ($truth): void {
    $right = count(array_filter($pairs, static fn (array $pair): bool => isset($truth["{$pair[0]}|{$pair[1]}"]) || isset($truth["{$pair[1]}|{$pair[0]}"])));
    printf("| %s | %.4f | %.4f | %d |\n", $words, $right / max(1, count($pairs)), $right / count($truth), count($pairs));
};
$row('**same**', array_filter($found, static fn (array $pair): bool => Verdict::Same === $pair[2]->verdict));
$row('**perhaps and above**', array_filter($found, static fn (array $pair): bool => in_array($pair[2]->verdict, [Verdict::Same, Verdict::Perhaps], true)));
foreach ([.999, .99, .97, .95, .9, .8, .7, .6, .5, .4, .3, .2, .1, .05, .01] as $threshold) {
    $row("at least $threshold", array_filter($found, static fn (array $pair): bool => $pair[2]->probability >= $threshold));
}
if (in_array('show', $argv, true)) {
    $shown = array_fill_keys(
        array_map(static fn (array $pair): string => "{$pair[0]}|{$pair[1]}", array_filter($found, static fn (array $pair): bool => $pair[2]->probability >= .5)),
        true,
    );
    $by = array_column($rows, null, 'external_id');
    $line = static fn (string $id): string => implode(' · ', array_slice($by[$id], 1, 8));
    foreach ($found as [$a, $b, $judgement]) {
        if (!isset($truth["$a|$b"]) && $judgement->probability > .3) {
            printf("WRONG %.3f h %.3f %s\n   %s\n   %s\n", $judgement->probability, $judgement->household, $judgement->verdict->value, $line($a), $line($b));
        }
    }
    foreach ($found as [$a, $b, $judgement]) {
        if (isset($truth["$a|$b"]) && $judgement->probability < .97 && $judgement->probability > .5) {
            printf(
                "WEAK %.3f h %.3f\n   %s\n   %s\n   %s\n",
                $judgement->probability,
                $judgement->household,
                $line($a),
                $line($b),
                json_encode(array_map(static fn ($w) => round($w, 1), $judgement->weights)),
            );
        }
    }
    foreach ($truth as $key => $_) {
        [$a, $b] = explode('|', $key);
        if (!isset($shown[$key])) {
            $judgement = (new Telamon\Core\Matching\Judge(new ShortForms()))->judge($people[$a], $people[$b]);
            printf(
                "MISSED %s %.3f h %.3f\n   %s\n   %s\n   %s\n",
                $reached[$key] ? '' : '(not compared)',
                $judgement->probability,
                $judgement->household,
                $line($a),
                $line($b),
                json_encode(array_map(static fn ($w) => round($w, 1), $judgement->weights)),
            );
        }
    }
}
