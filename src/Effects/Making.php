<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Projects\Project;
use Telamon\Submissions\Submission;

/** What the lines of one plan have made so far; later lines hang on it. */
final class Making
{
    public ?Client $client = null;
    public ?Project $project = null;
    public ?Asset $asset = null;
    /** How many tasks the project had before the plan; its own are numbered after them. */
    public int $tasksBefore = 0;

    public function __construct(public readonly ?Submission $submission, public readonly \DateTimeImmutable $now)
    {
    }

    public function client(): Client
    {
        return $this->client ?? throw new \LogicException('the plan has no client line before this one');
    }

    public function project(): Project
    {
        return $this->project ?? throw new \LogicException('the plan has no project line before this one');
    }
}
