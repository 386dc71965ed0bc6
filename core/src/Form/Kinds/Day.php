<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Pointing;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** A day. */
final class Day extends Written
{
    public static function name(): string
    {
        return 'day';
    }

    public function destinations(): array
    {
        return [Destination::ProjectReadyBy, Destination::AppointmentWish, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 40;
    }

    public function customKinds(): array
    {
        return [CustomKind::Day];
    }

    public function mustBeRead(): bool
    {
        return true;
    }

    public function pointing(): Pointing
    {
        return Pointing::ByDay;
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));
        $days = array_map(static fn (\DateTimeImmutable $day): string => $day->format('Y-m-d'), '' === $text ? [] : $by->days->read($text, $order));

        return '' === $text ? null : new Reading($question, $text, 1 === \count($days) ? $days[0] : null, $days, $line);
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return (new DayCheck($at))->fault($text, $question->checks);
    }

    protected function isOrderedByMeaning(): bool
    {
        return true;
    }

    protected function meaning(mixed $answer, string $text, DayOrder $order): ?string
    {
        return DayCheck::sure($text, $order);
    }
}
