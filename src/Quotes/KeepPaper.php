<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** Asks the worker to draw a quote or an agreement as a PDF, put it on file and with the letter that waits for it: drawing takes a while, and nobody waits for the lock meanwhile. */
final readonly class KeepPaper
{
    /**
     * @param string $changeId of what brought it about, which it belongs to: taken back, it takes the file along
     * @param string $of id of the quote or the agreement
     * @param string $message id of the letter that waits for it; empty for none
     */
    public function __construct(public string $changeId, public string $of, public bool $isAgreement, public string $name, public string $message)
    {
    }
}
