<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;

/**
 * Answers that could not be read, and matter too much to pass over: how to reach them, and the day they need it by.
 * All others are told in the notes.
 */
final readonly class UnreadLines
{
    private const ASKED = [['client', Destination::ClientEmail, 'Client', 'Email', 'a mail address'], ['project', Destination::ProjectReadyBy, 'Project', 'Ready by', 'a day']];

    /**
     * @param 'client'|'project' $of
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, array $decisions, string $of): array
    {
        $lines = [];
        foreach (self::ASKED as [$record, $destination, $group, $label, $what]) {
            $reading = $now->inquiry->readings->for($destination);
            if ($record === $of && null !== $reading && $reading->isUnread()) {
                $lines[] = self::line($reading, $decisions, $group, $label, $what);
            }
        }

        return $lines;
    }

    /** @param array<string, string> $decisions */
    private static function line(Reading $reading, array $decisions, string $group, string $label, string $what): PlanLine
    {
        $key = "unread.{$reading->question->key}";
        $choice = new Choice($key, $decisions[$key] ?? null, [['value' => 'without', 'hotkey' => '1', 'label' => 'Go on without']]);
        $text = Part::value($reading->text, $reading->question->number);

        return null === $choice->chosen
            ? PlanLine::telling($key, $group, "$label: ", $text, " cannot be read as $what. Put the answer right, or go on without?")->because('cannot be read')->offering($choice)
            : PlanLine::telling($key, $group, "$label: ", $text, ' stands in the notes only')->because('your choice')->offering($choice);
    }
}
