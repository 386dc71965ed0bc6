<?php

/*
 * Sets the environment that the web front and the console share: where the installation's data lives,
 * and the secret that goes with it.
 */

declare(strict_types=1);

use Symfony\Component\Dotenv\Dotenv;

require_once dirname(__DIR__).'/vendor/autoload.php';

date_default_timezone_set('UTC');
$root = dirname(__DIR__);
(new Dotenv())->bootEnv("$root/.env", 'prod', ['test']);

$set = static function (string $name, string $value): void {
    $_ENV[$name] = $_SERVER[$name] = $value;
    putenv("$name=$value");
};

$given = $_SERVER['TELAMON_DATA'] ?? $_ENV['TELAMON_DATA'] ?? '';
$data = is_string($given) && '' !== $given ? $given : "$root/data";
if (!str_starts_with($data, '/')) {
    $data = "$root/$data";
}
$set('TELAMON_DATA', rtrim($data, '/'));

if ('' === ($_SERVER['APP_SECRET'] ?? '')) {
    $file = rtrim($data, '/').'/secret';
    $database = rtrim($data, '/').'/telamon.db';
    if (!is_file($file) && is_file($database) && filesize($database) > 0) {
        // With another one, every link and every signature that went out would be none of ours.
        throw new RuntimeException("There is an installation in $data, and its secret is missing. Put the file \"secret\" of the last backup there, or set APP_SECRET.");
    }
    if (!is_file($file)) {
        @mkdir(dirname($file), 0o700, true);
        // Written beside and put into its place whole: killed half-way, it would be empty for ever. A second process
        // starting at the same moment keeps the first one's.
        $beside = $file.'.'.bin2hex(random_bytes(6));
        if (64 === @file_put_contents($beside, bin2hex(random_bytes(32)))) {
            chmod($beside, 0o600);
            @link($beside, $file);
        }
        @unlink($beside);
    }
    $secret = is_file($file) ? (string) file_get_contents($file) : '';
    $set('APP_SECRET', '' !== $secret ? $secret : throw new RuntimeException("The data folder $data cannot be written."));
}
