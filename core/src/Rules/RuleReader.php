<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Condition\ConditionReader;
use Telamon\Core\Condition\InvalidCondition;
use Telamon\Core\Rules\Triggers\Received;

/** Reads a rule from its stored form. */
final readonly class RuleReader
{
    private const MOST_ACTIONS = 30;

    /** @param Askable|null $askable null where anything may be asked about */
    public function __construct(private ?Askable $askable = null)
    {
    }

    /**
     * @param array<array-key, mixed> $data name, forms, if, then, from, until, acceptsByItself
     *
     * @throws InvalidRule
     */
    public function read(string $id, array $data): Rule
    {
        $name = self::text($data, 'name', 100);
        if ('' === $name) {
            throw new InvalidRule('name', 'A rule has a name: the plan’s lines say it.');
        }
        $forms = $data['forms'] ?? [];
        if (!\is_array($forms) || \count($forms) > 100) {
            throw new InvalidRule('forms', 'Send the forms as a list.');
        }
        [$from, $until] = [self::day($data, 'from'), self::day($data, 'until')];
        if ('' !== $from && '' !== $until && $until < $from) {
            throw new InvalidRule('until', 'The last day comes before the first.');
        }

        $when = Triggers::find(self::text($data, 'when', 20) ?: Received::name()) ?? throw new InvalidRule('when', 'Choose what sets it off.');

        return new Rule(
            $id,
            $name,
            array_values(array_filter($forms, \is_string(...))),
            $this->condition($data['if'] ?? null),
            $this->actions($data['then'] ?? null),
            $from,
            $until,
            $when->isOfPlan() && true === ($data['acceptsByItself'] ?? false),
            $when,
            $when->isOfPlan() ? '' : self::text($data, 'what', 200),
            true === ($data['alsoByHand'] ?? false),
        );
    }

    private function condition(mixed $data): ?\Telamon\Core\Condition\Condition
    {
        if (null === $data || [] === $data) {
            return null;
        }
        if (!\is_array($data)) {
            throw new InvalidRule('if', 'This is no condition.');
        }
        try {
            $condition = ConditionReader::read($data);
        } catch (InvalidCondition $error) {
            throw new InvalidRule('if', ucfirst($error->getMessage()).'.');
        }
        foreach ($condition->questions() as $asked) {
            if (false === $this->askable?->canAsk($asked) && 1 !== preg_match('/^[a-z][a-z0-9_]{0,39}$/', $asked)) {
                throw new InvalidRule('if', "“{$asked}” cannot be asked about.");
            }
        }

        return $condition;
    }

    /** @return list<RuleAction> */
    private function actions(mixed $data): array
    {
        if (!\is_array($data) || \count($data) > self::MOST_ACTIONS) {
            throw new InvalidRule('then', 'Send what it does as a list of at most '.self::MOST_ACTIONS.'.');
        }
        $actions = [];
        foreach (array_values($data) as $i => $row) {
            $actions[] = \is_array($row) ? Actions::read($row, "then.$i") : throw new InvalidRule("then.$i", 'Choose what it does.');
        }

        return $actions;
    }

    /** @param array<array-key, mixed> $data */
    private static function day(array $data, string $name): string
    {
        $text = self::text($data, $name, 10);
        if ('' !== $text && (1 !== preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $m) || !checkdate((int) $m[2], (int) $m[3], (int) $m[1]))) {
            throw new InvalidRule($name, 'Write the day like 2027-06-12.');
        }

        return $text;
    }

    /** @param array<array-key, mixed> $data */
    private static function text(array $data, string $name, int $longest): string
    {
        $value = $data[$name] ?? '';
        $value = \is_int($value) ? (string) $value : $value;
        if (!\is_string($value)) {
            throw new InvalidRule($name, 'Write this as text.');
        }
        $value = trim($value);

        return mb_strlen($value) > $longest ? throw new InvalidRule($name, "Shorten this to $longest characters.") : $value;
    }
}
