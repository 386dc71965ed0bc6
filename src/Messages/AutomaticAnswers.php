<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Journal\CurrentChange;

/**
 * Keeps two machines from answering each other for ever (RFC 3834, section 2): what came by mail is answered by itself
 * once a day with one letter, and after three letters in a week somebody writes by hand.
 */
final readonly class AutomaticAnswers
{
    public const ENOUGH = 'Not sent: three automatic letters went there within a week. Perhaps a machine answers; write by hand.';
    private const A_DAY = 'Not sent: they had the same automatic letter within a day.';
    private const MOST = 3;

    public function __construct(private Connection $db, private CurrentChange $current, private ClockInterface $clock)
    {
    }

    /** @return string why it is not sent; empty where it may be */
    public function against(string $template, string $to, ?string $submissionId): string
    {
        if (null === $submissionId || null !== $this->current->get()?->staff || 'mail' !== $this->db->fetchOne('SELECT channel FROM submission WHERE id = ?', [$submissionId])) {
            return '';
        }
        if ($this->sent('-7 days', $to, '') >= self::MOST) {
            return self::ENOUGH;
        }

        return $this->sent('-1 day', $to, $template) > 0 ? self::A_DAY : '';
    }

    /** @return list<string> addresses that are answered by themselves no more, of the last two days */
    public function silenced(): array
    {
        /** @var list<string> $to */
        $to = $this->db->fetchFirstColumn(
            'SELECT DISTINCT to_address FROM message WHERE state = ? AND failure = ? AND queued_at > ? ORDER BY to_address LIMIT 5',
            [MessageState::Cancelled->value, self::ENOUGH, $this->at('-2 days')],
        );

        return $to;
    }

    private function sent(string $since, string $to, string $template): int
    {
        $count = $this->db->fetchOne(
            "SELECT COUNT(*) FROM message m JOIN submission s ON s.id = m.submission_id WHERE s.channel = 'mail' AND LOWER(m.to_address) = ? AND m.kind <> 'by-hand' AND m.state <> ? AND m.queued_at > ? AND (? = '' OR m.template = ?)",
            [mb_strtolower($to), MessageState::Cancelled->value, $this->at($since), $template, $template],
        );

        return is_numeric($count) ? (int) $count : 0;
    }

    private function at(string $when): string
    {
        return $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify($when)->format('Y-m-d H:i:s');
    }
}
