<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;

/** Where rules name a stage: what begins them, what they ask, what they do. */
final readonly class StageInRules
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** Has rules follow a stage that is called otherwise from now on. Call it inside a change. */
    public function rename(string $from, string $to): void
    {
        foreach ($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false]) as $rule) {
            $definition = $rule->definition;
            if ('stage' === ($definition['when'] ?? '') && ($definition['what'] ?? '') === $from) {
                $definition['what'] = $to;
            }
            $definition['then'] = array_map(static fn (mixed $action): mixed => \is_array($action) && 'stage' === ($action['kind'] ?? '') && ($action['stage'] ?? '') === $from ? ['stage' => $to] + $action : $action, self::list($definition['then'] ?? []));
            if (\is_array($definition['if'] ?? null)) {
                $definition['if'] = self::condition($definition['if'], $from, $to);
            }
            if ($definition !== $rule->definition) {
                $rule->become($rule->name, $rule->why, $rule->enabled, $definition);
            }
        }
    }

    /**
     * @param array<array-key, mixed> $condition
     *
     * @return array<array-key, mixed>
     */
    private static function condition(array $condition, string $from, string $to): array
    {
        if (\in_array($condition['question'] ?? '', ['@stage', '@stage_before'], true) && ($condition['value'] ?? null) === $from) {
            $condition['value'] = $to;
        }

        return array_map(static fn (mixed $part): mixed => \is_array($part) ? self::condition($part, $from, $to) : $part, $condition);
    }

    /** @return list<mixed> */
    private static function list(mixed $value): array
    {
        return \is_array($value) ? array_values($value) : [];
    }
}
