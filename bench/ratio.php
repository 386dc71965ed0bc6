<?php

/* Prints how much of the code is tests: lines that are not blank, of what git tracks or would. */

declare(strict_types=1);

$root = dirname(__DIR__);
exec('cd '.escapeshellarg($root).' && git ls-files -co --exclude-standard', $files);
$tests = $all = 0;
foreach ($files as $file) {
    if (1 !== preg_match('#\.(php|tsx?|js|twig|sh)$|^bin/#', $file) || !is_file("$root/$file")) {
        continue;
    }
    $lines = count(preg_grep('/\S/', file("$root/$file") ?: []) ?: []);
    $all += $lines;
    if (1 === preg_match('#^(core/)?tests/|\.test(-helper)?\.tsx?$#', $file)) {
        $tests += $lines;
    }
}
printf("%d of %d lines of code are tests: %.1f %%\n", $tests, $all, 100 * $tests / max(1, $all));
