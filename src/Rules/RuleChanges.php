<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Rules\Actions\GiveTask;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleChain;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;
use Telamon\Forms\Form;
use Telamon\Http\JsonBody;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes, changes, moves and retires handling rules. */
final readonly class RuleChanges
{
    private const KEPT = ['forms', 'if', 'then', 'from', 'until', 'acceptsByItself', 'when', 'what', 'alsoByHand'];

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private RuleReader $reader,
        private RuleBooks $books,
        private MergeFields $fields,
        private TemplateRenderer $renderer,
    ) {
    }

    /**
     * A name is for keeping; trying needs none.
     *
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    public static function tried(array $body): array
    {
        return '' === trim(JsonBody::text($body, 'name', 100)) ? ['name' => 'The new rule'] + $body : $body;
    }

    /**
     * @param array<array-key, mixed> $body as the contract has it
     *
     * @throws Refusal
     */
    public function check(array $body, string $id = 'new'): Rule
    {
        try {
            $rule = $this->reader->read($id, $body);
        } catch (InvalidRule $error) {
            throw new InvalidInput($error->field, $error->getMessage());
        }
        $this->refuseUnknownFields($rule);
        $this->refuseInVain($rule);
        $others = array_values(array_filter($this->books->kept(), static fn (Rule $other): bool => $other->id !== $id));
        $round = RuleChain::roundOf($rule, [...$others, $rule]);
        if (null !== $round) {
            throw new InvalidInput('then', 'It would set itself off again without end: '.implode(', then ', array_map(static fn (Rule $one): string => $one->name, $round)).'.');
        }

        return $rule;
    }

    /** @throws Refusal when a task could stand on no project, as all its forms are only filed */
    private function refuseInVain(Rule $rule): void
    {
        $tasks = array_filter($rule->actions, static fn (RuleAction $action): bool => $action instanceof GiveTask);
        if ([] === $tasks || [] === $rule->forms || !$rule->when->isOfPlan()) {
            return;
        }
        foreach ($this->em->getRepository(Form::class)->findBy(['slug' => $rule->forms]) as $form) {
            if (Purpose::File !== $form->published?->definition()->purpose) {
                return;
            }
        }
        throw new InvalidInput(
            'then',
            'What comes by '.(1 === \count($rule->forms) ? 'this form' : 'these forms').' is only filed with the client: there is no project on which a task could stand. Tell somebody instead, or let the form add to a project.',
        );
    }

    /** @throws Refusal when a text names what nothing could fill */
    private function refuseUnknownFields(Rule $rule): void
    {
        $known = $this->fields->of($rule);
        foreach ($rule->actions as $action) {
            foreach ($action->texts() as $text) {
                try {
                    $unknown = array_values(array_diff($this->renderer->fieldsOf($text), $known));
                } catch (UnreadableTemplate) {
                    throw new InvalidInput('then', 'A {{…}} is opened and not closed.');
                }
                if ([] !== $unknown) {
                    throw new InvalidInput('then', "{{{$unknown[0]}}} can never be filled here. It may be: {{".implode('}}, {{', \array_slice($known, 0, 12)).'}}.');
                }
            }
        }
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @throws Refusal
     */
    public function make(array $body, Staff $staff): HandlingRule
    {
        $rule = $this->check($body);
        $last = $this->em->getRepository(HandlingRule::class)->findOneBy([], ['position' => 'DESC']);
        $kept = new HandlingRule(1 + ($last->position ?? 0), $rule->name, JsonBody::text($body, 'why'), true === ($body['enabled'] ?? false), self::definition($body));
        $this->carryOut("made the rule {$rule->name}", $staff, fn () => $this->em->persist($kept));

        return $kept;
    }

    /**
     * @param array<array-key, mixed> $body with the version that was looked at
     *
     * @throws Refusal
     */
    public function change(HandlingRule $kept, array $body, Staff $staff): void
    {
        $rule = $this->check($body, $kept->id);
        $this->carryOut("changed the rule {$rule->name}", $staff, static function () use ($kept, $rule, $body): void {
            if (($body['version'] ?? null) !== $kept->version) {
                throw new ChangedMeanwhile('Somebody else has changed this rule. Look at it again; nothing was overwritten.');
            }
            $kept->become($rule->name, JsonBody::text($body, 'why'), true === ($body['enabled'] ?? false), self::definition($body));
        }, $kept);
    }

    /** Up or down by one place. */
    public function move(HandlingRule $kept, bool $up, Staff $staff): void
    {
        $this->carryOut("moved the rule {$kept->name}", $staff, function () use ($kept, $up): void {
            $all = $this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']);
            $at = (int) array_search($kept, $all, true);
            $other = $all[$at + ($up ? -1 : 1)] ?? null;
            if (null !== $other) {
                [$all[$at], $all[$at + ($up ? -1 : 1)]] = [$other, $kept];
            }
            foreach ($all as $i => $rule) {
                $rule->standAt($i + 1);
            }
        });
    }

    public function retire(HandlingRule $kept, Staff $staff): void
    {
        $this->carryOut("took out the rule {$kept->name}", $staff, static function () use ($kept): void {
            $kept->retire();
        });
    }

    /** @param \Closure(): mixed $do */
    private function carryOut(string $words, Staff $staff, \Closure $do, ?HandlingRule $looked = null): void
    {
        $act = Act::of(ChangeKind::Rule, $words, $staff);
        $this->changes->carryOut(null === $looked ? $act : $act->looking($looked), $do);
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array<string, mixed>
     */
    private static function definition(array $body): array
    {
        $definition = [];
        foreach (self::KEPT as $name) {
            if (isset($body[$name])) {
                $definition[$name] = $body[$name];
            }
        }

        return $definition;
    }
}
