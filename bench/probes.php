<?php

/*
 * bin/bench-matching probes [records] [probes]: compares so many made-up people with everybody before them, and
 * says whether the keys would have brought all whom somebody is asked about.
 */

declare(strict_types=1);

use Telamon\Bench\People;
use Telamon\Core\Matching\Counted;
use Telamon\Core\Matching\DuplicateFinder;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Matching\Thresholds;

require_once dirname(__DIR__).'/vendor/autoload.php';

$records = (int) ($argv[1] ?? 5_000);
$probes = (int) ($argv[2] ?? 2_000);
[$rows] = (new People(11))->make($records, (int) ($records * .34));
$people = array_map(
    static fn (array $row): Person => new Person(
        $row['given_name'],
        $row['family_name'],
        $row['organisation'],
        [$row['email']],
        [$row['phone']],
        $row['address_line'],
        $row['locality'],
        $row['postal_code'],
    ),
    $rows,
);
$counted = new Counted();
array_map($counted->add(...), $people);
$forms = new ShortForms();
$judge = new Judge($forms, $counted);
$perhaps = (new Thresholds())->perhaps;
$above = $missed = 0;
foreach ((new DuplicateFinder($forms))->candidates($people) as $i => $brought) {
    if ($i < $records - $probes) {
        continue;
    }
    $brought = array_flip($brought);
    for ($j = 0; $j < $i; ++$j) {
        if ($judge->judge($people[$j], $people[$i])->probability >= $perhaps) {
            ++$above;
            $missed += isset($brought[$j]) ? 0 : 1;
        }
    }
}
printf(
    "%s probes against up to %s records: %d pairs at or above “perhaps”, %d of them not brought by the keys\n",
    number_format($probes),
    number_format($records),
    $above,
    $missed,
);
