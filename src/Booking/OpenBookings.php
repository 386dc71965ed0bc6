<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Clients\ConfirmedAddresses;
use Telamon\Diary\Appointment;
use Telamon\Submissions\Submission;

/** How many visits somebody whom nobody knows has open: beyond a few, the next one is confirmed by mail, so that nobody fills the diary from outside. */
final readonly class OpenBookings
{
    private const MOST = 2;

    public function __construct(private Connection $db, private ConfirmedAddresses $confirmed, private ClockInterface $clock)
    {
    }

    /** Whether the same mail address, number, network address or place has as many open as may be, beside this one. */
    public function areMany(Appointment $appointment, Submission $submission): bool
    {
        if ($this->confirmed->has($appointment->email)) {
            return false;
        }
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $count = function (string $where, string $value) use ($appointment, $now): int {
            $found = '' === trim($value)
                ? 0
                : $this->db->fetchOne(
                    "SELECT COUNT(*) FROM appointment a LEFT JOIN submission s ON s.id = a.submission_id WHERE a.id <> ? AND a.state IN ('booked', 'offered') AND a.starts_at > ? AND a.submission_id IS NOT NULL AND $where",
                    [$appointment->id, $now, $value],
                );

            return is_numeric($found) ? (int) $found : 0;
        };

        return max(
            $count('LOWER(a.email) = ?', mb_strtolower($appointment->email)),
            $count('a.phone = ?', $appointment->phone),
            $count('s.network_address = ?', $submission->origin->networkAddress),
            // To the workshop everybody comes.
            $appointment->onTheRoad ? $count('LOWER(a.place) = ?', mb_strtolower($appointment->place)) : 0,
        ) >= self::MOST;
    }
}
