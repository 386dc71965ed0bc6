<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A message that went out for a submission before, when a plan was accepted and taken back. */
final readonly class SentBefore
{
    /**
     * @param string $says what it rested on, a digest as the line of the message gives it; empty where that is not known
     * @param string $day ISO 8601
     */
    public function __construct(public string $template, public string $to, public string $says, public string $day)
    {
    }
}
