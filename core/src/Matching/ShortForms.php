<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** Knows which given names are forms of one name, from the table that ships. */
final class ShortForms
{
    /** @var array<string, list<string>> full names by every form */
    private array $fullNames = [];

    public function __construct()
    {
        /** @var list<string> $lines */
        $lines = require \dirname(__DIR__, 2).'/resources/short-forms.php';
        foreach ($lines as $line) {
            $forms = explode(' ', $line);
            foreach ($forms as $form) {
                $this->fullNames[$form][] = $forms[0];
            }
        }
    }

    /** Whether one name may stand for the other. Two short forms of one name do; two full names never do. */
    public function same(string $a, string $b): bool
    {
        return $a !== $b && [] !== array_intersect($this->fullNames[$a] ?? [], $this->fullNames[$b] ?? []);
    }

    public function knows(string $name): bool
    {
        return isset($this->fullNames[$name]);
    }

    /** @return list<string> the full names that a form may stand for, or the name itself */
    public function full(string $name): array
    {
        return $this->fullNames[$name] ?? [$name];
    }
}
