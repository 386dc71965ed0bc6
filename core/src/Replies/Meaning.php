<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** What somebody means who answers a message. */
enum Meaning: string
{
    case Yes = 'yes';
    case No = 'no';
    case Later = 'later';
    case Stop = 'stop';
    case Question = 'question';
    case Other = 'other';
}
