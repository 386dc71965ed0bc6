<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Where an appointment is held. */
enum PlaceKind: string
{
    case Client = 'client';
    case Here = 'here';
    case Phone = 'phone';
    case Video = 'video';

    /** Whether somebody travels to it. */
    public function isOnTheRoad(): bool
    {
        return self::Client === $this;
    }

    public function words(): string
    {
        return match ($this) {
            self::Client => 'at the client’s',
            self::Here => 'here',
            self::Phone => 'by phone',
            self::Video => 'by video',
        };
    }
}
