<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Telamon\Core\Replies\Meaning;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\IncomingView;
use Telamon\Messages\MessageView;

/** Shows what came in, with what each meaning of it would start. */
final readonly class ReplyView
{
    public function __construct(private IncomingView $rows, private MessageView $messages, private WhatFollows $follows)
    {
    }

    /** @return array<string, mixed> as Incoming in the contract */
    public function show(Incoming $one): array
    {
        return $this->rows->row($one) + [
            'said' => $one->said,
            'whole' => $one->whole,
            'starts' => IncomingState::Open === $one->state ? array_map(fn (Meaning $meaning): array => ['says' => $meaning->value, 'lines' => $this->follows->lines($one, $meaning)], Meaning::cases()) : [],
            'answered' => null === $one->answers ? null : $this->messages->whole($one->answers),
        ];
    }
}
