<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\AddTags;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\SetField;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Time\DayWords;

/** Carries amendments into the lines of a plan. What names a line that is there no more falls away. */
final readonly class Amender
{
    /** Where a task came from that nobody but a person asked for. */
    public const BY_HAND = 'added by hand';

    public function __construct(private LineValues $values = new LineValues())
    {
    }

    /**
     * @param list<PlanLine> $lines
     *
     * @return list<PlanLine>
     *
     * @throws InvalidDecision when a value cannot be
     */
    public function amend(array $lines, PlanInput $input): array
    {
        $amendments = $input->amendments;
        $gone = [];
        foreach ($lines as $i => $line) {
            if (isset($amendments->edits[$line->key])) {
                $lines[$i] = $line = $this->edited($line, $amendments->edits[$line->key], $input);
            }
            if (\in_array($line->key, $amendments->dropped, true) && $line->canDrop()) {
                if ($line->effect instanceof AddTask) {
                    $gone[] = $line->effect->position;
                }
                $lines[$i] = $line->dropped();
            }
        }

        return [] === $gone ? $lines : array_map(static fn (PlanLine $line): PlanLine => self::withoutWaiting($line, $gone), $lines);
    }

    /**
     * The lines that somebody added.
     *
     * @return list<PlanLine>
     *
     * @throws InvalidDecision
     */
    public function added(PlanInput $input, int $tasks): array
    {
        $lines = [];
        foreach ($input->amendments->added as $i => $one) {
            [$key, $values] = ["added.$i", $one['values']];
            $text = trim($values['name'] ?? $values['text'] ?? $values['tag'] ?? $values['staff'] ?? '');
            if ('' === $text) {
                throw new InvalidDecision($key, 'Write what is added.');
            }
            $lines[] = match ($one['kind']) {
                'task' => $this->task($key, $values, $input, ++$tasks),
                'note' => new PlanLine($key, 'Project', [Part::words('Note: '), Part::value($text)], new SetField('project', 'notes', $text), '', self::BY_HAND),
                'tag' => new PlanLine($key, 'Project', [Part::words('Tag the project '), Part::value($text)], new AddTags('project', [mb_substr($text, 0, 60)]), '', self::BY_HAND),
                'owner' => RuleLines::ownerLine($key, self::staff("$key.staff", $text, $input), self::BY_HAND),
                'notice' => self::notice($key, self::staff("$key.staff", $text, $input)),
                default => throw new InvalidDecision($key, 'Add a task, a note, a tag, a notice or an owner.'),
            };
        }

        return $lines;
    }

    private static function notice(string $key, StaffMember $staff): PlanLine
    {
        return new PlanLine($key, 'Messages', [Part::words("Tell {$staff->name} at "), Part::value($staff->email)], new QueueMessage(MessageLines::TOLD, $staff->email, $staff->name, 'You were asked to look at this.'), '', self::BY_HAND);
    }

    /** @param array<string, string> $values */
    private function task(string $key, array $values, PlanInput $input, int $position): PlanLine
    {
        $today = new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC'));
        $due = '' === ($values['due'] ?? '') ? $input->calendar->add($today, 1) : self::day("$key.due", $values['due']);
        $doer = '' === ($values['assignee'] ?? '') ? $input->coordinator : self::staff("$key.assignee", $values['assignee'], $input);
        $name = mb_substr(trim($values['name'] ?? ''), 0, 200);

        return new PlanLine($key, 'Tasks', self::taskParts($name, $doer, $due, $input), new AddTask($position, $name, $doer->id, $due->format('Y-m-d'), [], self::BY_HAND), '', self::BY_HAND);
    }

    /** @param array<string, string> $values */
    private function edited(PlanLine $line, array $values, PlanInput $input): PlanLine
    {
        $effect = $line->effect;
        $values = $effect instanceof Changeable ? array_intersect_key($values, array_flip(array_map(static fn (LineField $field): string => $field->key, $effect->fields()))) : [];
        if (!$effect instanceof Changeable || [] === $values) {
            return $line;
        }
        $values = array_filter($values, static fn (string $value): bool => '' !== trim($value));

        return match (true) {
            $effect instanceof AddTask => $this->editedTask($line, $effect, $values, $input),
            $effect instanceof OpenProject => $this->editedProject($line, $effect, $values, $input),
            default => $this->values->change($line, $effect, $values, $input),
        };
    }

    /** @param array<string, string> $values */
    private function editedTask(PlanLine $line, AddTask $effect, array $values, PlanInput $input): PlanLine
    {
        $name = mb_substr(trim($values['name'] ?? $effect->name), 0, 200);
        $doer = self::staff("{$line->key}.assignee", $values['assignee'] ?? $effect->assignee, $input);
        $due = self::day("{$line->key}.due", $values['due'] ?? $effect->due);

        return $line->amended(self::taskParts($name, $doer, $due, $input), $effect->with(['name' => $name, 'assignee' => $doer->id, 'due' => $due->format('Y-m-d')]));
    }

    /**
     * Whoever leads was settled before the lines were made, as tasks and notices follow it.
     *
     * @param array<string, string> $values
     */
    private function editedProject(PlanLine $line, OpenProject $effect, array $values, PlanInput $input): PlanLine
    {
        $title = mb_substr(trim($values['title'] ?? $effect->title), 0, 200);
        $parts = array_map(static fn (Part $part): Part => $part->value && $part->text === $effect->title ? Part::value($title) : $part, $line->parts);
        $stage = trim($values['stage'] ?? $effect->stage);
        if ('' !== $stage && !\in_array($stage, $input->book->stages, true)) {
            throw new InvalidDecision("{$line->key}.stage", 'Choose a stage that is there.');
        }
        if ($stage !== $effect->stage) {
            $parts = [...$parts, Part::words(', in the stage '), Part::value($stage)];
        }

        return $line->amended($parts, $effect->with(['title' => $title, 'stage' => $stage]));
    }

    /** @param list<int> $gone numbers of tasks that are left out */
    private static function withoutWaiting(PlanLine $line, array $gone): PlanLine
    {
        if (!$line->effect instanceof AddTask) {
            return $line;
        }
        $left = array_values(array_diff($line->effect->waitsFor, $gone));

        return $left === $line->effect->waitsFor ? $line : $line->doing($line->effect->waitingFor($left), [] === $left ? '' : 'after task '.implode(' and ', $left));
    }

    /** @return list<Part> */
    private static function taskParts(string $name, StaffMember $doer, \DateTimeImmutable $due, PlanInput $input): array
    {
        return [Part::value($name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $input->today))];
    }

    public static function staff(string $path, string $id, PlanInput $input): StaffMember
    {
        return $input->book->staff[$id] ?? ($id === $input->coordinator->id ? $input->coordinator : throw new InvalidDecision($path, 'Choose somebody who is here.'));
    }

    public static function day(string $path, string $text): \DateTimeImmutable
    {
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text ? $day : throw new InvalidDecision($path, 'Write the day like 2027-06-12.');
    }
}
