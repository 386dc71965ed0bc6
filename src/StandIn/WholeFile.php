<?php

declare(strict_types=1);

namespace Telamon\StandIn;

/** Files of the stand-ins: there whole or not at all, whenever the process ends. */
final class WholeFile
{
    /** @throws \RuntimeException where it cannot be written */
    public static function write(string $path, string $bytes): void
    {
        if (!is_dir(\dirname($path)) && !@mkdir(\dirname($path), 0o700, true) && !is_dir(\dirname($path))) {
            throw new \RuntimeException('a folder of the stand-ins cannot be made');
        }
        // Written beside and renamed.
        $handle = fopen("$path.new", 'w');
        if (false === $handle || \strlen($bytes) !== fwrite($handle, $bytes) || !fflush($handle) || !fsync($handle) || !fclose($handle)) {
            throw new \RuntimeException('a file of the stand-ins cannot be written');
        }
        rename("$path.new", $path);
    }
}
