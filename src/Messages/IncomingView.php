<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Business\Profile;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;

/** Shows what came in as the contract has it. */
final readonly class IncomingView
{
    public function __construct(private Records $records, private Profile $business)
    {
    }

    /** @return array<string, mixed> as IncomingRow */
    public function row(Incoming $one): array
    {
        return [
            'id' => $one->id, 'channel' => $one->channel, 'origin' => $one->origin->value, 'from' => $one->fromAddress, 'fromName' => '' === $one->fromName
                ? $one->fromAddress
                : $one->fromName, 'subject' => $one->subject,
            'begins' => mb_substr(trim((string) preg_replace('/\s+/u', ' ', $one->said)), 0, 160),
            'at' => $one->receivedAt->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'state' => $one->state->value, 'says' => $one->says->value, 'confidence' => $one->confidence, 'because' => $one->because, 'done' => $one->done,
            'client' => RecordRef::maybe($one->client), 'project' => RecordRef::maybe($one->project), 'answers' => RecordRef::maybe($one->answers),
            'submission' => $this->records->find('submission', '' === $one->submissionId ? null : $one->submissionId),
        ];
    }
}
