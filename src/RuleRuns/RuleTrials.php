<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Forms\Form;
use Telamon\Http\JsonBody;
use Telamon\Planning\PlanMaker;
use Telamon\Projects\Project;
use Telamon\Record\Records;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Rules\RuleBooks;
use Telamon\Rules\RuleChanges;
use Telamon\Submissions\Submission;

/** Tries a rule: the plan with it beside the plan without. Nothing is saved. */
final readonly class RuleTrials
{
    public function __construct(
        private EntityManagerInterface $em,
        private RuleChanges $changes,
        private RuleBooks $books,
        private PlanMaker $plans,
        private EventRules $events,
        private Records $records,
    ) {
    }

    /**
     * @param array<array-key, mixed> $body the rule, and a submission, a sample, or the project that something happens to
     *
     * @return array<string, mixed> as DryRun in the contract
     *
     * @throws Refusal
     */
    public function run(array $body): array
    {
        $given = \is_array($body['rule'] ?? null) ? $body['rule'] : throw new InvalidInput('rule', 'Send the rule.');
        $given = RuleChanges::tried($given);
        $rule = $this->changes->check($given, \is_string($given['id'] ?? null) && '' !== $given['id'] ? $given['id'] : 'new');
        if (!$rule->when->isOfPlan()) {
            return $this->onProject($rule, JsonBody::text($body, 'project', 36));
        }
        $plan = \is_array($body['sample'] ?? null) ? $this->sample($body['sample']) : $this->submission($body);
        $with = $plan($this->books->book($rule));

        return [
            'holds' => \in_array($rule, $with->outcome->rules, true),
            'with' => $this->records->linked($with->toArray()),
            'without' => $this->records->linked($plan($this->books->book($rule, true))->toArray()),
        ];
    }

    /**
     * A rule that waits for something to happen is tried alone: as if it happened to that project now.
     *
     * @return array<string, mixed> as DryRun in the contract
     */
    private function onProject(Rule $rule, string $id): array
    {
        $project = $this->em->find(Project::class, $id) ?? throw new InvalidInput('project', 'Choose a project to try it on.');
        $plan = $this->events->trial($rule, $this->books->only($rule), $project);

        return ['holds' => [] !== $plan->outcome->rules, 'with' => $this->records->linked($plan->toArray()), 'without' => (new Plan([], ''))->toArray()];
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return \Closure(RuleBook): Plan
     */
    private function submission(array $body): \Closure
    {
        $submission = $this->em->find(Submission::class, JsonBody::text($body, 'submission', 36)) ?? throw new InvalidInput('submission', 'Choose a submission.');

        return fn (RuleBook $book): Plan => $this->plans->withBook($submission, $book);
    }

    /**
     * @param array<array-key, mixed> $sample form and answers
     *
     * @return \Closure(RuleBook): Plan
     */
    private function sample(array $sample): \Closure
    {
        $slug = JsonBody::text($sample, 'form', 100);
        $form = $this->em->getRepository(Form::class)
            ->findOneBy(['slug' => $slug])?->published
            ?->definition() ?? throw new InvalidInput('sample.form', 'Choose a form that is published.');
        $answers = \is_array($sample['answers'] ?? null) ? $sample['answers'] : throw new InvalidInput('sample.answers', 'Send the answers by question key.');

        return fn (RuleBook $book): Plan => $this->plans->dryRun($form, $answers, $slug, [], $book);
    }
}
