<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Core\Checklists\DoneBy;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\AppointmentHappened;
use Telamon\Files\Attachment;
use Telamon\Journal\Written;
use Telamon\Messages\Message;
use Telamon\Planning\PlanAccepted;
use Telamon\Projects\Project;
use Telamon\Quotes\AgreementSigned;
use Telamon\Quotes\QuoteEvent;
use Telamon\Quotes\QuoteHappened;
use Telamon\Record\Action;
use Telamon\Record\DomainEvent;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskDates;
use Telamon\Tasks\TaskFinishing;

/** Tasks that are done by what happens on their project, and those whose days hang on its appointment: under the change in which it happened. */
final readonly class TasksDoThemselves
{
    public function __construct(private EntityManagerInterface $em, private TaskFinishing $finishing, private TaskDates $dates)
    {
    }

    #[AsEventListener]
    public function visit(AppointmentHappened $event): void
    {
        $project = $event->appointment->project;
        if (null !== $project && AppointmentEvent::Held === $event->what) {
            $this->finish($event, $project, DoneBy::AppointmentHeld);
        } elseif (null !== $project) {
            // It was booked, moved or cancelled: what is counted from it moves with it, and what waits for that.
            $this->em->flush();
            foreach ($this->dates->countedFrom($project, DueFrom::Appointment->value)['moved'] as ['task' => $task, 'due' => $due]) {
                $task->fallDue($due);
                $event->touch($task);
            }
        }
    }

    #[AsEventListener]
    public function quote(QuoteHappened $event): void
    {
        if (QuoteEvent::Accepted === $event->what) {
            $this->finish($event, $event->quote->project, DoneBy::QuoteAccepted);
        }
    }

    #[AsEventListener]
    public function signed(AgreementSigned $event): void
    {
        $this->finish($event, $event->agreement->project, DoneBy::AgreementSigned);
    }

    /** A form came in for a project that was there before. */
    #[AsEventListener]
    public function received(PlanAccepted $event): void
    {
        $project = $event->submission->project;
        if (null !== $project && $project->submissionId !== $event->submission->id) {
            $this->finish($event, $project, DoneBy::FormReceived);
        }
    }

    /** A file that is put with the project, or a message to its client; not with what opens the project. */
    #[AsEventListener]
    public function written(Written $event): void
    {
        foreach ($event->records as $one) {
            $record = $one->record;
            $project = $record instanceof Attachment || $record instanceof Message ? $record->project : null;
            if (null === $project || Action::Made !== $one->action || isset($event->made[$project->id])) {
                continue;
            }
            if ($record instanceof Attachment) {
                $this->finish($event, $project, DoneBy::FileAttached);
            } elseif ('notice' !== $record->kind) {
                $this->finish($event, $project, DoneBy::MessageSent);
            }
        }
    }

    private function finish(DomainEvent $event, ?Project $project, DoneBy $what): void
    {
        foreach (null === $project ? [] : $this->em->getRepository(Task::class)->findBy(['project' => $project, 'finishedAt' => null], ['position' => 'ASC']) as $task) {
            if ($what->value === $task->told('doneBy') && '' === $task->told('approval')) {
                $this->finishing->within($task);
                $event->touch($task);
            }
        }
    }
}
