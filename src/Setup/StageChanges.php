<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Stage;
use Telamon\Business\StageEnd;
use Telamon\Core\FollowUps\StepKind;
use Telamon\FollowUps\NameInFollowUps;
use Telamon\Projects\Project;
use Telamon\Projects\StageGate;
use Telamon\Record\Edit;
use Telamon\Record\Hangs;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Rules\NameInRules;
use Telamon\Staff\Staff;

/**
 * Adds, names, orders and removes the stages. Projects follow the name of their stage by themselves (the database does it), rules by
 * NameInRules, follow-ups by NameInFollowUps; a stage that others name is not removed.
 */
final readonly class StageChanges
{
    private const MOST = 20;

    public function __construct(
        private EntityManagerInterface $em,
        private SetupActs $acts,
        private NameInRules $rules,
        private NameInFollowUps $followUps,
        private Hangs $hangs,
        private StageGate $gate,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal */
    public function add(Edit $edit, Staff $staff): void
    {
        $name = $this->named($edit, null) ?? throw new InvalidInput('name', 'A stage has a name.');
        $this->acts->carryOut("added the stage $name", $staff, function () use ($edit, $name): void {
            $stages = $this->all();
            if (\count($stages) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' stages already.');
            }
            $this->named($edit, null);
            $stage = new Stage(1 + max([0, ...array_map(static fn (Stage $one): int => $one->position, $stages)]), $name);
            $stage->become($name, self::ends($edit) ?? StageEnd::Open, self::days($edit, null));
            $stage->need($this->needs($edit, $stage));
            $this->em->persist($stage);
        });
    }

    /** @throws Refusal */
    public function change(Stage $stage, Edit $edit, Staff $staff): void
    {
        $place = $edit->whole('position', 1, self::MOST);
        $this->acts->carryOut(null === $place ? "changed the stage {$stage->name}" : "moved the stage {$stage->name}", $staff, function () use ($stage, $edit, $place): void {
            $name = $this->named($edit, $stage) ?? $stage->name;
            if ($name !== $stage->name) {
                $this->rules->renameStage($stage->name, $name);
                $this->followUps->rename(StepKind::Stage, $stage->name, $name);
            }
            $stage->become($name, self::ends($edit) ?? $stage->ends, self::days($edit, $stage->days));
            $stage->need($this->needs($edit, $stage));
            $this->refuseAllClosed($stage);
            if (null !== $place) {
                $others = array_values(array_filter($this->all(), static fn (Stage $one): bool => $one !== $stage));
                array_splice($others, $place - 1, 0, [$stage]);
                foreach ($others as $i => $one) {
                    $one->standAt($i + 1);
                }
            }
        }, $stage->id);
    }

    /**
     * @param string $to id of the stage that its projects go to; may be empty where there are none
     *
     * @throws Refusal
     */
    public function remove(Stage $stage, string $to, Staff $staff): void
    {
        $this->acts->carryOut("removed the stage {$stage->name}", $staff, function () use ($stage, $to): void {
            $naming = $this->hangs->on($stage);
            if ([] !== $naming) {
                throw new InvalidInput('to', "{$stage->name} is named by ".implode(', ', $naming).'. Choose another stage there first.');
            }
            $projects = $this->em->getRepository(Project::class)->findBy(['stage' => $stage->name]);
            $target = '' === $to ? null : $this->em->find(Stage::class, $to);
            if ([] !== $projects && (null === $target || $target === $stage)) {
                throw new InvalidInput('to', 'Choose where its '.\count($projects).' projects go.');
            }
            foreach ($projects as $project) {
                $project->moveTo($target->name ?? $project->stage, $target->ends ?? StageEnd::Open, $this->clock->now());
            }
            $this->em->remove($stage);
            $this->refuseAllClosed($stage);
        }, $stage->id);
    }

    /** @return list<Stage> */
    private function all(): array
    {
        return $this->em->getRepository(Stage::class)->findBy([], ['position' => 'ASC', 'id' => 'ASC']);
    }

    /** A project has to begin somewhere. */
    private function refuseAllClosed(Stage $changed): void
    {
        foreach ($this->all() as $one) {
            if (StageEnd::Open === $one->ends && ($one !== $changed || $this->em->contains($one))) {
                return;
            }
        }
        throw new InvalidInput('ends', 'One stage has to stay open: projects begin there.');
    }

    private function named(Edit $edit, ?Stage $self): ?string
    {
        $name = $edit->text('name', 40);
        if ('' === $name) {
            throw new InvalidInput('name', 'A stage has a name.');
        }
        foreach ($this->all() as $one) {
            if (null !== $name && $one !== $self && mb_strtolower($one->name) === mb_strtolower($name)) {
                throw new InvalidInput('name', "There is a stage “{$one->name}” already.");
            }
        }

        return $name;
    }

    /** @return list<string> */
    private function needs(Edit $edit, Stage $stage): array
    {
        $needs = $edit->texts('needs', 20, 20);

        return null === $needs
            ? $stage->needs
            : ([] === array_diff($needs, array_keys($this->gate->all())) ? $needs : throw new InvalidInput('needs', 'Choose of what is offered.'));
    }

    private static function ends(Edit $edit): ?StageEnd
    {
        $text = $edit->text('ends', 4);

        return null === $text ? null : StageEnd::tryFrom($text) ?? throw new InvalidInput('ends', 'Choose open, won or lost.');
    }

    private static function days(Edit $edit, ?int $now): ?int
    {
        $text = $edit->text('days', 5);
        if (null === $text || '' === $text) {
            return null === $text ? $now : null;
        }

        return ctype_digit($text) && (int) $text >= 1 && (int) $text <= 999 ? (int) $text : throw new InvalidInput('days', 'Write whole days, from 1 to 999, or nothing.');
    }
}
