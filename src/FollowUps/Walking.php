<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\OfferTimes;
use Telamon\Core\Effects\SendForm;
use Telamon\Core\Effects\SendQuote;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\FollowUps\Quiet;
use Telamon\Core\FollowUps\SeriesWalk;
use Telamon\Core\FollowUps\Stand;
use Telamon\Core\FollowUps\Step;
use Telamon\Core\FollowUps\StepKind;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Effects;
use Telamon\Effects\Making;
use Telamon\Effects\MayComeToNothing;
use Telamon\Messages\Channel;
use Telamon\Messages\Ground;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\MessageState;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\ProjectFields;
use Telamon\Messages\StaffToBeTold;
use Telamon\Messages\Stops;
use Telamon\Projects\Project;
use Telamon\Projects\StageMoves;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** Leads people through follow-ups. Call all of it inside a change: what is queued and where they stand are written at once. */
final readonly class Walking
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageQueue $messages,
        private ProjectFields $fields,
        private Stops $stops,
        private TaskCounts $counts,
        private StageMoves $stages,
        private Effects $effects,
        private EventDispatcherInterface $events,
        private ClientClock $theirs,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $by who or what begins it, in words
     *
     * @return FollowUpRun|null the one that runs already, where there is one; null where nobody can be written to
     */
    public function begin(FollowUp $followUp, Client $client, ?Project $project, ?string $submissionId, string $by): ?FollowUpRun
    {
        foreach ($this->em->getRepository(FollowUpRun::class)->findBy(['followUp' => $followUp, 'client' => $client]) as $there) {
            if (!$there->isOver()) {
                return $there;
            }
        }
        $address = $client->first(ContactKind::Email) ?? '';
        if ('' === $address || $this->stops->has($address)) {
            return null;
        }
        $run = new FollowUpRun($followUp, $client, $project, $submissionId, $address, mb_substr($by, 0, 200), $this->clock->now());
        $this->em->persist($run);
        $this->go($run);

        return $run;
    }

    /** Somebody's time has come. What comes late, as nothing ran meanwhile, does not leave when it is quiet. */
    public function due(FollowUpRun $run): void
    {
        $now = $this->theirs->now($run->client);
        $later = true === $run->series()->at($run->stand())?->kind->reachesThem() ? $this->walk()->afterQuiet($now) : $now;
        $later > $now ? $run->waitAt($run->stand(), $later->setTimezone(new \DateTimeZone('UTC'))) : $this->go($run);
    }

    /** From where somebody stands to the next wait. */
    public function go(FollowUpRun $run): void
    {
        $moved = $this->walk()->move($run->series(), $run->stand(), $this->theirs->now($run->client), $run->namedDay);
        foreach ($moved->done as $step) {
            $run->note($step, $this->perform($run, $step), $this->clock->now());
        }
        if (null === $moved->stand || null === $moved->due) {
            $run->end(Course::Main === $run->course ? 'went through to its end' : "{$run->course->words()}: done", $this->clock->now());
        } else {
            $run->waitAt($moved->stand, $moved->due->setTimezone(new \DateTimeZone('UTC')));
        }
    }

    /**
     * What came back leads to its own course, or ends it.
     *
     * @param \DateTimeImmutable|null $named the day that they named
     */
    public function answered(FollowUpRun $run, Course $course, ?\DateTimeImmutable $named = null): void
    {
        $run->take($course, $this->clock->now(), $named);
        if ([] === $run->series()->steps($course)) {
            $run->end("{$course->words()} came", $this->clock->now());

            return;
        }
        $this->go($run);
    }

    public function walk(): SeriesWalk
    {
        $business = $this->business->business();

        return new SeriesWalk($this->business->workingDays(), new Quiet($business->quietFrom, $business->quietUntil, $business->quietDays));
    }

    /** Now, by the clock of the business. */
    public function now(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->business->zone());
    }

    /** @return string what was done, in words */
    private function perform(FollowUpRun $run, Step $step): string
    {
        return match ($step->kind) {
            StepKind::Send => $this->send($run, $step),
            StepKind::Times => $this->carryOut($run, new OfferTimes($step->what), "sent the times of /book/{$step->what}"),
            StepKind::Form => $this->carryOut($run, new SendForm($step->what), "sent the form /f/{$step->what}"),
            StepKind::Quote => $this->carryOut($run, new SendQuote(), 'sent'),
            StepKind::Task => $this->task($run, $step),
            StepKind::Stage => $this->stage($run, $step),
            StepKind::Tag => $this->tag($run, $step),
            StepKind::Notice => $this->tell($run, $step),
            default => '',
        };
    }

    private function send(FollowUpRun $run, Step $step): string
    {
        if ($this->stops->has($run->address)) {
            return 'not sent: they asked to be left alone';
        }
        $template = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $step->what]);
        if (null === $template) {
            return 'not sent: the template is gone';
        }
        $number = $step->asText && '' !== $template->textMessage ? $run->client->first(ContactKind::Phone) ?? '' : '';
        if ('' !== $number && $this->stops->has($number)) {
            return 'not sent: they asked to be left alone';
        }
        $message = $this->messages->queue(
            $step->what,
            '' === $number ? $run->address : $number,
            $run->client->name(),
            $this->fields->of($run->client, $run->project),
            $run->client,
            $run->project,
            $run->submissionId,
            held: true,
            ground: Ground::Inquiry,
            by: '' === $number ? Channel::Mail : Channel::Text,
        );
        $sent = '' === $number ? ($step->asText ? 'sent as a mail, as there is no number or no words for a text:' : 'sent') : 'sent as a text';

        return MessageState::Held === $message->state ? "held: {$message->failure}" : "$sent “{$template->name}”";
    }

    /** What plans do too, done by itself. */
    private function carryOut(FollowUpRun $run, Effect $effect, string $sent): string
    {
        // They go where the client is written to now, which need not be where the follow-up began.
        if ($this->stops->has($run->address) || $this->stops->has($run->client->first(ContactKind::Email) ?? '')) {
            return 'not sent: they asked to be left alone';
        }
        $made = new Making($this->clock->now());
        $made->add($run->client);
        if (null !== $run->project) {
            $made->add($run->project);
        }
        $handler = $this->effects->handler($effect::class);
        $against = $handler instanceof MayComeToNothing ? $handler->against($effect, $made) : '';
        if ('' !== $against) {
            // Nobody looks into a follow-up that goes by itself: what it was to send and could not is told.
            $this->events->dispatch(new StaffToBeTold('', "{$run->client->name()}: $against", $run->followUp->name, $run->client, $run->project, $run->submissionId));

            return $against;
        }
        foreach ($handler->write($effect, $made) as $one) {
            if ($one instanceof Message && MessageState::Held === $one->state) {
                return "held: {$one->failure}";
            }
            $sent = $one instanceof Message ? $sent : "$sent {$one->recordLabel()}";
        }

        return $sent;
    }

    private function task(FollowUpRun $run, Step $step): string
    {
        if (null === $run->project) {
            $this->events->dispatch(new StaffToBeTold('', "{$step->what}: {$run->client->name()}", $run->followUp->name, $run->client, $run->project, $run->submissionId));

            return "told staff, as there is no project: {$step->what}";
        }
        $doer = 'coordinator' === $step->who ? $this->business->business()->coordinator : $run->project->lead;
        $due = $this->business->workingDays()->add(new \DateTimeImmutable($this->now()->format('Y-m-d'), new \DateTimeZone('UTC')), $step->days);
        $this->em->persist(new Task($run->project, $this->counts->last($run->project) + 1, mb_substr($step->what, 0, 200), $doer, $due, [], $run->followUp->name));

        return "gave {$doer->name} the task “{$step->what}”";
    }

    private function stage(FollowUpRun $run, Step $step): string
    {
        if (null === $run->project || !\in_array($step->what, $this->business->stages(), true)) {
            return 'no stage: there is no project, or no such stage';
        }
        $this->stages->within($run->project, $step->what);

        return "moved {$run->project->number} to {$step->what}";
    }

    private function tag(FollowUpRun $run, Step $step): string
    {
        $run->client->retag(array_values(array_unique([...$run->client->tags(), $step->what])));

        return "tagged “{$step->what}”";
    }

    private function tell(FollowUpRun $run, Step $step): string
    {
        $this->events->dispatch(new StaffToBeTold($step->who, $step->what, $run->followUp->name, $run->client, $run->project, $run->submissionId));

        return "told staff: {$step->what}";
    }
}
