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
        if (\strlen($text) !== @file_put_contents($probe, $text) || $text !== @file_get_contents($probe)) {
            throw new Problem(503, 'Not well', 'Nothing can be written: the disk is full, or the data folder is not ours.');
        }
    }
}
