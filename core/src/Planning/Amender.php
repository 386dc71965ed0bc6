<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\AddTags;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\PlanLine;

/** Carries amendments into the lines of a plan. What names a line that is there no more falls away. */
final readonly class Amender
{
    /** Where a task came from that nobody but a person asked for. */
    public const BY_HAND = 'added by hand';

    private const GROUPS = ['task' => 'Tasks', 'note' => 'Project', 'tag' => 'Project', 'owner' => 'Client', 'notice' => 'Messages'];

    public function __construct(private TypedValues $values = new TypedValues())
    {
    }

    /**
     * @param list<PlanLine> $lines
     *
     * @return list<PlanLine>
     *
     * @throws InvalidDecision when a value cannot be
     */
    public function amend(array $lines, PlanContext $now): array
    {
        $amendments = $now->amendments;
        $gone = [];
        foreach ($lines as $i => $line) {
            if (isset($amendments->edits[$line->key])) {
                $lines[$i] = $line = $this->edited($line, $amendments->edits[$line->key], $now);
            }
            if (\in_array($line->key, $amendments->dropped, true) && $line->canDrop()) {
                if ($line->effect instanceof AddTask) {
                    $gone[] = $line->effect->position;
                }
                $lines[$i] = $line->dropped();
            }
        }

        $names = [];
        foreach ($lines as $line) {
            if ($line->effect instanceof AddTask) {
                $names[$line->effect->position] = $line->effect->name;
            }
        }

        return [] === $gone ? $lines : array_map(static fn (PlanLine $line): PlanLine => self::withoutWaiting($line, $gone, $names), $lines);
    }

    /**
     * The lines that somebody added.
     *
     * @return list<PlanLine>
     *
     * @throws InvalidDecision
     */
    public function added(PlanContext $now, int $tasks): array
    {
        $lines = [];
        foreach ($now->amendments->added as $i => $one) {
            [$key, $values] = ["added.$i", $one['values']];
            $text = trim($values['name'] ?? $values['text'] ?? $values['tag'] ?? $values['staff'] ?? '');
            if ('' === $text) {
                throw new InvalidDecision($key, 'Write what is added.');
            }
            $effect = match ($one['kind']) {
                'task' => $this->task($key, $values, $now, ++$tasks),
                'note' => SetField::to('project', 'notes', $text),
                'tag' => new AddTags('project', [mb_substr($text, 0, 60)]),
                'owner' => SetField::to('client', 'owner', TypedValues::staff("$key.staff", $text, $now)->id),
                'notice' => QueueMessage::toStaff(MessageLines::TOLD, TypedValues::staff("$key.staff", $text, $now), 'You were asked to look at this.'),
                default => throw new InvalidDecision($key, 'Add a task, a note, a tag, a notice or an owner.'),
            };
            $lines[] = PlanLine::of($key, self::GROUPS[$one['kind']], $effect, $now->telling)->because(self::BY_HAND);
        }

        return $lines;
    }

    /** @param array<string, string> $values */
    private function task(string $key, array $values, PlanContext $now, int $position): AddTask
    {
        $due = '' === ($values['due'] ?? '') ? $now->desk->calendar->add($now->day(), 1)->format('Y-m-d') : TypedValues::day("$key.due", $values['due']);
        $doer = '' === ($values['assignee'] ?? '') ? $now->desk->coordinator : TypedValues::staff("$key.assignee", $values['assignee'], $now);

        return new AddTask($position, mb_substr(trim($values['name'] ?? ''), 0, 200), $doer->id, $due, [], self::BY_HAND);
    }

    /**
     * Whoever leads was settled before the lines were made, as tasks and notices follow it.
     *
     * @param array<string, string> $values what is left empty stays as it was
     */
    private function edited(PlanLine $line, array $values, PlanContext $now): PlanLine
    {
        $effect = $line->effect;
        $fields = $effect instanceof Changeable ? array_column($effect->fields(), null, 'key') : [];
        $values = array_intersect_key($values, $fields);
        if (!$effect instanceof Changeable || [] === $values) {
            return $line;
        }
        $read = [];
        foreach (array_filter($values, static fn (string $value): bool => '' !== trim($value)) as $key => $value) {
            $read[$key] = $this->values->read("{$line->key}.$key", $fields[$key], $value, $now);
        }
        $changed = array_filter($read, static fn (string $value, string $key): bool => $value !== $fields[$key]->value, \ARRAY_FILTER_USE_BOTH);

        return $line->amended($effect->with($read), $now->telling, array_keys($changed));
    }

    /**
     * @param list<int> $gone numbers of tasks that are left out
     * @param array<int, string> $names of the tasks by number
     */
    private static function withoutWaiting(PlanLine $line, array $gone, array $names): PlanLine
    {
        if (!$line->effect instanceof AddTask) {
            return $line;
        }
        $left = array_values(array_diff($line->effect->waitsFor, $gone));

        return $left === $line->effect->waitsFor ? $line : $line->doing($line->effect->waitingFor($left))->noting(TaskLines::after($left, $names));
    }
}
