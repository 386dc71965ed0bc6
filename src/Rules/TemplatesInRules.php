<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Messages\NamesTemplates;

/** The rules that send a template. */
final readonly class TemplatesInRules implements NamesTemplates
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function uses(): array
    {
        $uses = [];
        foreach ($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']) as $rule) {
            foreach (\is_array($rule->definition['then'] ?? null) ? $rule->definition['then'] : [] as $action) {
                if (\is_array($action) && 'message' === ($action['kind'] ?? '') && \is_string($action['template'] ?? null)) {
                    $uses[$action['template']][] = ['label' => $rule->name, 'path' => "/rules/{$rule->id}"];
                }
            }
        }

        return $uses;
    }
}
