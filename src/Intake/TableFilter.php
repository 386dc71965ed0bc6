<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Symfony\Component\HttpFoundation\Request;
use Telamon\Core\Form\Option;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Matching\Fold;
use Telamon\Http\Problem;
use Telamon\Http\Query;

/** Which submissions of a form are shown, and in what order: read from a request, checked, as parts of SQL. */
final readonly class TableFilter
{
    /**
     * @param array<string, Question> $columns
     * @param list<string> $words ready for LIKE
     * @param string $expression what is sorted by, made of fixed texts and keys of questions that were checked
     */
    private function __construct(private array $columns, public array $words, public ?string $state, public string $expression, public bool $descending)
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

        return new self($columns, Query::words($request), Query::oneOf($request, 'state', array_column(SubmissionState::cases(), 'value')), $expression, str_starts_with($sort, '-'));
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
            $sql .= " AND (FOLDED(s.answers) LIKE :w$i ESCAPE '\\' OR LOWER(s.number) LIKE :n$i ESCAPE '\\'".$this->choices($like, $i, $parameters).')';
            $parameters["n$i"] = $like;
            $parameters["w$i"] = '%'.Fold::text(str_replace(['\\\\', '\\%', '\\_'], ['\\', '%', '_'], substr($like, 1, -1))).'%';
        }

        return [$sql, $parameters];
    }

    /**
     * Choices are kept by their values and looked for by what people see.
     *
     * @param array<string, string> $parameters
     */
    private function choices(string $like, int $word, array &$parameters): string
    {
        $wanted = Fold::text(substr($like, 1, -1));
        $sql = '';
        foreach ($this->columns as $question) {
            foreach ($question->options as $option) {
                if ('' !== $wanted && $option->value !== $option->label && str_contains(Fold::text($option->label), $wanted)) {
                    $name = "c{$word}_".\count($parameters);
                    $sql .= " OR s.answers LIKE :$name ESCAPE '\\'";
                    $parameters[$name] = '%'.addcslashes(json_encode($option->value, \JSON_THROW_ON_ERROR), '\\%_').'%';
                }
            }
        }

        return $sql;
    }

    /** Numbers and amounts by size, days by the calendar, everything else by letters whatever their case and accents. The key holds letters, figures and underlines only. */
    private static function answer(Question $question): string
    {
        $value = "json_extract(s.answers, '$.{$question->key}')";

        return \in_array($question->type, [QuestionType::Number, QuestionType::Money, QuestionType::Scale, QuestionType::Rating], true)
            ? "AMOUNT($value)"
            : (QuestionType::Day === $question->type ? "DAY(COALESCE($value, ''), json_extract((SELECT v.definition FROM form_version v WHERE v.id = s.form_version_id), '$.dayOrder'))" : self::text($question, $value));
    }

    /** A choice by what people see. */
    private static function text(Question $question, string $value): string
    {
        if ([] === $question->options || QuestionType::OneOf !== $question->type) {
            return "LOWER(COALESCE($value, ''))";
        }
        $quoted = static fn (string $text): string => "'".str_replace("'", "''", $text)."'";
        $cases = implode(' ', array_map(static fn (Option $option): string => 'WHEN '.$quoted($option->value).' THEN '.$quoted(mb_strtolower($option->label)), $question->options));

        return "CASE COALESCE($value, '') $cases ELSE LOWER(COALESCE($value, '')) END";
    }
}
