<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Profile;
use Telamon\Business\Remembered;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Rules\Actions\LetFillIn;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Rules\Turns;
use Telamon\FollowUps\FollowUps;
use Telamon\Forms\PublishedForms;
use Telamon\Messages\MessageQueue;
use Telamon\Notices\Rooms;
use Telamon\Staff\Staff;

/** Gathers the rules that are on, and what they may name. */
final readonly class RuleBooks
{
    public function __construct(
        private EntityManagerInterface $em,
        private RuleReader $reader,
        private Profile $business,
        private MessageQueue $messages,
        private FollowUps $followUps,
        private Rooms $rooms,
        private PublishedForms $forms,
        private TurnsTaken $turns,
        private Remembered $remembered,
    ) {
    }

    /** @param Rule|null $also a rule that is being tried: in the place of the kept one with its id, or last */
    public function book(?Rule $also = null, bool $without = false): RuleBook
    {
        $known = $this->known();
        $rules = [];
        $placed = false;
        foreach ($known['rules'] as $id => [$enabled, $rule]) {
            if ($id === $also?->id) {
                $placed = true;
                $rule = $without ? null : $also;
            } elseif (!$enabled) {
                $rule = null;
            }
            if (null !== $rule) {
                $rules[] = $rule;
            }
        }
        if (null !== $also && !$placed && !$without) {
            $rules[] = $also;
        }

        return $this->of($rules, $known);
    }

    /** Whether any rule that is on waits for this: most of what happens sets nothing off. */
    public function waitsFor(Trigger $event): bool
    {
        return [] !== array_filter($this->known()['rules'], static fn (array $kept): bool => $kept[0] && null !== $kept[1] && $kept[1]->when instanceof $event);
    }

    /** A book of one rule, with all that it may name. */
    public function only(Rule $rule): RuleBook
    {
        return $this->of([$rule], $this->known());
    }

    /** @return list<Rule> all that are kept, on or off, as far as they can be read */
    public function kept(): array
    {
        return array_values(array_filter(array_map(
            $this->read(...),
            $this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']),
        )));
    }

    /**
     * @param list<Rule> $rules
     * @param array{staff: array<string, StaffMember>, checklists: array<string, Checklist>, stages: list<string>, templates: list<string>, followUps: list<string>, rooms: list<string>, rules: array<string, array{bool, Rule|null}>} $known
     */
    private function of(array $rules, array $known): RuleBook
    {
        return new RuleBook(
            $rules,
            $known['staff'],
            $known['checklists'],
            $known['stages'],
            $known['templates'],
            [] === $rules ? new Turns() : $this->turns->of($rules),
            $known['followUps'],
            $known['rooms'],
            self::nameForms($rules) ? $this->forms->published() : [],
        );
    }

    /** @param list<Rule> $rules */
    private static function nameForms(array $rules): bool
    {
        return [] !== array_filter(
            $rules,
            static fn (Rule $rule): bool => [] !== array_filter($rule->actions, static fn (RuleAction $action): bool => $action instanceof LetFillIn),
        );
    }

    /** @return array{staff: array<string, StaffMember>, checklists: array<string, Checklist>, stages: list<string>, templates: list<string>, followUps: list<string>, rooms: list<string>, rules: array<string, array{bool, Rule|null}>} */
    private function known(): array
    {
        return $this->remembered->get('rules', function (): array {
            $rules = [];
            foreach ($this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']) as $kept) {
                $rules[$kept->id] = [$kept->enabled, $this->read($kept)];
            }

            return [
                'rules' => $rules,
                'staff' => $this->staff(),
                'checklists' => $this->checklists(),
                'stages' => $this->business->stages(),
                'templates' => array_keys($this->messages->templateNames()),
                'followUps' => array_keys($this->followUps->names()),
                'rooms' => array_keys($this->rooms->names()),
            ];
        });
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

    /** @return array<string, StaffMember> */
    private function staff(): array
    {
        $staff = [];
        foreach ($this->em->getRepository(Staff::class)->findAll() as $member) {
            $staff[$member->id] = new StaffMember($member->id, $member->name, $member->email);
        }

        return $staff;
    }

    /** @return array<string, Checklist> */
    private function checklists(): array
    {
        $checklists = [];
        foreach ($this->em->getRepository(ChecklistTemplate::class)->findBy(['retired' => false]) as $template) {
            $checklists[$template->id] = $template->toChecklist();
        }

        return $checklists;
    }
}
