<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;

/** Where rules name a stage or a tag: what begins them, what they ask, what they do. */
final readonly class NameInRules
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** Has rules follow a stage that is called otherwise from now on. Call it inside a change. */
    public function renameStage(string $from, string $to): void
    {
        $this->rename('stage', ['@stage', '@stage_before'], $from, $to);
    }

    /** The same of a tag. */
    public function renameTag(string $from, string $to): void
    {
        $this->rename('tag', ['@client_tags', '@project_tags'], $from, $to);
    }

    /** @return list<string> names of the rules that give records a tag */
    public function givingTag(string $tag): array
    {
        $gives = static fn (HandlingRule $rule): bool => [] !== array_filter(
            self::list($rule->definition['then'] ?? []),
            static fn (mixed $action): bool => \is_array($action) && 'tag' === ($action['kind'] ?? '') && $tag === ($action['tag'] ?? ''),
        );

        return array_map(
            static fn (HandlingRule $rule): string => $rule->name,
            array_values(array_filter($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false]), $gives)),
        );
    }

    /**
     * @param string $what kind of the action that names it, and the field in which it does
     * @param list<string> $asked facts that are compared with it
     */
    private function rename(string $what, array $asked, string $from, string $to): void
    {
        foreach ($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false]) as $rule) {
            $definition = $rule->definition;
            if ($what === ($definition['when'] ?? '') && ($definition['what'] ?? '') === $from) {
                $definition['what'] = $to;
            }
            $definition['then'] = array_map(
                static fn (mixed $action): mixed => \is_array($action) && $what === ($action['kind'] ?? '') && ($action[$what] ?? '') === $from ? [$what => $to] + $action : $action,
                self::list($definition['then'] ?? []),
            );
            if (\is_array($definition['if'] ?? null)) {
                $definition['if'] = self::condition($definition['if'], $asked, $from, $to);
            }
            if ($definition !== $rule->definition) {
                $rule->become($rule->name, $rule->why, $rule->enabled, $definition);
            }
        }
    }

    /**
     * @param array<array-key, mixed> $condition
     * @param list<string> $asked
     *
     * @return array<array-key, mixed>
     */
    private static function condition(array $condition, array $asked, string $from, string $to): array
    {
        if (\in_array($condition['question'] ?? '', $asked, true) && ($condition['value'] ?? null) === $from) {
            $condition['value'] = $to;
        }

        return array_map(static fn (mixed $part): mixed => \is_array($part) ? self::condition($part, $asked, $from, $to) : $part, $condition);
    }

    /** @return list<mixed> */
    private static function list(mixed $value): array
    {
        return \is_array($value) ? array_values($value) : [];
    }
}
