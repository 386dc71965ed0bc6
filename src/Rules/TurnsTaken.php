<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\DBAL\Connection;
use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\Turns;
use Telamon\Tasks\TaskCounts;

/** Remembers whose turn it was, and knows who has how many open tasks. */
final readonly class TurnsTaken
{
    public function __construct(private Connection $db, private TaskCounts $tasks)
    {
    }

    /** @param list<Rule> $rules */
    public function of(array $rules): Turns
    {
        $hows = array_merge(...array_map(
            static fn (Rule $rule): array => array_map(static fn (RuleAction $action): string => $action instanceof NamesSomebody ? $action->named() : '', $rule->actions),
            $rules,
        ));
        $last = [];
        foreach (\in_array(Turns::ROTA, $hows, true) ? $this->db->fetchAllKeyValue('SELECT place, staff_id FROM rule_turn') : [] as $place => $staff) {
            $last[(string) $place] = \is_string($staff) ? $staff : '';
        }

        return new Turns($last, \in_array(Turns::FEWEST, $hows, true) ? $this->tasks->openByStaff() : []);
    }

    /** @param array<string, string> $turns an id of staff by place; call it inside the transaction that carries them out */
    public function take(array $turns): void
    {
        foreach ($turns as $place => $staff) {
            $this->db->executeStatement('INSERT INTO rule_turn (place, staff_id) VALUES (?, ?) ON CONFLICT (place) DO UPDATE SET staff_id = excluded.staff_id', [$place, $staff]);
        }
    }
}
