<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Clients\ClientChanged;
use Telamon\Core\Planning\Amender;
use Telamon\Core\Rules\Triggers;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\AppointmentHappened;
use Telamon\Planning\PlanAccepted;
use Telamon\Projects\StageChanged;
use Telamon\Quotes\AgreementSigned;
use Telamon\Quotes\QuoteEvent;
use Telamon\Quotes\QuoteHappened;
use Telamon\Submissions\Submission;
use Telamon\Tasks\TaskFinished;

/** Has the rules that wait for a domain event do their part, under the change in which it happened. */
final readonly class RuleListener
{
    public function __construct(private EventRules $rules, private EntityManagerInterface $em)
    {
    }

    #[AsEventListener]
    public function accepted(PlanAccepted $event): void
    {
        $event->touch(...$this->rules->happened(new Triggers\Accepted(), $event->submission->project, $event->submission->client, [], of: $event->submission));
    }

    #[AsEventListener]
    public function moved(StageChanged $event): void
    {
        $event->touch(...$this->rules->happened(new Triggers\StageChanged(), $event->project, null, [$event->project->stage], ['@stage_before' => $event->before]));
    }

    #[AsEventListener]
    public function done(TaskFinished $event): void
    {
        $task = $event->task;
        $event->touch(...$this->rules->happened(new Triggers\TaskDone(), $task->project, null, [$task->name], ['@task' => $task->name], Amender::BY_HAND === $task->checklist));
    }

    #[AsEventListener]
    public function visit(AppointmentHappened $event): void
    {
        $appointment = $event->appointment;
        $client = $appointment->client ?? $appointment->project?->client;
        // Nobody is on file for it yet: what is accepted later is told by its own event.
        if (null === $client) {
            return;
        }
        $trigger = match ($event->what) {
            AppointmentEvent::Booked => new Triggers\VisitBooked(),
            AppointmentEvent::Moved => new Triggers\VisitMoved(),
            AppointmentEvent::Cancelled => new Triggers\VisitCancelled(),
            AppointmentEvent::Held => new Triggers\VisitHeld(),
            AppointmentEvent::Missed => new Triggers\VisitMissed(),
        };
        $submission = null === $appointment->submissionId ? null : $this->em->find(Submission::class, $appointment->submissionId);
        $event->touch(...$this->rules->happened(
            $trigger,
            $appointment->project,
            $client,
            [$appointment->type->name ?? $appointment->title],
            ['@visit' => $appointment->title],
            of: $submission,
        ));
    }

    #[AsEventListener]
    public function quote(QuoteHappened $event): void
    {
        $quote = $event->quote;
        $trigger = match ($event->what) {
            QuoteEvent::Opened => new Triggers\QuoteOpened(),
            QuoteEvent::Accepted => new Triggers\QuoteAccepted(),
            QuoteEvent::Declined => new Triggers\QuoteDeclined(),
            QuoteEvent::Expired => new Triggers\QuoteExpired(),
        };
        $submission = null === $quote->submissionId ? null : $this->em->find(Submission::class, $quote->submissionId);
        $event->touch(...$this->rules->happened($trigger, $quote->project, $quote->client, [$quote->number], ['@quote' => $quote->number], of: $submission));
    }

    #[AsEventListener]
    public function signed(AgreementSigned $event): void
    {
        $agreement = $event->agreement;
        $event->touch(...$this->rules->happened(new Triggers\AgreementSigned(), $agreement->project, $agreement->client, [$agreement->title], ['@agreement' => $agreement->title]));
    }

    #[AsEventListener]
    public function changed(ClientChanged $event): void
    {
        // By a plan: its answers and its project are what the rules look at.
        $submission = null === $event->change->submissionId ? null : $this->em->find(Submission::class, $event->change->submissionId);
        $submission = $submission?->client === $event->client ? $submission : null;
        $event->touch(...$this->rules->happened(new Triggers\ClientChanged(), $submission?->project, $event->client, $event->fields, of: $submission));
    }
}
