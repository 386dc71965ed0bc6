<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** The ways that a series can take: the main one, and one for each thing that can come back. */
enum Course: string
{
    case Main = 'main';
    case Yes = 'yes';
    case Later = 'later';
    case Question = 'question';
    case No = 'no';
    case Booked = 'booked';
    /** They filled in another form, and a plan was made of it. */
    case Form = 'form';

    public function words(): string
    {
        return match ($this) {
            self::Main => 'no answer yet',
            self::Yes => 'a yes',
            self::Later => 'later',
            self::Question => 'a question, or something else',
            self::No => 'a no',
            self::Booked => 'a booking',
            self::Form => 'a form',
        };
    }
}
