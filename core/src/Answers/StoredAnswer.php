<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Brick\Math\BigDecimal;
use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

/**
 * One answer as it is kept for tables: what it is put in order by, what it counts as, what it is found by. All three
 * are plain text, so that an index of any database keeps them in order.
 */
final class StoredAnswer
{
    private const LONGEST = 120;

    /** What cannot be read as what was asked for stands behind everything that can. */
    private const UNREAD = '~';

    /** @return string compares by bytes as the answers do by meaning; empty where nothing was answered */
    public static function ordered(Question $question, mixed $answer, DayOrder $order): string
    {
        $text = AnswerText::of($question, $answer);
        if ('' === trim($text)) {
            return '';
        }
        $folded = substr(Fold::text($text), 0, self::LONGEST);

        return match ($question->type) {
            QuestionType::Number, QuestionType::Money, QuestionType::Scale, QuestionType::Rating => self::orderedNumber(self::number($question->type, $text)) ?? self::UNREAD.$folded,
            QuestionType::Day => self::day($text, $order) ?? self::UNREAD.$folded,
            QuestionType::DaySpan, QuestionType::DayTime => self::ofDays(\is_array($answer) ? $answer : [], $order) ?? self::UNREAD.$folded,
            // Signs alone are an answer too.
            default => '' === $folded ? self::UNREAD : $folded,
        };
    }

    /**
     * What is counted of an answer: each choice once, a number as a plain decimal.
     *
     * @return list<string> empty where nothing was answered
     */
    public static function counted(Question $question, mixed $answer): array
    {
        $texts = array_map(trim(...), array_filter(\is_array($answer) ? $answer : [$answer], static fn (mixed $text): bool => \is_string($text) && '' !== trim($text)));
        if (QuestionType::Number === $question->type || QuestionType::Money === $question->type) {
            $texts = array_map(static fn (string $text): string => (string) (self::number($question->type, $text)?->strippedOfTrailingZeros() ?? $text), $texts);
        }

        return array_values(array_unique($texts));
    }

    /** @return string folded words; what people see, not what stands behind it */
    public static function found(Question $question, mixed $answer): string
    {
        return Fold::text(AnswerText::of($question, $answer));
    }

    /** A number or an amount as people write it: “1.250,50”, “about 200”, “-3”; null where it is none. */
    public static function number(QuestionType $type, string $text): ?BigDecimal
    {
        $number = Facts::asNumber(ltrim(trim($text), "€£ \u{a0}$"));
        if (null !== $number || QuestionType::Scale === $type || QuestionType::Rating === $type) {
            return $number;
        }
        $read = (new AmountReader())->read($text)?->value;

        return null === $read ? null : Facts::asNumber($read);
    }

    /**
     * A decimal as text that compares by bytes as the decimals do by size: its sign, how many figures stand before
     * the point, the figures; below nought everything the other way round.
     */
    private static function orderedNumber(?BigDecimal $number): ?string
    {
        if (null === $number) {
            return null;
        }
        [$whole, $places] = [...explode('.', (string) $number->abs()->strippedOfTrailingZeros()), ''];
        $text = \sprintf('%03d', \strlen($whole)).$whole.('' === $places ? '' : ".$places");

        return $number->isNegative() ? '0'.strtr($text, '0123456789', '9876543210').'~' : "1$text";
    }

    /** @param array<array-key, mixed> $parts */
    private static function ofDays(array $parts, DayOrder $order): ?string
    {
        $part = static fn (string $name): string => \is_string($parts[$name] ?? null) ? trim($parts[$name]) : '';
        $day = self::day('' === $part('day') ? $part('from') : $part('day'), $order);

        return null === $day ? null : trim("$day ".Fold::text($part('time').' '.$part('to')));
    }

    /** @return string|null ISO 8601; null for what is no day, or may be two */
    private static function day(string $text, DayOrder $order): ?string
    {
        $days = (new DayReader())->read(trim($text), $order);

        return 1 === \count($days) ? $days[0]->format('Y-m-d') : null;
    }
}
