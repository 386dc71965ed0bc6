<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Telamon\Core\Form\DayOrder;
use Telamon\Core\Reading\DayReader;

/** Answers as a condition asks about them. A question that is not shown has no answer. */
final readonly class Facts
{
    /**
     * @param array<array-key, mixed> $answers by question key: text, or a list of texts
     * @param string $today ISO 8601 day at the business
     */
    public function __construct(private array $answers, public string $today, private DayOrder $order = DayOrder::Unstated)
    {
    }

    /** @return list<string> trimmed; none where nothing was answered */
    public function texts(string $question): array
    {
        $answer = $this->answers[$question] ?? null;
        $texts = array_map(trim(...), array_filter(\is_array($answer) ? array_values($answer) : [$answer], \is_string(...)));

        return array_values(array_filter($texts, static fn (string $text): bool => '' !== $text));
    }

    /** The answer as a number (figures with a point), or null where it is none. */
    public function number(string $question): ?BigDecimal
    {
        return self::asNumber($this->texts($question)[0] ?? '');
    }

    /** The answer as one day, ISO 8601, or null where it is none or could be two. */
    public function day(string $question): ?string
    {
        $days = (new DayReader())->read($this->texts($question)[0] ?? '', $this->order);

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
