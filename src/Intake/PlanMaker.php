<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Psr\Clock\ClockInterface;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Planning\InvalidDecision;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\PlanInput;
use Telamon\Core\Planning\Planner;
use Telamon\Core\Reading\SubmissionReader;
use Telamon\Http\Problem;
use Telamon\Messages\MessageQueue;
use Telamon\Setup\BusinessFacts;

/** Gathers what the core needs to plan a submission, and lets it plan. */
final readonly class PlanMaker
{
    public function __construct(
        private SubmissionReader $reader,
        private ClientMatcher $matcher,
        private Directory $directory,
        private Planner $planner,
        private BusinessFacts $facts,
        private MessageQueue $messages,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<array-key, mixed> $decisions the value chosen, by the key of the choice
     *
     * @throws Problem 422 when a decision names what the plan does not offer
     */
    public function plan(Submission $submission, array $decisions = []): Plan
    {
        $chosen = [];
        foreach ($decisions as $key => $value) {
            $chosen[(string) $key] = \is_string($value) ? $value : throw Problem::invalid("decisions.$key", 'Write the choice as text.');
        }
        $readings = $this->reader->read($submission->formVersion->definition(), $submission->answers);
        $input = new PlanInput(
            $readings,
            $this->matcher->candidates($readings, $this->directory),
            $this->facts->services(),
            $this->facts->coordinator(),
            $this->facts->baseChecklist(),
            $this->facts->workingDays(),
            $this->facts->business()->assetWord,
            $this->messages->templateNames(),
            $this->messages->alreadySent($submission->id),
            $this->clock->now()->setTimezone($this->facts->zone()),
        );
        try {
            return $this->planner->plan($input, $chosen);
        } catch (InvalidDecision $error) {
            throw Problem::invalid($error->path, $error->getMessage());
        }
    }
}
