<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** A client on file that a submission may belong to, and how likely. */
final readonly class Candidate
{
    public function __construct(public KnownClient $client, public Judgement $judgement)
    {
    }
}
