<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Destination;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\Action;
use Telamon\Core\Rules\ActionKind;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Time\DayWords;

/** The plan's lines that handling rules add: tags, notes, tasks and notices. */
final readonly class RuleLines
{
    public function __construct(private TemplateRenderer $renderer = new TemplateRenderer())
    {
    }

    /**
     * @param list<PlanLine> $before the lines so far
     * @param StaffMember|null $lead of the project, where it is there already
     * @param array<string, string> $decisions
     * @param bool $asks whether somebody looks at the lines before they are carried out
     *
     * @return list<PlanLine>
     */
    public function lines(PlanInput $input, array $before, ?StaffMember $lead = null, array $decisions = [], bool $asks = true): array
    {
        $isThere = null !== $lead;
        $lead ??= self::leadOf($input, $before);
        $lines = [];
        $tasks = \count(array_filter($before, static fn (PlanLine $line): bool => EffectKind::AddTask === $line->effect?->kind));
        $told = array_map(static fn (PlanLine $line): string => EffectKind::QueueMessage === $line->effect?->kind ? $line->effect->text('to') : '', $before);
        $hasProject = $isThere || [] !== array_filter($before, static fn (PlanLine $line): bool => \in_array($line->effect?->kind, [EffectKind::OpenProject, EffectKind::UseProject], true));
        foreach ($input->outcome->adds as $i => [$rule, $action]) {
            $key = "rule.{$rule->id}.$i";
            if (!$hasProject && self::needsProject($action)) {
                $lines[] = self::noProject($key, $rule->name);
                continue;
            }
            $empty = $this->empty($input, $action);
            $choice = [] === $empty ? null : new Choice("$key.empty", $decisions["$key.empty"] ?? null, [['value' => 'leave', 'hotkey' => '1', 'label' => 'Leave it out'], ['value' => 'without', 'hotkey' => '2', 'label' => 'Go on without']]);
            if (null !== $choice && 'without' !== $choice->chosen) {
                $words = 'would name '.implode(' and ', $empty).', which '.(1 === \count($empty) ? 'is' : 'are').' empty here';
                $lines[] = new PlanLine($key, 'Rules', [Part::words("{$rule->name} $words".(null === $choice->chosen && $asks ? '. Leave it out, or go on without?' : ': left out'))], null, '', $rule->name, $asks ? $choice : null);
                continue;
            }
            $line = match ($action->kind) {
                ActionKind::Tag => $this->tag($input, $rule, $action, $key),
                ActionKind::Note => $this->note($input, $rule, $action, $key),
                ActionKind::Task => $this->task($input, $rule, $action, $key, ++$tasks, $lead),
                ActionKind::Notice => $this->notice($input, $rule, $action, $key, $told),
                ActionKind::Owner => $this->owner($input, $rule, $action, $key),
                ActionKind::Field => $this->field($input, $rule, $action, $key, $before),
                ActionKind::Wish => $this->wish($input, $rule, $action, $key),
                ActionKind::Message => $this->message($input, $rule, $action, $key),
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

    public static function noProject(string $key, string $rule): PlanLine
    {
        return new PlanLine($key, 'Rules', [Part::words("$rule is about a project, and none comes of this: nothing is done for it")], null, '', $rule);
    }

    private static function needsProject(Action $action): bool
    {
        return match ($action->kind) {
            ActionKind::Note, ActionKind::Task, ActionKind::Wish => true,
            ActionKind::Tag, ActionKind::Field => 'client' !== $action->text('record'),
            default => false,
        };
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

    private function owner(PlanInput $input, Rule $rule, Action $action, string $key): ?PlanLine
    {
        $staff = $input->book->staff[$action->text('staff')] ?? null;

        return null === $staff ? null : self::ownerLine($key, $staff, self::why($rule, $action));
    }

    /** Who looks after the client, beyond any one project. */
    public static function ownerLine(string $key, StaffMember $staff, string $reason): PlanLine
    {
        return new PlanLine($key, 'Client', [Part::value($staff->name), Part::words(' looks after the client')], new Effect(EffectKind::SetField, ['record' => 'client', 'field' => 'owner', 'value' => $staff->id]), '', $reason);
    }

    /** @param list<PlanLine> $before */
    private function field(PlanInput $input, Rule $rule, Action $action, string $key, array $before): PlanLine
    {
        [$record, $field] = [$action->text('record'), $action->text('field')];
        $value = $this->filled($input, $action->text('value'));
        $own = $input->customFields[str_replace('custom.', "custom.$record.", $field)] ?? null;
        if (str_starts_with($field, 'custom.') && null === $own) {
            return new PlanLine($key, 'Rules', [Part::words("{$rule->name} names a field that is gone: nothing is done for it")], null, '', $rule->name);
        }

        $kinds = array_map(static fn (PlanLine $line): ?EffectKind => $line->effect?->kind, $before);
        $isPlan = [] !== array_filter($kinds, static fn (?EffectKind $kind): bool => EffectKind::OpenProject === $kind || EffectKind::UseProject === $kind);
        if ('asset' === $record && $isPlan && !\in_array(EffectKind::CreateAsset, $kinds, true) && !\in_array(EffectKind::UseAsset, $kinds, true)) {
            return new PlanLine($key, 'Project', [Part::words("{$rule->name} sets a field of the {$input->assetWord}, and none is named: nothing is done for it")], null, '', $rule->name);
        }

        return new PlanLine($key, 'client' === $record ? 'Client' : 'Project', [Part::words(($own->label ?? ucfirst($field)).': '), Part::value($value)], new Effect(EffectKind::SetField, ['record' => $record, 'field' => $field, 'value' => $value]), '', $rule->name);
    }

    private function wish(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $text = $this->filled($input, $action->text('text'));
        $about = $action->text('about');

        return new PlanLine($key, 'Project', [Part::words('Wish for '.('quote' === $about ? 'the quote: ' : 'an appointment: ')), Part::value($text)], new Effect(EffectKind::AddWish, ['kind' => $about, 'text' => $text]), '', $rule->name);
    }

    /** One more message to whoever wrote. */
    private function message(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $template = $action->text('template');
        $name = $input->templates[$template] ?? $template;
        $email = $input->readings->for(Destination::ClientEmail);
        if (null === $email || '' === $email->string()) {
            return new PlanLine($key, 'Messages', [Part::words("“{$name}” is not sent: no mail address was given")], null, '', $rule->name);
        }

        return new PlanLine($key, 'Messages', [Part::words("Send “{$name}” to "), Part::value($email->string(), $email->question->number)], new Effect(EffectKind::QueueMessage, ['template' => $template, 'to' => $email->string(), 'to_name' => $input->readings->for(Destination::ClientName)->text ?? '']), '', $rule->name);
    }

    /** @param list<PlanLine> $before */
    private static function leadOf(PlanInput $input, array $before): StaffMember
    {
        $lead = $input->coordinator;
        foreach ($before as $line) {
            if (EffectKind::OpenProject === $line->effect?->kind) {
                $lead = $input->book->staff[$line->effect->text('lead')] ?? $lead;
            }
        }

        return $lead;
    }

    private static function why(Rule $rule, Action $action): string
    {
        return $rule->name.('' === $action->text('why') ? '' : ", {$action->text('why')}");
    }

    private function task(PlanInput $input, Rule $rule, Action $action, string $key, int $position, StaffMember $lead): PlanLine
    {
        $doer = match ($action->text('doer')) {
            'coordinator' => $input->coordinator,
            'lead' => $lead,
            default => $input->book->staff[$action->text('doer')] ?? $lead,
        };
        $name = mb_substr($this->filled($input, $action->text('name')), 0, 200);
        $due = $input->calendar->add(new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC')), (int) $action->text('days'));

        return new PlanLine($key, 'Tasks', [Part::value($name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $input->today))], new Effect(EffectKind::AddTask, [
            'position' => $position, 'name' => $name, 'assignee' => $doer->id, 'due' => $due->format('Y-m-d'), 'waits_for' => [], 'checklist' => $rule->name,
        ]), '', self::why($rule, $action));
    }

    /** @param list<string> $told addresses that the plan writes to already */
    private function notice(PlanInput $input, Rule $rule, Action $action, string $key, array $told): ?PlanLine
    {
        $staff = $input->book->staff[$action->text('staff')] ?? null;
        if (null === $staff) {
            return null;
        }
        if (\in_array($staff->email, $told, true)) {
            return new PlanLine($key, 'Messages', [Part::words("{$staff->name} is told already")], null, '', $rule->name);
        }

        return new PlanLine($key, 'Messages', [Part::words("Tell {$staff->name} at "), Part::value($staff->email)], new Effect(EffectKind::QueueMessage, ['template' => MessageLines::TOLD, 'to' => $staff->email, 'to_name' => $staff->name, 'why' => $rule->name]), '', $rule->name);
    }

    /**
     * What the texts of an action name and nothing fills: an empty place would say something else than was meant.
     *
     * @return list<string> as they stand in the text
     */
    private function empty(PlanInput $input, Action $action): array
    {
        $fields = $this->fields($input);
        $empty = [];
        foreach (['tag', 'text', 'name', 'value'] as $text) {
            foreach ($this->renderer->fieldsOf($action->text($text)) as $name) {
                if ('' === trim($fields[$name] ?? '')) {
                    $empty[] = "{{{$name}}}";
                }
            }
        }

        return array_values(array_unique($empty));
    }

    private function filled(PlanInput $input, string $template): string
    {
        return $this->renderer->body($template, $this->fields($input));
    }

    /** @return array<string, string> merge fields: any answer by its key, and what is known of the project */
    private function fields(PlanInput $input): array
    {
        $fields = $input->merge;
        foreach ($input->readings->all as $reading) {
            $fields[$reading->question->key] ??= $reading->text;
        }

        return $fields;
    }
}
