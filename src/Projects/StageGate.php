<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** What projects need before they come to a stage. */
final readonly class StageGate
{
    /** @param iterable<StageNeed> $needs */
    public function __construct(#[AutowireIterator('telamon.stage_need')] private iterable $needs)
    {
    }

    /** @return array<string, string> in words, by key */
    public function all(): array
    {
        $all = [];
        foreach ($this->needs as $need) {
            $all[$need::key()] = $need::words();
        }
        ksort($all);

        return $all;
    }

    /**
     * @param list<string> $needed keys
     *
     * @return list<string> in words, what the project does not have
     */
    public function missing(Project $project, array $needed): array
    {
        $missing = [];
        foreach ($this->needs as $need) {
            if (\in_array($need::key(), $needed, true) && !$need->isMet($project)) {
                $missing[] = $need::words();
            }
        }

        return $missing;
    }
}
