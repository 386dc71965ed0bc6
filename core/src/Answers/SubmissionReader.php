<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Time\DayOrder;

/** Reads answers as received into typed values. Pure: the same answers give the same readings. */
final readonly class SubmissionReader
{
    public function __construct(private Readers $readers)
    {
    }

    /**
     * @param array<string, mixed> $answers by question key
     * @param \DateTimeImmutable|null $given day on which they were given: “in three weeks” counts from it
     */
    public function read(FormDefinition $form, array $answers, ?\DateTimeImmutable $given = null): Readings
    {
        $by = $this->readers->on($given);
        $readings = [];
        foreach ($form->questions() as $question) {
            $answer = $answers[$question->key] ?? null;
            $reading = $question->type->read($question, $answer, $form->dayOrder, $by);
            if (null !== $reading) {
                array_push($readings, $reading, ...self::lines($question, $answer, $form->dayOrder, $by));
            }
        }

        return new Readings($readings);
    }

    /**
     * What the lines of a table say to fields of their own; the table as a whole has its reading besides.
     *
     * @return list<Reading>
     */
    private static function lines(Question $question, mixed $answer, DayOrder $order, Readers $by): array
    {
        $readings = [];
        foreach ($question->type instanceof Lines && \is_array($answer) ? array_values($answer) : [] as $i => $line) {
            foreach ($question->lines as $column) {
                $reading = null === $column->destination || !\is_array($line) ? null : $column->type->read($column, $line[$column->key] ?? null, $order, $by, $i + 1);
                if (null !== $reading) {
                    $readings[] = $reading;
                }
            }
        }

        return $readings;
    }
}
