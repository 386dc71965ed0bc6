<?php

/* Fails when the script and style of the public form come to more than 200 kB compressed. */

declare(strict_types=1);

use Telamon\Http\BuiltAssets;

require_once dirname(__DIR__).'/vendor/autoload.php';

$root = dirname(__DIR__);
$entry = (new BuiltAssets($root))->entry('src/client/main.tsx');
$bytes = 0;
foreach ([$entry['script'], ...$entry['preload'], ...$entry['styles']] as $address) {
    $file = "$root/public$address";
    $bytes += strlen((string) gzencode((string) file_get_contents($file), 9));
}
printf("%.1f kB\n", $bytes / 1000);
exit($bytes > 0 && $bytes <= 200_000 ? 0 : 1);
