<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\DBAL\Connection;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\Meaning;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\IncomingView;
use Telamon\Messages\MessageView;

/** Shows what came in, with what each meaning of it would start. */
final readonly class ReplyView
{
    public function __construct(private Connection $db, private IncomingView $rows, private MessageView $messages, private WhatFollows $follows)
    {
    }

    /** @return array<string, mixed> as Incoming in the contract */
    public function show(Incoming $one): array
    {
        return $this->rows->row($one) + [
            'said' => $one->said,
            'whole' => $one->whole,
            'parts' => $one->parts,
            'believed' => $one->believed,
            'canArrive' => 'mail' === $one->channel && '' === $one->submissionId && MailOrigin::Bounce !== $one->origin,
            'starts' => IncomingState::Open === $one->state
                ? array_map(fn (Meaning $meaning): array => ['says' => $meaning->value, 'lines' => $this->follows->lines($one, $meaning)], Meaning::cases())
                : [],
            'change' => $this->decidedBy($one),
            'answered' => null === $one->answers ? null : $this->messages->whole($one->answers),
        ];
    }

    /** @return string|null id of the change that settled it, to be taken back; null where nothing did */
    private function decidedBy(Incoming $one): ?string
    {
        if (IncomingState::Open === $one->state) {
            return null;
        }
        $change = $this->db->fetchOne(
            "SELECT c.id FROM journal_entry e JOIN change_set c ON c.id = e.change_id WHERE e.record_id = ? AND c.kind = 'handle' AND c.undone_at IS NULL ORDER BY e.seq DESC LIMIT 1",
            [$one->id],
        );

        return \is_string($change) ? $change : null;
    }
}
