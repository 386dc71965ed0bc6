<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Symfony\Component\HttpFoundation\Request;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\Fold;
use Telamon\Http\Query;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Submissions\SubmissionState;

/** Which submissions of a form are shown, and in what order: read from a request, and checked. */
final readonly class TableFilter
{
    private const MOST_WORDS = 6;

    /**
     * @param list<string> $words folded: letters, figures and blanks
     * @param string|null $state one of SubmissionState
     * @param string $by “received”, “state”, or the key that readings are kept under
     */
    private function __construct(public array $words, public ?string $state, public string $by, public bool $descending)
    {
    }

    /**
     * @param array<string, Question> $columns the questions that may be sorted by, by key
     *
     * @throws Refusal when the state or the order is not known
     */
    public static function from(Request $request, array $columns): self
    {
        $sort = $request->query->getString('sort');
        $sort = '' === $sort ? '-received' : $sort;
        $by = ltrim($sort, '-');
        $key = match (true) {
            'received' === $by, 'state' === $by => $by,
            'number' === $by => AnswerRows::NUMBER,
            'name' === $by => AnswerRows::NAME,
            str_starts_with($by, 'answer:') && isset($columns[substr($by, 7)]) => substr($by, 7),
            default => throw new InvalidInput('sort', 'Sort by received, number, name, state or a column.'),
        };
        $typed = preg_split('/[\s,]+/u', mb_substr(mb_scrub($request->query->getString('q')), 0, 100), -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        $words = array_values(array_filter(array_map(Fold::text(...), $typed), static fn (string $word): bool => '' !== $word));

        return new self(
            \array_slice($words, 0, self::MOST_WORDS),
            Query::oneOf($request, 'state', array_column(SubmissionState::cases(), 'value')),
            $key,
            str_starts_with($sort, '-'),
        );
    }

    public function isByReadings(): bool
    {
        return 'received' !== $this->by && 'state' !== $this->by;
    }

    public function letsAllThrough(): bool
    {
        return [] === $this->words && null === $this->state;
    }
}
