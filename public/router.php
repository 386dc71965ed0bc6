<?php

/*
 * For PHP's built-in web server: built files are sent as they are, compressed where a compressed twin
 * lies beside them; everything else goes to the application.
 */

declare(strict_types=1);

$header = static fn (string $name): string => is_string($_SERVER[$name] ?? null) ? $_SERVER[$name] : '';
$path = rawurldecode((string) parse_url($header('REQUEST_URI'), \PHP_URL_PATH));
$file = realpath(__DIR__.$path);
// What other sites load or look up: the script that holds a form, and the schema of form files.
$isOpen = in_array($file, [__DIR__.'/embed.js', __DIR__.'/form.schema.json'], true);
if (false !== $file && is_file($file) && ($isOpen || (str_starts_with($file, __DIR__.'/build/') && !str_contains($file, '/.vite/')))) {
    $types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'svg' => 'image/svg+xml', 'json' => 'application/json'];
    header('Content-Type: '.($types[pathinfo($file, \PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('X-Content-Type-Options: nosniff');
    header('Cache-Control: public, '.($isOpen ? 'max-age=3600' : 'max-age=31536000, immutable'));
    if ($isOpen) {
        header('Cross-Origin-Resource-Policy: cross-origin');
    }
    header('Vary: Accept-Encoding');
    if (str_contains($header('HTTP_ACCEPT_ENCODING'), 'gzip') && is_file("$file.gz")) {
        header('Content-Encoding: gzip');
        $file .= '.gz';
    }
    header('Content-Length: '.filesize($file));
    if ('HEAD' !== $header('REQUEST_METHOD')) {
        readfile($file);
    }

    return true;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = __DIR__.'/index.php';
require __DIR__.'/index.php';
