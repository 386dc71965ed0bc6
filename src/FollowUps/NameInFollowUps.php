<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\FollowUps\StepKind;

/** Where follow-ups name a stage or a tag: as they are, and as whoever is inside goes by them. */
final readonly class NameInFollowUps
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** Has them follow what is called otherwise from now on. Call it inside a change. */
    public function rename(StepKind $kind, string $from, string $to): void
    {
        foreach ($this->em->getRepository(FollowUp::class)->findAll() as $one) {
            $series = $one->series()->renamed($kind, $from, $to);
            if ($series->toArray() !== $one->series()->toArray()) {
                $one->become($one->name, $series);
            }
        }
        foreach ($this->em->getRepository(FollowUpRun::class)->findBy(['state' => [RunState::Inside, RunState::Paused]]) as $run) {
            $run->rename($kind, $from, $to);
        }
    }

    /** @return list<string> names of the follow-ups that give a tag */
    public function givingTag(string $tag): array
    {
        $gives = static fn (FollowUp $one): bool => $one->series()->renamed(StepKind::Tag, $tag, "$tag.")->toArray() !== $one->series()->toArray();

        return array_map(static fn (FollowUp $one): string => $one->name, array_values(array_filter($this->em->getRepository(FollowUp::class)->findAll(), $gives)));
    }
}
