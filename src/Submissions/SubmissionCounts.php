<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\DBAL\Connection;
use Telamon\Forms\Taken;

/** How many submissions came through forms. */
final readonly class SubmissionCounts implements Taken
{
    public function __construct(private Connection $db)
    {
    }

    public function of(string $formId): int
    {
        $count = $this->db->fetchOne("SELECT COUNT(*) FROM submission WHERE form_id = ? AND NOT (state = 'set-aside' AND aside_reason = 'advertising')", [$formId]);

        return is_numeric($count) ? (int) $count : 0;
    }

    public function byForm(): array
    {
        /** @var list<array{id: string, n: int|string}> $counts */
        $counts = $this->db->fetchAllAssociative('SELECT v.form_id AS id, COUNT(*) AS n FROM submission s JOIN form_version v ON v.id = s.form_version_id GROUP BY v.form_id');

        return array_map(intval(...), array_column($counts, 'n', 'id'));
    }
}
