<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Journal\JournalEntry;

/** What a rule was, change by change: read from the journal, which keeps every one. */
final readonly class RuleVersions
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    /** @return list<array{at: string, by: string, words: string, rule: array<string, mixed>}> the newest first, as RuleVersion in the contract */
    public function of(HandlingRule $kept): array
    {
        $was = ['name' => $kept->name, 'why' => $kept->why, 'enabled' => $kept->enabled, 'definition' => $kept->definition];
        $versions = [];
        // Back from today: before each change, it was what the entry says.
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['recordId' => $kept->id], ['id' => 'DESC'], 200) as $entry) {
            $touched = array_keys(array_intersect_key($entry->after, $was));
            if ([] === $touched) {
                continue;
            }
            $definition = \is_array($was['definition']) ? $was['definition'] : [];
            $versions[] = [
                'at' => $entry->change->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                'by' => $entry->change->by(),
                'words' => [] === $entry->before ? 'made' : self::words($touched, $entry->before, $entry->after),
                'rule' => ['id' => $kept->id, 'name' => $was['name'], 'why' => $was['why'], 'enabled' => (bool) $was['enabled'], 'then' => $definition['then'] ?? []] + $definition,
            ];
            $was = array_intersect_key($entry->before, $was) + $was;
        }

        return $versions;
    }

    /**
     * @param list<string> $touched
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    private static function words(array $touched, array $before, array $after): string
    {
        $words = [];
        foreach ($touched as $name) {
            $words[] = match ($name) {
                'enabled' => (bool) ($after['enabled'] ?? false) ? 'switched on' : 'switched off',
                'definition' => self::parts($before['definition'] ?? [], $after['definition'] ?? []),
                'why' => 'another note of why',
                default => 'another name',
            };
        }

        return implode(', ', array_filter($words, static fn (string $word): bool => '' !== $word));
    }

    private static function parts(mixed $before, mixed $after): string
    {
        $names = [
            'forms' => 'other forms',
            'if' => 'another condition',
            'then' => 'does something else',
            'from' => 'another first day',
            'until' => 'another last day',
            'acceptsByItself' => 'accepting by itself',
            'when' => 'set off by something else',
            'what' => 'set off by something else',
        ];
        $words = [];
        foreach ($names as $name => $told) {
            if ((\is_array($before) ? $before[$name] ?? null : null) !== (\is_array($after) ? $after[$name] ?? null : null)) {
                $words[$told] = $told;
            }
        }

        return implode(', ', $words);
    }
}
