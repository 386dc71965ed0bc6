<?php

declare(strict_types=1);

// Ten thousand bookings given out among five people: how evenly each way of giving them does it. Usage: php bench/fairness.php

use Telamon\Core\Booking\Candidate;
use Telamon\Core\Booking\Picks;
use Telamon\Core\Booking\WhoGetsIt;

require_once dirname(__DIR__).'/vendor/autoload.php';

mt_srand(20261127);
$people = ['Ada', 'Ben', 'Cleo', 'Dov', 'Eve'];
printf("%-10s %s\n", '', implode('  ', array_map(static fn (string $name): string => str_pad($name, 6, ' ', \STR_PAD_LEFT), $people)));
foreach (Picks::cases() as $picks) {
    $had = $last = $week = array_fill_keys($people, 0);
    /** @var array<int, string> $before who was with a client, of 3,000 */
    $before = [];
    for ($i = 1; $i <= 10_000; ++$i) {
        if (0 === $i % 100) {
            $week = array_fill_keys($people, 0);
        }
        // At each time, each is free two times in three.
        $free = array_values(array_filter($people, static fn (): bool => mt_rand(1, 3) > 1));
        if ([] === $free) {
            continue;
        }
        $client = mt_rand(1, 3000);
        $known = [];
        foreach ($people as $name) {
            $known[$name] = new Candidate($name, $name, $last[$name], $week[$name], ($before[$client] ?? '') === $name);
        }
        [$got] = (new WhoGetsIt())->of(array_map(static fn (string $name): array => [$name], $free), $picks, $known);
        $last[$got] = $i;
        ++$had[$got];
        ++$week[$got];
        $before[$client] = $got;
    }
    printf(
        "%-10s %s   most less fewest: %d\n",
        $picks->value,
        implode('  ', array_map(static fn (int $count): string => str_pad(number_format($count), 6, ' ', \STR_PAD_LEFT), $had)),
        max($had) - min($had),
    );
}
