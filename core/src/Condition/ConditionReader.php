<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/**
 * Reads conditions from their stored form: {"all": […]}, {"any": […]}, {"not": {…}}, or
 * {"question": "key", "op": "is", "value": "x"} with "values" in place of "value" where there are several.
 */
final class ConditionReader
{
    private const MAX_DEPTH = 8;
    private const MAX_PARTS = 50;

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidCondition
     */
    public static function read(array $data, int $depth = 0): Condition
    {
        if ($depth > self::MAX_DEPTH) {
            throw new InvalidCondition('conditions stand at most '.self::MAX_DEPTH.' deep in one another');
        }
        foreach (['all', 'any'] as $kind) {
            if (\array_key_exists($kind, $data)) {
                return new Group($kind, self::parts($data[$kind], $depth));
            }
        }
        if (\array_key_exists('not', $data)) {
            if (!\is_array($data['not'])) {
                throw new InvalidCondition('“not” needs a condition');
            }

            return new Group('not', [self::read($data['not'], $depth + 1)]);
        }

        return self::test($data);
    }

    /** @return list<Condition> */
    private static function parts(mixed $parts, int $depth): array
    {
        if (!\is_array($parts) || \count($parts) > self::MAX_PARTS) {
            throw new InvalidCondition('“all” and “any” need a list of at most '.self::MAX_PARTS.' conditions');
        }

        return array_values(array_map(
            static fn (mixed $part): Condition => \is_array($part) ? self::read($part, $depth + 1) : throw new InvalidCondition('each part is a condition'),
            $parts,
        ));
    }

    /** @param array<mixed> $data */
    private static function test(array $data): Test
    {
        $question = $data['question'] ?? null;
        if (!\is_string($question) || '' === $question) {
            throw new InvalidCondition('a condition names a question');
        }
        $operator = Operator::tryFrom(\is_string($data['op'] ?? null) ? $data['op'] : '') ?? throw new InvalidCondition("“{$question}”: this way of asking is not known");
        $values = $data['values'] ?? (isset($data['value']) ? [$data['value']] : []);
        $texts = \is_array($values) ? array_values(array_filter($values, \is_string(...))) : [];
        $needed = match ($operator) {
            Operator::IsBlank => 0,
            Operator::Between => 2,
            default => 1,
        };
        if (!\is_array($values) || \count($texts) !== \count($values) || \count($texts) < $needed) {
            throw new InvalidCondition("“{$question}”: {$operator->words()} needs ".(2 === $needed ? 'two values' : 'a value').', written as text');
        }

        return new Test($question, $operator, $texts);
    }
}
