<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;
use Telamon\Core\Time\DaySpan;
use Telamon\Core\Time\SpanReader;

/** Answers as a condition asks about them. A question that is not shown has no answer. */
final readonly class Facts
{
    /**
     * @param array<array-key, mixed> $answers by question key: text, a list of texts, texts by part, or the lines of a table
     * @param string $today ISO 8601 day at the business
     * @param bool $inWords whether days in words count too (“in three weeks”, from today on), as they do where the server
     *                      alone asks; a form hides and shows questions by what is written out
     */
    public function __construct(private array $answers, public string $today, private DayOrder $order = DayOrder::Unstated, private bool $inWords = false)
    {
    }

    /**
     * The answer as texts, trimmed: one for each choice; parts as one text; the lines of a table as how many.
     *
     * @return list<string> none where nothing was answered
     */
    public function texts(string $question): array
    {
        $answer = $this->answers[$question] ?? null;
        if (\is_array($answer) && !array_is_list($answer)) {
            $answer = trim((string) preg_replace('/\s+/', ' ', implode(' ', array_filter(array_diff_key($answer, ['how' => 0, 'image' => 0]), \is_string(...)))));
        }
        if (\is_array($answer) && [] !== array_filter($answer, \is_array(...))) {
            $answer = (string) \count($answer);
        }
        $texts = array_map(trim(...), array_filter(\is_array($answer) ? array_values($answer) : [$answer], \is_string(...)));

        return array_values(array_filter($texts, static fn (string $text): bool => '' !== $text));
    }

    /** The answer as a number (figures with a point), or null where it is none. */
    public function number(string $question): ?BigDecimal
    {
        return self::asNumber($this->texts($question)[0] ?? '');
    }

    /** The answer as one day, ISO 8601, or null where it is none or could be two; the first day of a span. */
    public function day(string $question): ?string
    {
        $answer = $this->answers[$question] ?? null;
        $part = \is_array($answer) ? ($answer['day'] ?? $answer['from'] ?? null) : null;
        $text = \is_string($part) ? $part : ($this->texts($question)[0] ?? '');
        $days = (new DayReader())->read($text, $this->order);
        if ([] === $days && $this->inWords) {
            $days = array_map(
                static fn (DaySpan $span): \DateTimeImmutable => $span->from,
                (new SpanReader())->read($text, new \DateTimeImmutable($this->today, new \DateTimeZone('UTC')), $this->order),
            );
        }

        return 1 === \count($days) ? $days[0]->format('Y-m-d') : null;
    }

    public static function asNumber(string $text): ?BigDecimal
    {
        if (1 !== preg_match('/^[+-]?\d{1,30}(\.\d{1,30})?$/', $text)) {
            return null;
        }
        try {
            return BigDecimal::of($text);
        } catch (MathException) {
            return null;
        }
    }
}
