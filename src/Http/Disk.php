<?php

declare(strict_types=1);

namespace Telamon\Http;

/** Whether anything can still be written: a full disk takes nothing, or a part, and often says nothing. */
final readonly class Disk
{
    public function __construct(private string $dataFolder)
    {
    }

    /** @throws Problem 503 */
    public function refuseUnwritable(): void
    {
        $probe = $this->dataFolder.'/.health';
        $text = bin2hex(random_bytes(2048));
        // Beside the one before, not over it: what that one holds would be free for this one on the fullest disk.
        $next = $probe.'.'.bin2hex(random_bytes(4));
        $fits = \strlen($text) === @file_put_contents($next, $text) && $text === @file_get_contents($next);
        if (!$fits || !@rename($next, $probe)) {
            @unlink($next);
            throw new Problem(503, 'Not well', 'Nothing can be written: the disk is full, or the data folder is not ours.');
        }
    }
}
