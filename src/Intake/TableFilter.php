<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Symfony\Component\HttpFoundation\Request;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Http\Problem;
use Telamon\Http\Query;

/** Which submissions of a form are shown, and in what order: read from a request, checked, as parts of SQL. */
final readonly class TableFilter
{
    /**
     * @param list<string> $words ready for LIKE
     * @param string $expression what is sorted by, made of fixed texts and keys of questions that were checked
     */
    private function __construct(public array $words, public ?string $state, public string $expression, public bool $descending)
    {
    }

    /**
     * @param array<string, Question> $columns the questions that may be sorted by
     *
     * @throws Problem 422 when the state or the order is not known
     */
    public static function from(Request $request, array $columns): self
    {
        $sort = $request->query->getString('sort');
        $sort = '' === $sort ? '-received' : $sort;
        $by = ltrim($sort, '-');
        $expression = match (true) {
            'received' === $by => 's.received_at',
            'number' === $by => 's.number',
            'name' === $by => 's.name COLLATE NOCASE',
            'state' === $by => 's.state',
            str_starts_with($by, 'answer:') && isset($columns[substr($by, 7)]) => self::answer($columns[substr($by, 7)]),
            default => throw Problem::invalid('sort', 'Sort by received, number, name, state or a column.'),
        };

        return new self(Query::words($request), Query::oneOf($request, 'state', array_column(SubmissionState::cases(), 'value')), $expression, str_starts_with($sort, '-'));
    }

    /** @return array{string, array<string, string>} a condition and its parameters */
    public function where(string $formId): array
    {
        $sql = 's.form_id = :form';
        $parameters = ['form' => $formId];
        if (null !== $this->state) {
            $sql .= ' AND s.state = :state';
            $parameters['state'] = $this->state;
        }
        foreach ($this->words as $i => $like) {
            $sql .= " AND (LOWER(s.answers) LIKE :w$i ESCAPE '\\' OR LOWER(s.number) LIKE :w$i ESCAPE '\\')";
            $parameters["w$i"] = self::inJson($like);
        }

        return [$sql, $parameters];
    }

    /** Numbers by size, everything else by letters whatever their case. The key holds letters, figures and underlines only. */
    private static function answer(Question $question): string
    {
        $value = "json_extract(s.answers, '$.{$question->key}')";

        return \in_array($question->type, [QuestionType::Number, QuestionType::Money, QuestionType::Scale, QuestionType::Rating], true)
            ? "COALESCE(CAST($value AS REAL), -1e300)"
            : "LOWER(COALESCE($value, ''))";
    }

    /** Answers are kept as JSON, in which quotes and backslashes are written with a backslash. */
    private static function inJson(string $like): string
    {
        $word = str_replace(['\\\\', '\\%', '\\_'], ['\\', '%', '_'], substr($like, 1, -1));

        return '%'.addcslashes(substr(json_encode($word, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE), 1, -1), '\\%_').'%';
    }
}
