<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Symfony\Component\Console\Attribute\AsCommand;
use Telamon\Console\AnswersFile;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DaySpan;
use Telamon\Core\Time\SpanReader;

#[AsCommand('telamon:days:read', 'Prints which days a text means, for what a file says; docs/tasks.md has its form')]
final class DaysCommand extends AnswersFile
{
    private const LONGEST = 1000;

    public function __construct(private readonly SpanReader $reader = new SpanReader())
    {
        parent::__construct();
    }

    protected function answer(mixed $question): array
    {
        if (!\is_array($question) || (array_is_list($question) && [] !== $question)) {
            throw new UnreadableDay('Send one object with today, order and text.');
        }
        $today = $question['today'] ?? null;
        if (!\is_string($today) || 1 !== preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $today, $m) || !checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw new UnreadableDay('“today” must be a day like 2026-12-01.');
        }
        $order = $question['order'] ?? DayOrder::Unstated->value;
        $way = \is_string($order) ? DayOrder::tryFrom($order) : null;
        if (null === $way) {
            throw new UnreadableDay('“order” must be day-first, month-first or unstated.');
        }
        $text = $question['text'] ?? null;
        if (!\is_string($text) || mb_strlen($text) > self::LONGEST) {
            throw new UnreadableDay('“text” must be a text of at most '.self::LONGEST.' characters.');
        }

        return ['spans' => array_map(
            static fn (DaySpan $span): array => $span->toArray(),
            $this->reader->read($text, new \DateTimeImmutable($today, new \DateTimeZone('UTC')), $way),
        )];
    }
}
