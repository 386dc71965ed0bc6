<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\Fold;
use Telamon\Core\Time\DayOrder;

/** From a day to a day. */
final class DaySpan extends InParts
{
    public static function name(): string
    {
        return 'day-span';
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
        return ['from', 'to'];
    }

    protected function names(): array
    {
        return ['from' => 'First day', 'to' => 'Last day'];
    }

    protected function needed(): array
    {
        return ['from', 'to'];
    }

    protected function between(): string
    {
        return ' to ';
    }

    protected function wrong(Question $question, array $given, Asking $at): ?string
    {
        $incomplete = $this->incomplete($given);
        if (null !== $incomplete) {
            return $incomplete;
        }
        $days = new DayCheck($at);
        foreach ($this->names() as $part => $name) {
            $fault = $days->fault($given[$part] ?? '', $question->checks);
            if (null !== $fault) {
                return "$name: $fault";
            }
        }

        return $days->latest($given['to'] ?? '') < $days->earliest($given['from'] ?? '') ? 'The last day comes before the first.' : null;
    }

    protected function isOrderedByMeaning(): bool
    {
        return true;
    }

    protected function meaning(mixed $answer, string $text, DayOrder $order): ?string
    {
        $day = DayCheck::sure(self::part($answer, 'from'), $order);

        return null === $day ? null : trim("$day ".Fold::text(self::part($answer, 'to')));
    }
}
