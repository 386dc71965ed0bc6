<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\DBAL\Connection;
use Telamon\Http\Cursor;
use Telamon\Submissions\SubmissionState;

/**
 * Reads the rows of a form's table in the order that is wanted, from the stored readings: a page ends where it is
 * full, however long the table. “CROSS JOIN” keeps the order of reading as written: along the index that is sorted by.
 */
final readonly class TableRows
{
    private const COLUMNS = 's.id, s.number, s.name, s.state, s.received_at, s.form_version_id, s.answers';
    private const READING = "r.form_id = :form AND r.question_key = :key AND r.serves = 'order'";

    public function __construct(private Connection $db)
    {
    }

    /**
     * @param Cursor|null $after where the page before ended, as next() tells it
     * @param int|null $most null for all
     *
     * @return iterable<array<string, mixed>> with “place”, for the cursor
     */
    public function read(string $formId, TableFilter $filter, ?Cursor $after, ?int $most): iterable
    {
        if (!$filter->isByReadings()) {
            yield from $this->plain($formId, $filter, $after, $most);

            return;
        }
        $blank = null !== $after && str_starts_with($after->value, 'blank ');
        $read = 0;
        if (!$blank) {
            foreach ($this->answered($formId, $filter, $after, $most) as $row) {
                ++$read;
                yield $row;
            }
        }
        if ((null === $most || $read < $most) && !str_starts_with($filter->by, '@')) {
            yield from $this->blank($formId, $filter, $blank ? $after : null, null === $most ? null : $most - $read);
        }
    }

    /**
     * The answers alone, for counting.
     *
     * @return iterable<array<array-key, mixed>>
     */
    public function answers(string $formId, TableFilter $filter): iterable
    {
        [$where, $parameters] = $this->where($filter, true);
        foreach ($this->db->iterateColumn("SELECT s.answers FROM submission s WHERE s.form_id = :form$where", $parameters + ['form' => $formId]) as $answers) {
            $decoded = json_decode(\is_string($answers) ? $answers : '', true);
            yield \is_array($decoded) ? $decoded : [];
        }
    }

    public function count(string $formId): int
    {
        $count = $this->db->fetchOne('SELECT COUNT(*) FROM submission WHERE form_id = ?', [$formId]);

        return is_numeric($count) ? (int) $count : 0;
    }

    /** @return iterable<array{key: string, value: string, times: int}> how often each answer to each question was given; an empty value for any answer at all */
    public function counts(string $formId): iterable
    {
        /** @var array{question_key: string, value: string, times: int|string} $row */
        foreach ($this->db->iterateAssociative('SELECT question_key, value, times FROM answer_count WHERE form_id = ? AND times > 0', [$formId]) as $row) {
            yield ['key' => $row['question_key'], 'value' => $row['value'], 'times' => (int) $row['times']];
        }
    }

    /** @return iterable<array<string, mixed>> by when they came, or by their state */
    private function plain(string $formId, TableFilter $filter, ?Cursor $after, ?int $most): iterable
    {
        $byTime = 'received' === $filter->by;
        // Words are looked for where they lie in the order of receiving already; put in another order, what was found is few.
        $walks = $byTime && [] !== $filter->words;
        [$time, $id] = $walks ? ['t.received_at', 't.submission_id'] : ['s.received_at', 's.id'];
        $by = $byTime ? $time : 's.state';
        [$where, $parameters] = $this->where($filter, !$walks);
        if ($walks) {
            [$words, $more] = self::words($filter);
            $where .= $words;
            $parameters += $more;
        }

        return $this->rows(
            $walks ? 'answer_text t CROSS JOIN submission s ON s.id = t.submission_id' : 'submission s',
            ($walks ? 't' : 's').".form_id = :form$where", $by, $id, $by, $filter->descending, $after, $most, $parameters + ['form' => $formId],
        );
    }

    /** @return iterable<array<string, mixed>> those that answered, by what they answered */
    private function answered(string $formId, TableFilter $filter, ?Cursor $after, ?int $most): iterable
    {
        [$where, $parameters] = $this->where($filter, true);

        // Where few are let through, each is asked what it answered; otherwise the answers are gone along in their order.
        $few = [] !== $filter->words || SubmissionState::Waiting->value === $filter->state;

        return $this->rows(
            $few ? 'submission s CROSS JOIN answer_reading r ON r.submission_id = s.id' : 'answer_reading r CROSS JOIN submission s ON s.id = r.submission_id',
            ($few ? 's.form_id = :form AND ' : '').self::READING.$where,
            'r.value',
            'r.submission_id',
            'r.value',
            $filter->descending,
            $after,
            $most,
            $parameters + ['form' => $formId, 'key' => $filter->by],
        );
    }

    /** @return iterable<array<string, mixed>> those that did not answer: last, whichever way the others stand, the newest first */
    private function blank(string $formId, TableFilter $filter, ?Cursor $after, ?int $most): iterable
    {
        [$where, $parameters] = $this->where($filter, true);
        $none = 's.form_id = :form AND NOT EXISTS (SELECT 1 FROM answer_reading r WHERE r.submission_id = s.id AND '.self::READING.')';
        $after = null === $after ? null : new Cursor(substr($after->value, 6), $after->id);

        return $this->rows(
            'submission s',
            $none.$where,
            's.received_at',
            's.id',
            "'blank ' || s.received_at",
            true,
            $after,
            $most,
            $parameters + ['form' => $formId, 'key' => $filter->by],
        );
    }

    /**
     * @param array<string, string> $parameters
     *
     * @return iterable<array<string, mixed>>
     */
    private function rows(string $from, string $where, string $by, string $id, string $place, bool $descending, ?Cursor $after, ?int $most, array $parameters): iterable
    {
        [$direction, $beyond] = $descending ? ['DESC', '<'] : ['ASC', '>'];
        if (null !== $after) {
            $where .= " AND ($by, $id) $beyond (:after, :id)";
            $parameters += ['after' => $after->value, 'id' => $after->id];
        }
        $limit = null === $most ? '' : " LIMIT $most";

        return $this->db->iterateAssociative('SELECT '.self::COLUMNS.", $place AS place FROM $from WHERE $where ORDER BY $by $direction, $id $direction$limit", $parameters);
    }

    /** @return array{string, array<string, string>} what else must hold, and its parameters */
    private function where(TableFilter $filter, bool $words): array
    {
        $sql = null === $filter->state ? '' : ' AND s.state = :state';
        $parameters = null === $filter->state ? [] : ['state' => $filter->state];
        if ($words && [] !== $filter->words) {
            [$found, $more] = self::words($filter);
            $sql .= " AND s.id IN (SELECT t.submission_id FROM answer_text t WHERE t.form_id = :form$found)";
            $parameters += $more;
        }

        return [$sql, $parameters];
    }

    /** @return array{string, array<string, string>} each word stands somewhere; folded words hold no sign of LIKE */
    private static function words(TableFilter $filter): array
    {
        $sql = '';
        $parameters = [];
        foreach ($filter->words as $i => $word) {
            $sql .= " AND t.folded LIKE :w$i";
            $parameters["w$i"] = "%$word%";
        }

        return [$sql, $parameters];
    }
}
