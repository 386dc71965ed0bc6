<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Booking\BookedTime;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Readings;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Planning\PlanContext;
use Telamon\Core\Planning\Planner;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Diary\BookedTimes;
use Telamon\Diary\WishedTimes;
use Telamon\Messages\MessageQueue;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Rules\RuleBooks;
use Telamon\Submissions\PastCircumstances;
use Telamon\Submissions\Submission;

/** Gathers what the core needs to plan a submission, and lets it plan. */
final readonly class PlanMaker
{
    public function __construct(
        private SubmissionReader $reader,
        private ClientMatcher $matcher,
        private Directory $directory,
        private Planner $planner,
        private Profile $business,
        private MessageQueue $messages,
        private PlanContexts $contexts,
        private RuleBooks $books,
        private PastCircumstances $past,
        private Decisions $decisions,
        private BookedTimes $booked,
        private WishedTimes $wished,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<array-key, mixed> $decisions the value chosen, by the key of the choice
     *
     * @throws Refusal when a decision names what the plan does not offer
     */
    public function plan(Submission $submission, array $decisions = []): Plan
    {
        $chosen = [];
        foreach ($decisions as $key => $value) {
            $chosen[(string) $key] = \is_string($value) ? $value : throw new InvalidInput("decisions.$key", 'Write the choice as text.');
        }
        $decided = $this->decisions->of($submission->id);
        try {
            return $this->decided($submission, $chosen, $decided);
        } catch (InvalidDecision $error) {
            if ($decided->amendments->isEmpty()) {
                throw new InvalidInput($error->path, $error->getMessage());
            }
        }
        // What was kept named something that is gone since: the plan is told without it, and can be opened.
        try {
            return $this->decided($submission, $chosen, new Decided(choices: $decided->choices, answers: $decided->answers));
        } catch (InvalidDecision $error) {
            throw new InvalidInput($error->path, $error->getMessage());
        }
    }

    /** @throws Refusal when no plan can be made with what is decided */
    public function check(Submission $submission): Plan
    {
        try {
            return $this->decided($submission, [], $this->decisions->of($submission->id));
        } catch (InvalidDecision $error) {
            throw new InvalidInput($error->path, $error->getMessage());
        }
    }

    /**
     * @param array<string, string> $chosen
     *
     * @throws InvalidDecision
     */
    private function decided(Submission $submission, array $chosen, Decided $decided): Plan
    {
        $sent = [] === $submission->sent ? null : $this->reader->read($submission->formVersion->definition(), $submission->sent, $this->given($submission));
        $context = $this->context(
            $this->readings($submission, $decided),
            $submission->id,
            $this->past->of($submission),
            sent: $sent,
            purpose: $submission->formVersion->definition()->purpose,
            client: $chosen['client'] ?? $decided->choices['client'] ?? '',
            received: $submission->receivedAt->setTimezone($this->business->zone())->format('Y-m-d'),
            booked: $this->booked->of($submission->id),
            title: $submission->formVersion->definition()->title,
        );

        return $this->planner->plan($context->with(new RuleOutcome(), $decided->amendments), self::named($chosen, $context), self::named($decided->choices, $context));
    }

    /**
     * The plan as it would be with a rule, or with another book of rules altogether. Nothing is saved.
     */
    public function withBook(Submission $submission, RuleBook $book): Plan
    {
        return $this->planner->plan($this->context(
            $this->readings($submission, new Decided()),
            $submission->id,
            $this->past->of($submission),
            $book,
            purpose: $submission->formVersion->definition()->purpose,
        ));
    }

    /** The day on which it came, at the business: “in three weeks” counts from it. */
    private function given(Submission $submission): \DateTimeImmutable
    {
        return $submission->receivedAt->setTimezone($this->business->zone());
    }

    /** Of the answers, and of those to the short form before that did not come again. */
    private function readings(Submission $submission, Decided $decided): Readings
    {
        $form = $submission->formVersion->definition();
        $right = [];
        foreach ($form->questions() as $question) {
            if (isset($decided->answers[$question->key])) {
                $right[$question->key] = $question->type->corrected($decided->answers[$question->key]);
            }
        }
        $readings = $this->reader->read($form, $right + $submission->answers, $this->given($submission));
        $short = $submission->continues;
        if (null === $short) {
            return $readings;
        }
        $before = array_diff_key($short->answers, $submission->answers);

        return $readings->with($this->reader->read($short->formVersion->definition(), $before, $this->given($short)));
    }

    /**
     * The plan that a form would give for answers that nobody has sent. Nothing is saved.
     *
     * @param array<array-key, mixed> $answers
     * @param array<array-key, mixed> $sent what stood in the form when it was sent out
     * @param RuleBook|null $book other rules than those kept
     * @param string $client id of whom it is known to be from; empty where matching has to find out
     */
    public function dryRun(FormDefinition $form, array $answers, string $slug = '', array $sent = [], ?RuleBook $book = null, string $channel = 'page', string $client = ''): Plan
    {
        $kept = [];
        foreach ($form->shown($answers, $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), true) as $question) {
            $kept[$question->key] = $answers[$question->key] ?? null;
        }

        $context = $this->context(
            $this->reader->read($form, $kept, $this->clock->now()->setTimezone($this->business->zone())),
            null,
            new Circumstances(
                $slug,
                $form->understood($kept),
                $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'),
                $form->dayOrder,
                ['@channel' => $channel, '@hours' => $this->business->hours()->isOpen($this->clock->now()) ? 'inside' : 'outside', '@files' => '0', '@finished' => 'yes'],
            ),
            $book,
            [] === $sent ? null : $this->reader->read($form, $sent),
            $form->purpose,
            $client,
        );

        return $this->planner->plan($context, [], self::named('' === $client ? [] : ['client' => $client], $context));
    }

    /**
     * Where only one client is offered, whoever names them says that it is the same.
     *
     * @param array<string, string> $choices
     *
     * @return array<string, string>
     */
    private static function named(array $choices, PlanContext $context): array
    {
        $candidates = $context->onFile->candidates;

        return 1 === \count($candidates) && ($choices['client'] ?? '') === $candidates[0]->client->id ? ['client' => 'same'] + $choices : $choices;
    }

    private function context(
        Readings $readings,
        ?string $submissionId,
        Circumstances $facts,
        ?RuleBook $book = null,
        ?Readings $sent = null,
        ?Purpose $purpose = null,
        string $client = '',
        string $received = '',
        ?BookedTime $booked = null,
        string $title = '',
    ): PlanContext {
        $alreadySent = null === $submissionId ? [] : $this->messages->alreadySent($submissionId);

        return $this->contexts->of(
            new Inquiry($readings, $purpose ?? Purpose::Open, $sent, $received, $booked, null === $submissionId ? null : $this->wished->of($readings), $title),
            new Ruling($book ?? $this->books->book(), $facts),
            new OnFile($this->matcher->with($client, $this->matcher->candidates($readings, $this->directory), $readings, $this->directory), $alreadySent),
        );
    }
}
