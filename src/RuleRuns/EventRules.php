<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Form\Readings;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Planning\EventPlanner;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\PlanContext;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Rules\Triggers\StageChanged;
use Telamon\Core\Time\DayOrder;
use Telamon\Effects\Effects;
use Telamon\Effects\Making;
use Telamon\Effects\Occasion;
use Telamon\Journal\Change;
use Telamon\Journal\CurrentChange;
use Telamon\Planning\PlanContexts;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;
use Telamon\Rules\RuleBooks;
use Telamon\Rules\RuleUses;
use Telamon\Submissions\PastCircumstances;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;

/**
 * Carries out the rules that wait for something to happen to a project or a client: in the transaction and under the
 * change of what happened, so that nothing is late and all is taken back together.
 */
final readonly class EventRules
{
    /** No chain is longer: rules that would go on for ever are refused when they are kept. */
    private const LONGEST_CHAIN = 20;

    public function __construct(
        private EntityManagerInterface $em,
        private RuleBooks $books,
        private RuleUses $uses,
        private EventPlanner $planner,
        private Effects $effects,
        private PastCircumstances $past,
        private ReadAnswers $answered,
        private Profile $business,
        private PlanContexts $contexts,
        private CurrentChange $current,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Inside the change, once what happened is written.
     *
     * @param list<string> $what stage, name of the task, or fields that it happened to
     * @param array<string, string> $beside facts of the event: stage_before, task
     * @param Submission|null $of whose answers are asked about; that which opened the project where null
     *
     * @return list<Journaled> what was made or changed
     */
    public function happened(
        Trigger $event,
        ?Project $project,
        ?Client $client,
        array $what,
        array $beside = [],
        bool $byHand = false,
        ?Submission $of = null,
        int $depth = 0,
    ): array {
        if ($depth > self::LONGEST_CHAIN || !$this->books->waitsFor($event)) {
            return [];
        }
        $book = $this->books->book();
        // What the rules look at is what is written, and what was made so far has its place.
        $this->em->flush();
        $submission = $of ?? $this->submissionOf($project);
        $facts = $this->known($submission, $project, $client ?? $project?->client, $beside)->after([$event], $what, $byHand);
        $plan = $this->plan($book, $facts, $submission, $project);
        if ([] === $plan->outcome->rules) {
            return [];
        }
        $made = $this->making($submission, $project, $client);
        $before = $project->stage ?? '';
        $touched = $this->effects->carryOut($plan->lines, $made);
        $this->uses->keep($plan->outcome, $this->change(), $project ?? $client ?? throw new \LogicException('something happened to nothing'));

        return [...$touched, ...$this->goOn($made->find(Project::class), $before, $depth)];
    }

    /** What a rule would do to a project if what it waits for happened there now. Nothing is written. */
    public function trial(Rule $rule, RuleBook $book, Project $project): Plan
    {
        $submission = $this->submissionOf($project);
        $facts = $this->known($submission, $project, $project->client, ['@stage_before' => $project->stage])
            ->with($rule->when->asIf($rule->what))
            ->after([$rule->when], [$rule->what]);

        return $this->plan($book, $facts, $submission, $project);
    }

    private function plan(RuleBook $book, Circumstances $facts, ?Submission $submission, ?Project $project): Plan
    {
        $lead = null === $project ? null : new StaffMember($project->lead->id, $project->lead->name, $project->lead->email);

        return $this->planner->plan($this->context($book, $submission, $project), $facts, $lead, $project?->readyBy);
    }

    private function submissionOf(?Project $project): ?Submission
    {
        return null === $project?->submissionId ? null : $this->em->find(Submission::class, $project->submissionId);
    }

    private function making(?Submission $submission, ?Project $project, ?Client $client): Making
    {
        $made = new Making($this->clock->now(), null === $submission ? null : new Occasion($submission->id, $submission->number, $submission->name));
        foreach (array_filter([$client ?? $project?->client, $project, $project?->asset]) as $there) {
            $made->add($there);
        }

        return $made;
    }

    private function change(): Change
    {
        return $this->current->get() ?? throw new \LogicException('domain events are told inside a change');
    }

    /** @return list<Journaled> */
    private function goOn(?Project $project, string $stageBefore, int $depth): array
    {
        return null === $project || $project->stage === $stageBefore
            ? []
            : $this->happened(new StageChanged(), $project, null, [$project->stage], ['@stage_before' => $stageBefore], depth: $depth + 1);
    }

    /** @param array<string, string> $beside */
    private function known(?Submission $submission, ?Project $project, ?Client $client, array $beside): Circumstances
    {
        $today = $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d');
        $facts = null === $submission ? new Circumstances('', [], $today, DayOrder::Unstated) : $this->past->of($submission);

        $own = [];
        foreach ($client->custom ?? [] as $key => $value) {
            $own["@client.custom.$key"] = $value;
        }

        return $facts->with($beside + $own + [
            '@client.organisation' => $client->organisation ?? '',
            '@client.address' => $client->address ?? '',
            '@client' => 'known',
            '@client_tags' => $client->tags ?? [],
            '@project_tags' => $project->tags ?? [],
            '@stage' => $project->stage ?? '',
            '@lead' => $project->lead->id ?? '',
            '@hours' => $this->business->hours()->isOpen($this->clock->now()) ? 'inside' : 'outside',
        ]);
    }

    private function context(RuleBook $book, ?Submission $submission, ?Project $project): PlanContext
    {
        $readings = null === $submission ? new Readings([]) : $this->answered->of($submission);
        $merge = null === $project ? [] : ['project' => $project->number, 'title' => $project->title, 'stage' => $project->stage, 'client' => $project->client->name()];

        // A rule that speaks again for the same project may write again; the same change never runs twice.
        return $this->contexts->of(new Inquiry($readings), new Ruling($book), new OnFile(merge: $merge));
    }
}
