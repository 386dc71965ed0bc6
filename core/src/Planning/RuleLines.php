<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Messaging\TemplateRenderer;
use Telamon\Core\Rules\Action;
use Telamon\Core\Rules\ActionKind;
use Telamon\Core\Rules\Rule;

/** The plan's lines that handling rules add: tags, notes, tasks and notices. */
final readonly class RuleLines
{
    public function __construct(private TemplateRenderer $renderer = new TemplateRenderer())
    {
    }

    /**
     * @param list<PlanLine> $before the lines so far
     *
     * @return list<PlanLine>
     */
    public function lines(PlanInput $input, array $before): array
    {
        $lines = [];
        $tasks = \count(array_filter($before, static fn (PlanLine $line): bool => EffectKind::AddTask === $line->effect?->kind));
        $told = array_map(static fn (PlanLine $line): string => EffectKind::QueueMessage === $line->effect?->kind ? $line->effect->text('to') : '', $before);
        foreach ($input->outcome->adds as $i => [$rule, $action]) {
            $key = "rule.{$rule->id}.$i";
            $line = match ($action->kind) {
                ActionKind::Tag => $this->tag($input, $rule, $action, $key),
                ActionKind::Note => $this->note($input, $rule, $action, $key),
                ActionKind::Task => $this->task($input, $rule, $action, $key, ++$tasks, $before),
                ActionKind::Notice => $this->notice($input, $rule, $action, $key, $told),
                default => null,
            };
            if (null !== $line) {
                $lines[] = $line;
            }
        }
        foreach ($input->outcome->gone as $i => [$rule, $what]) {
            $lines[] = new PlanLine("rule.{$rule->id}.gone.$i", 'Rules', [Part::words("{$rule->name} names $what: nothing is done for it")], null, '', $rule->name);
        }

        return $lines;
    }

    private function tag(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $tag = mb_substr($this->filled($input, $action->text('tag')), 0, 60);
        $record = $action->text('record');

        return new PlanLine($key, 'client' === $record ? 'Client' : 'Project', [Part::words("Tag the $record "), Part::value($tag)], new Effect(EffectKind::AddTags, ['record' => $record, 'tags' => [$tag]]), '', $rule->name);
    }

    private function note(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $text = $this->filled($input, $action->text('text'));

        return new PlanLine($key, 'Project', [Part::words('Note: '), Part::value($text)], new Effect(EffectKind::SetField, ['record' => 'project', 'field' => 'notes', 'value' => $text]), '', $rule->name);
    }

    /** @param list<PlanLine> $before */
    private function task(PlanInput $input, Rule $rule, Action $action, string $key, int $position, array $before): PlanLine
    {
        $lead = $input->coordinator;
        foreach ($before as $line) {
            if (EffectKind::OpenProject === $line->effect?->kind) {
                $lead = $input->book->staff[$line->effect->text('lead')] ?? $lead;
            }
        }
        $doer = match ($action->text('doer')) {
            'coordinator' => $input->coordinator,
            'lead' => $lead,
            default => $input->book->staff[$action->text('doer')] ?? $lead,
        };
        $name = mb_substr($this->filled($input, $action->text('name')), 0, 200);
        $due = $input->calendar->add(new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC')), (int) $action->text('days'));

        return new PlanLine($key, 'Tasks', [Part::value($name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $input->today))], new Effect(EffectKind::AddTask, [
            'position' => $position, 'name' => $name, 'assignee' => $doer->id, 'due' => $due->format('Y-m-d'), 'waits_for' => [], 'checklist' => '',
        ]), '', $rule->name);
    }

    /** @param list<string> $told addresses that the plan writes to already */
    private function notice(PlanInput $input, Rule $rule, Action $action, string $key, array $told): ?PlanLine
    {
        $staff = $input->book->staff[$action->text('staff')] ?? null;
        if (null === $staff) {
            return null;
        }
        if (isset($input->alreadySent[MessageLines::NOTICE])) {
            return new PlanLine($key, 'Messages', [Part::words("{$staff->name} was told before, not again")], null, '', $rule->name);
        }
        if (\in_array($staff->email, $told, true)) {
            return new PlanLine($key, 'Messages', [Part::words("{$staff->name} is told already")], null, '', $rule->name);
        }

        return new PlanLine($key, 'Messages', [Part::words("Tell {$staff->name} at "), Part::value($staff->email)], new Effect(EffectKind::QueueMessage, ['template' => MessageLines::NOTICE, 'to' => $staff->email, 'to_name' => $staff->name]), '', $rule->name);
    }

    /** Merge fields: any answer by its key. */
    private function filled(PlanInput $input, string $template): string
    {
        $fields = [];
        foreach ($input->readings->all as $reading) {
            $fields[$reading->question->key] ??= $reading->text;
        }

        return $this->renderer->body($template, $fields);
    }
}
