<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** Finds rules that would set one another off without end. */
final class RuleChain
{
    /**
     * @param list<Rule> $rules all that are kept, and the one to look at
     *
     * @return list<Rule>|null the round that begins and ends with the rule; null where there is none
     */
    public static function roundOf(Rule $rule, array $rules): ?array
    {
        return self::search($rule, $rule, $rules, [], [$rule]);
    }

    /**
     * @param list<Rule> $rules
     * @param array<string, true> $seen
     * @param list<Rule> $way
     *
     * @return list<Rule>|null
     */
    private static function search(Rule $from, Rule $goal, array $rules, array $seen, array $way): ?array
    {
        foreach ($rules as $next) {
            if (!self::setsOff($from, $next)) {
                continue;
            }
            if ($next->id === $goal->id) {
                return [...$way, $goal];
            }
            if (!isset($seen[$next->id])) {
                $seen[$next->id] = true;
                $round = self::search($next, $goal, $rules, $seen, [...$way, $next]);
                if (null !== $round) {
                    return $round;
                }
            }
        }

        return null;
    }

    /** Whether what one does may be what the other waits for. What a plan does when it is accepted is no event of its own. */
    public static function setsOff(Rule $one, Rule $other): bool
    {
        if ($one->when->isOfPlan()) {
            return false;
        }
        foreach ($one->actions as $action) {
            $does = $action->setsOff();
            if (null !== $does && $other->when instanceof $does->trigger && ('' === $other->what || $does->what === $other->what)) {
                return true;
            }
        }

        return false;
    }
}
