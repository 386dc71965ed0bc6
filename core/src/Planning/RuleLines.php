<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\AddTags;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\AddWish;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Form\Destination;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
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
        $tasks = \count(array_filter($before, static fn (PlanLine $line): bool => $line->effect instanceof AddTask));
        $told = array_map(static fn (PlanLine $line): string => $line->effect instanceof QueueMessage ? $line->effect->to : '', $before);
        $hasProject = $isThere || [] !== array_filter($before, static fn (PlanLine $line): bool => $line->effect instanceof OpenProject || $line->effect instanceof UseProject);
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

        return new PlanLine($key, 'client' === $record ? 'Client' : 'Project', [Part::words("Tag the $record "), Part::value($tag)], new AddTags($record, [$tag]), '', $rule->name);
    }

    private function note(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $text = $this->filled($input, $action->text('text'));

        return new PlanLine($key, 'Project', [Part::words('Note: '), Part::value($text)], new SetField('project', 'notes', $text), '', $rule->name);
    }

    private function owner(PlanInput $input, Rule $rule, Action $action, string $key): ?PlanLine
    {
        $staff = $input->book->staff[$action->text('staff')] ?? null;

        return null === $staff ? null : self::ownerLine($key, $staff, self::why($rule, $action));
    }

    /** Who looks after the client, beyond any one project. */
    public static function ownerLine(string $key, StaffMember $staff, string $reason): PlanLine
    {
        return new PlanLine($key, 'Client', [Part::value($staff->name), Part::words(' looks after the client')], new SetField('client', 'owner', $staff->id), '', $reason);
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

        $makes = static fn (string ...$effects): bool => [] !== array_filter($before, static fn (PlanLine $line): bool => null !== $line->effect && \in_array($line->effect::class, $effects, true));
        if ('asset' === $record && $makes(OpenProject::class, UseProject::class) && !$makes(MakeAsset::class, UseAsset::class)) {
            return new PlanLine($key, 'Project', [Part::words("{$rule->name} sets a field of the {$input->assetWord}, and none is named: nothing is done for it")], null, '', $rule->name);
        }

        return new PlanLine($key, 'client' === $record ? 'Client' : 'Project', [Part::words(($own->label ?? ucfirst($field)).': '), Part::value($value)], new SetField($record, $field, $value), '', $rule->name);
    }

    private function wish(PlanInput $input, Rule $rule, Action $action, string $key): PlanLine
    {
        $text = $this->filled($input, $action->text('text'));
        $about = $action->text('about');

        return new PlanLine($key, 'Project', [Part::words('Wish for '.('quote' === $about ? 'the quote: ' : 'an appointment: ')), Part::value($text)], new AddWish($about, $text), '', $rule->name);
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

        return new PlanLine($key, 'Messages', [Part::words("Send “{$name}” to "), Part::value($email->string(), $email->question->number)], new QueueMessage($template, $email->string(), $input->readings->for(Destination::ClientName)->text ?? ''), '', $rule->name);
    }

    /** @param list<PlanLine> $before */
    private static function leadOf(PlanInput $input, array $before): StaffMember
    {
        $lead = $input->coordinator;
        foreach ($before as $line) {
            if ($line->effect instanceof OpenProject) {
                $lead = $input->book->staff[$line->effect->lead] ?? $lead;
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

        return new PlanLine($key, 'Tasks', [Part::value($name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $input->today))], new AddTask($position, $name, $doer->id, $due->format('Y-m-d'), [], $rule->name), '', self::why($rule, $action));
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

        return new PlanLine($key, 'Messages', [Part::words("Tell {$staff->name} at "), Part::value($staff->email)], new QueueMessage(MessageLines::TOLD, $staff->email, $staff->name, $rule->name), '', $rule->name);
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
