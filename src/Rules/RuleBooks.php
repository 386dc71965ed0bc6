<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Profile;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Rules\Triggers\Received;
use Telamon\Messages\MessageQueue;
use Telamon\Staff\Staff;

/** Gathers the rules that are on, and what they may name. */
final readonly class RuleBooks
{
    public function __construct(private EntityManagerInterface $em, private RuleReader $reader, private Profile $business, private MessageQueue $messages, private TurnsTaken $turns)
    {
    }

    /** @param Rule|null $also a rule that is being tried: in the place of the kept one with its id, or last */
    public function book(?Rule $also = null, bool $without = false): RuleBook
    {
        $rules = [];
        $placed = false;
        foreach ($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']) as $kept) {
            if ($kept->id === $also?->id) {
                $placed = true;
                if (!$without) {
                    $rules[] = $also;
                }
            } elseif ($kept->enabled) {
                $rule = $this->read($kept);
                if (null !== $rule) {
                    $rules[] = $rule;
                }
            }
        }
        if (null !== $also && !$placed && !$without) {
            $rules[] = $also;
        }
        if ([] === $rules) {
            return new RuleBook([], $this->staff(), [], $this->business->stages());
        }

        return new RuleBook($rules, $this->staff(), $this->checklists(), $this->business->stages(), array_keys($this->messages->templateNames()), $this->turns->of($rules));
    }

    /** Whether any rule that is on waits for this: most of what happens sets nothing off, and then nothing else is read. */
    public function waitsFor(Trigger $event): bool
    {
        /** @var list<array{definition: array<mixed>}> $rows */
        $rows = $this->em->createQueryBuilder()->select('r.definition')->from(HandlingRule::class, 'r')->where('r.enabled = true AND r.retired = false')->getQuery()->getResult();

        return [] !== array_filter($rows, static fn (array $row): bool => $event::name() === ($row['definition']['when'] ?? Received::name()));
    }

    /** A book of one rule, with all that it may name. */
    public function only(Rule $rule): RuleBook
    {
        return new RuleBook([$rule], $this->staff(), $this->checklists(), $this->business->stages(), array_keys($this->messages->templateNames()), $this->turns->of([$rule]));
    }

    private function read(HandlingRule $kept): ?Rule
    {
        try {
            return $this->reader->read($kept->id, ['name' => $kept->name] + $kept->definition);
        } catch (InvalidRule) {
            // A rule that was kept by an older version and cannot be read any more does nothing.
            return null;
        }
    }

    /** @return list<Rule> all that are kept, on or off, as far as they can be read */
    public function kept(): array
    {
        return array_values(array_filter(array_map($this->read(...), $this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']))));
    }

    /** @return array<string, StaffMember> */
    private function staff(): array
    {
        $staff = [];
        foreach ($this->em->getRepository(Staff::class)->findAll() as $member) {
            $staff[$member->id] = new StaffMember($member->id, $member->name, $member->email);
        }

        return $staff;
    }

    /** @return array<string, \Telamon\Core\Checklists\Checklist> */
    private function checklists(): array
    {
        $checklists = [];
        foreach ($this->em->getRepository(ChecklistTemplate::class)->findAll() as $template) {
            $checklists[$template->id] = $template->toChecklist();
        }

        return $checklists;
    }
}
