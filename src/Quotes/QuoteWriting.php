<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Database\Counter;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Projects\StageMoves;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;

/** Drafts quotes, changes them, and makes another revision of one that is out. */
final readonly class QuoteWriting
{
    public function __construct(
        private EntityManagerInterface $em,
        private Counter $counter,
        private Changes $changes,
        private Setups $setups,
        private FromAnswers $answers,
        private Templates $templates,
        private WithQuote $with,
        private StageMoves $stages,
        private QuoteMails $mails,
        private Profile $business,
        private ClockInterface $clock,
        private ContentReader $reader = new ContentReader(),
    ) {
    }

    /**
     * For a project or a client: from the answers, from a template, or as a copy of another quote.
     *
     * @param string $id what it is to be known by: the same sending twice is one quote
     *
     * @throws Refusal
     */
    public function draft(string $id, Edit $edit, Staff $by): Quote
    {
        // The same sending again is no change: undo would take back nothing.
        $there = $this->em->find(Quote::class, $id);
        if (null !== $there) {
            return $there;
        }
        $like = $this->em->find(Quote::class, $edit->text('like', 36) ?? '');
        $project = $this->em->find(Project::class, $edit->text('project', 36) ?? '');
        $client = $project->client ?? $this->em->find(Client::class, $edit->text('client', 36) ?? '') ?? $like?->client;
        if (null === $client) {
            throw new InvalidInput('client', 'Choose whom it is for.');
        }
        $submission = null === $project?->submissionId ? null : $this->em->find(Submission::class, $project->submissionId);
        $template = $edit->text('template', 36) ?? '';
        $begun = '' === $template
            ? null
            : $this->templates->content($template) ?? throw new InvalidInput('template', 'This template is gone. Choose another, or write the quote without one.');
        $content = $like?->content()->alone() ?? $begun ?? $this->answers->content($submission, $project->service ?? '');
        $act = Act::of(ChangeKind::Edit, "drafted a quote for {$client->name()}", $by)->from($submission?->id)->about($client);

        return $this->changes->carryOut(
            $act,
            fn (): Quote => $this->em->find(Quote::class, $id) ?? $this->made($id, $client->mergedInto ?? $client, $project, $submission?->id, $content, $by),
        );
    }

    /**
     * Call it inside a change. Whoever leads is told, unless it is them who write it.
     *
     * @param Staff|null $by null where a plan does it
     */
    public function made(string $id, Client $client, ?Project $project, ?string $submission, Content $content, ?Staff $by): Quote
    {
        $setup = $this->setups->setup();
        $quote = new Quote(
            $this->counter->next('Q'),
            1,
            $client,
            $project,
            $submission,
            $project->lead ?? $by ?? throw new \LogicException('somebody leads it'),
            $this->business->business()->currency,
            $setup->gross,
            $content,
            self::day($this->setups->today())->modify("+{$setup->validDays} days"),
            $this->clock->now(),
            $id,
        );
        $this->em->persist($quote);
        if (null !== $project && '' !== $setup->draftStage) {
            $this->stages->within($project, $setup->draftStage);
        }
        if ($quote->lead !== $by) {
            $this->mails->drafted($quote);
        }

        return $quote;
    }

    /** @throws Refusal */
    public function edit(Quote $quote, Edit $edit, Staff $by): void
    {
        $content = $edit->has('content') ? $this->content($edit->any('content')) : null;
        $until = $edit->day('validUntil');
        $lead = $edit->has('lead') ? $this->em->find(Staff::class, $edit->text('lead', 36) ?? '') ?? throw new InvalidInput('lead', 'Choose somebody who is here.') : null;
        $this->changes->carryOut($this->change("changed {$quote->shown()}", $quote, $by)->looking($quote, $edit->version()), function () use ($quote, $content, $until, $lead): void {
            $this->refuseOut($quote);
            if (null !== $content) {
                $this->with->refuseOthers($quote, $content);
                $quote->say($content);
            }
            if (null !== $until) {
                $quote->holdUntil($until);
            }
            if (null !== $lead) {
                $quote->beLedBy($lead);
            }
        });
    }

    /**
     * Another revision of a quote that is out: the one before is no longer good once this one is sent.
     *
     * @throws Refusal where it is a draft, accepted, or has a later revision
     */
    public function revise(Quote $quote, string $id, Staff $by): Quote
    {
        return $this->changes->carryOut($this->change("began another revision of {$quote->number}", $quote, $by), function () use ($quote, $id): Quote {
            $there = $this->em->find(Quote::class, $id);
            if (null !== $there) {
                return $there;
            }
            $latest = $this->em->getRepository(Quote::class)->findOneBy(['number' => $quote->number], ['revision' => 'DESC']) ?? $quote;
            if (QuoteState::Draft === $latest->state) {
                throw new ChangedMeanwhile("{$latest->shown()} is a draft already. Go on with that one.");
            }
            if (QuoteState::Accepted === $latest->state) {
                throw new ChangedMeanwhile("{$latest->shown()} is accepted. Make a new quote for what comes on top.");
            }
            $setup = $this->setups->setup();
            $next = new Quote(
                $quote->number,
                $latest->revision + 1,
                $latest->client,
                $latest->project,
                $latest->submissionId,
                $latest->lead,
                $latest->currency,
                $latest->gross,
                $latest->content(),
                self::day($this->setups->today())->modify("+{$setup->validDays} days"),
                $this->clock->now(),
                $id,
            );
            $this->em->persist($next);

            return $next;
        });
    }

    /**
     * The sums of what is being typed. Nothing is kept.
     *
     * @throws Refusal
     */
    public function content(mixed $data): Content
    {
        try {
            return $this->reader->read(\is_array($data) ? $data : []);
        } catch (InvalidContent $error) {
            throw new InvalidInput("content.{$error->path}", $error->getMessage());
        }
    }

    /** @throws Refusal where the client has it already */
    public function refuseOut(Quote $quote): void
    {
        if (QuoteState::Draft !== $quote->state) {
            throw new ChangedMeanwhile('The client has it already. Make another revision of it; what they have stays as it is.');
        }
    }

    public function change(string $words, Quote $quote, ?Staff $by, ChangeKind $kind = ChangeKind::Edit): Act
    {
        return Act::of($kind, $words, $by)->from($quote->submissionId)->about($quote);
    }

    private static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
    }
}
