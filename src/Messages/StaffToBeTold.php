<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Clients\Client;
use Telamon\Projects\Project;
use Telamon\Record\DomainEvent;

/** Staff are to be told something, in a room of the notice board. */
final class StaffToBeTold extends DomainEvent
{
    /**
     * @param string $room key; empty for the first one
     * @param string $by what tells it, in words
     */
    public function __construct(
        public readonly string $room,
        public readonly string $words,
        public readonly string $by,
        public readonly ?Client $client,
        public readonly ?Project $project,
        public readonly ?string $submissionId,
    ) {
    }
}
