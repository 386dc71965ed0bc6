<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Clients\Client;
use Telamon\Projects\Project;
use Telamon\Submissions\Submission;

/** What a link to a booking page says of whoever holds it. */
final readonly class Begun
{
    /** @param string $id digest of the link: one link holds one time and books one appointment */
    public function __construct(public string $id, public ?Submission $submission, public ?Client $client, public ?Project $project)
    {
    }
}
