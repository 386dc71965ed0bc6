<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\StartFollowUp;
use Telamon\Messages\NamesTemplates;

/** The follow-ups that there are. */
final readonly class FollowUps implements NamesTemplates
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return array<string, string> names of those that are switched on, by key */
    public function names(): array
    {
        $names = [];
        foreach ($this->em->getRepository(FollowUp::class)->findBy(['on' => true], ['name' => 'ASC']) as $one) {
            $names[$one->key] = $one->name;
        }

        return $names;
    }

    /** @return array<string, string> the same under the names that plans ask for */
    public function namesForPlans(): array
    {
        $names = [];
        foreach ($this->names() as $key => $name) {
            $names[StartFollowUp::NAMED.$key] = $name;
        }

        return $names;
    }

    public function uses(): array
    {
        $uses = [];
        foreach ($this->em->getRepository(FollowUp::class)->findBy([], ['name' => 'ASC']) as $one) {
            foreach ($one->series()->templates() as $template) {
                $uses[$template][] = ['label' => $one->name, 'path' => "/messages/follow-ups/{$one->id}"];
            }
        }

        return $uses;
    }
}
