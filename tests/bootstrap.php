<?php

/* Gives the tests an environment of their own: a data folder that no installation uses. */

declare(strict_types=1);

use Telamon\Tests\Support\DataFolder;

$root = dirname(__DIR__);
require_once "$root/vendor/autoload.php";

date_default_timezone_set('UTC');
foreach ([
    'APP_ENV' => 'test',
    'APP_DEBUG' => '0',
    'APP_SECRET' => 'tests-only',
    'TELAMON_PROOF_BITS' => '0',
    'TELAMON_HOLD_SECONDS' => '0',
    'TELAMON_DATA' => DataFolder::root(),
] as $name => $value) {
    $_ENV[$name] = $_SERVER[$name] = $value;
    putenv("$name=$value");
}
require_once "$root/config/bootstrap.php";
