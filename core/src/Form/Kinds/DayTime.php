<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;

/** A day and a time. */
final class DayTime extends InParts
{
    public static function name(): string
    {
        return 'day-time';
    }

    public function destinations(): array
    {
        return [Destination::AppointmentWish, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 40;
    }

    public function parts(): array
    {
        return ['day', 'time'];
    }

    protected function names(): array
    {
        return ['day' => 'Day', 'time' => 'Time'];
    }

    protected function needed(): array
    {
        return ['day', 'time'];
    }

    protected function wrong(Question $question, array $given, Asking $at): ?string
    {
        return $this->incomplete($given) ?? (new DayCheck($at))->fault($given['day'] ?? '', $question->checks) ?? Time::clock($given['time'] ?? '');
    }

    protected function isOrderedByMeaning(): bool
    {
        return true;
    }

    protected function meaning(mixed $answer, string $text, DayOrder $order): ?string
    {
        $day = DayCheck::sure(self::part($answer, 'day'), $order);

        return null === $day ? null : trim("$day ".Fold::text(self::part($answer, 'time')));
    }
}
