<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Rules\Actions\WriteField;
use Telamon\Core\Rules\RuleAction;

/** One field of a record. */
final readonly class FieldLine implements ActionLines
{
    public static function of(): string
    {
        return WriteField::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof WriteField);
        $value = $at->filled($action->value);
        if (str_starts_with($action->field, 'custom.') && null === $at->now->desk->naming->of($action->record, $action->field)) {
            return $at->says('Rules', "{$at->rule->name} names a field that is gone: nothing is done for it");
        }
        if ('asset' === $action->record && $at->has(OpenProject::class, UseProject::class) && !$at->has(MakeAsset::class, UseAsset::class)) {
            return $at->says('Project', "{$at->rule->name} sets a field of the {$at->now->desk->naming->asset}, and none is named: nothing is done for it");
        }

        $field = $at->now->desk->naming->of($action->record, $action->field);
        if (CustomKind::Number === $field?->kind) {
            // A budget is told with its currency; a number is kept as one.
            $value = (new AmountReader())->read($value)->value ?? $value;
        }

        return $at->does('client' === $action->record ? 'Client' : 'Project', SetField::to($action->record, $action->field, $value));
    }
}
