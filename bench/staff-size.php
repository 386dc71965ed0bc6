<?php

/*
 * Fails when the first screen of the office comes to more than 230 kB of script compressed, or what any further
 * screen adds to more than 60.
 */

declare(strict_types=1);

$root = dirname(__DIR__);
/** @var array<string, array{file: string, imports?: list<string>}> $manifest */
$manifest = json_decode((string) file_get_contents("$root/public/build/.vite/manifest.json"), true, 16, \JSON_THROW_ON_ERROR);

/**
 * @param list<string> $keys
 *
 * @return array<string, true> the scripts that they need, with all that those import
 */
$needed = static function (array $keys) use ($manifest): array {
    $files = [];
    while (null !== ($key = array_shift($keys))) {
        if (isset($manifest[$key]) && !isset($files[$manifest[$key]['file']])) {
            $files[$manifest[$key]['file']] = true;
            array_push($keys, ...($manifest[$key]['imports'] ?? []));
        }
    }

    return $files;
};
$size = static fn (array $files): int => array_sum(array_map(
    static fn (string $file): int => strlen((string) gzencode((string) file_get_contents("$root/public/build/$file"), 9)),
    array_keys($files),
));

$first = $needed(['src/staff/main.tsx', 'src/staff/arrivals/ArrivalsScreen.tsx']);
$bad = $size($first) > 230_000;
printf("first screen %.1f kB\n", $size($first) / 1000);
foreach (array_keys($manifest) as $key) {
    if (1 === preg_match('#^src/staff/\w+(/\w+)?/\w+Screen\.tsx$#', $key)) {
        $more = $size(array_diff_key($needed([$key]), $first));
        $bad = $bad || $more > 60_000;
        printf("%s adds %.1f kB\n", basename($key, '.tsx'), $more / 1000);
    }
}
exit($bad ? 1 : 0);
