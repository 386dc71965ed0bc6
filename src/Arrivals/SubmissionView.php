<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Answers\Priority;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Planning\Plan;
use Telamon\Core\Time\ReplyClock;
use Telamon\Core\Time\WorkingTime;
use Telamon\Database\Remembers;
use Telamon\Files\AttachmentShelf;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\JournalEntry;
use Telamon\Messages\MessageQueue;
use Telamon\Planning\Decisions;
use Telamon\Planning\PlanMaker;
use Telamon\Record\Action;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;
use Telamon\Search\Search;
use Telamon\Submissions\ArrivalNote;
use Telamon\Submissions\ReadAnswers;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Shows submissions as the contract has them. */
final class SubmissionView implements Remembers
{
    private const EARLIER = 5;

    private ?WorkingTime $time = null;

    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly PlanMaker $plans,
        private readonly Records $records,
        private readonly AttachmentShelf $shelf,
        private readonly Profile $business,
        private readonly ClockInterface $clock,
        private readonly Decisions $decisions,
        private readonly ReadAnswers $answered,
        private readonly MessageQueue $messages,
        private readonly Search $search,
        private readonly VisitsOfArrivals $visits,
    ) {
    }

    public function reset(): void
    {
        $this->time = null;
    }

    /** @return array<string, mixed> as SubmissionRow */
    public function row(Submission $submission): array
    {
        return $this->facts(SubmissionRow::of($submission), $this->visits->of([$submission->id])[$submission->id] ?? null);
    }

    /**
     * @param array{state: string, startsAt: string}|null $visit that was booked with it
     *
     * @return array<string, mixed> as SubmissionRow
     */
    public function facts(SubmissionRow $submission, ?array $visit): array
    {
        $this->time ??= $this->business->workingTime();
        $zone = $this->business->zone();
        $form = $submission->formVersion;
        // What was promised then: by the form, by the service asked for, or anew since.
        $promise = $this->time->between($submission->receivedAt, $submission->dueAt);
        $clock = ReplyClock::read(
            $this->time,
            $submission->receivedAt,
            $submission->dueAt,
            $promise,
            $submission->answeredAt ?? (SubmissionState::SetAside === $submission->state ? $submission->decidedAt : null),
            $this->clock->now(),
        );

        return [
            'id' => $submission->id,
            'number' => $submission->number,
            'name' => $submission->name,
            'form' => ['slug' => $form->form->slug, 'title' => $form->form->title],
            'state' => $submission->state->value,
            'receivedAt' => $submission->receivedAt->setTimezone($zone)->format(\DATE_RFC3339),
            'unfinished' => SubmissionState::Waiting === $submission->state && null !== $submission->continueBy && $submission->continueBy < $this->clock->now(),
            'visit' => $visit,
            'toDecide' => SubmissionState::Waiting === $submission->state ? $submission->toDecide : 0,
            'clock' => [
                'promiseMinutes' => $clock->promiseMinutes, 'usedMinutes' => $clock->usedMinutes,
                'dueAt' => $clock->dueAt->setTimezone($zone)->format(\DATE_RFC3339), 'state' => $clock->state, 'words' => $clock->words,
            ],
            'answered' => null !== $submission->answeredAt,
            'assignee' => $submission->assignee,
            'remindAt' => $submission->remindAt?->setTimezone($zone)->format(\DATE_RFC3339),
            'putOff' => null !== $submission->remindAt && $submission->remindAt > $this->clock->now(),
            'priority' => $submission->priority,
            'aside' => SubmissionState::SetAside === $submission->state ? ['reason' => $submission->asideReason, 'note' => $submission->asideNote] : null,
        ];
    }

    /**
     * @param Plan|null $plan where it was just made
     *
     * @return array<string, mixed> as Submission
     */
    public function whole(Submission $submission, ?Plan $plan = null): array
    {
        $waiting = SubmissionState::Waiting === $submission->state;
        $plan = $waiting ? $plan ?? $this->plans->plan($submission) : null;

        return $this->row($submission) + [
            'earlier' => $this->earlier($submission, $submission->client->id ?? self::likeliest($plan)),
            'channel' => $submission->channel,
            'origin' => [
                'version' => $submission->formVersion->number,
                'page' => $submission->origin->page,
                'campaign' => (object) $submission->origin->campaign,
                'networkAddress' => $submission->origin->networkAddress,
                'beganAt' => $submission->origin->beganAt?->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            ],
            'continues' => RecordRef::maybe($submission->continues),
            'continuedBy' => null === $submission->continueBy ? null : RecordRef::maybe($this->em->getRepository(Submission::class)->findOneBy(['continues' => $submission])),
            'sameAs' => RecordRef::maybe($submission->sameAs),
            'cameAgain' => !$submission->doubled
                ? []
                : array_map(RecordRef::of(...), $this->em->getRepository(Submission::class)->findBy(['sameAs' => $submission], ['receivedAt' => 'ASC'], 20)),
            'notes' => $this->notes($submission),
            'points' => Priority::of($this->answered->of($submission), $submission->receivedAt->setTimezone($this->business->zone())->format('Y-m-d'))->parts,
            'answeredBy' => $submission->answeredBy?->name,
            'answers' => $this->answers($submission),
            'decided' => $this->decisions->of($submission->id)->toArray(),
            'holdSeconds' => $this->messages->holdSeconds(),
            'plan' => null === $plan ? null : $this->records->linked($plan->toArray()),
            'made' => $waiting ? [] : $this->made($submission),
            'decidedBy' => $submission->decidedBy->name ?? ('' === $submission->acceptedThrough ? null : $submission->acceptedThrough),
            'decidedAt' => $submission->decidedAt?->setTimezone($this->business->zone())->format(\DATE_RFC3339),
        ];
    }

    /** The client that a plan is for, or may be for; null for somebody new. */
    private static function likeliest(?Plan $plan): ?string
    {
        foreach ($plan->lines ?? [] as $line) {
            foreach ('client' === $line->key ? $line->said->parts : [] as $part) {
                if ('client' === ($part->record['kind'] ?? '')) {
                    return $part->record['id'];
                }
            }
        }

        return null;
    }

    /** @return list<array{record: array{kind: string, id: string, label: string, path: string|null}, at: string, state: string}> what the same client, or whoever has the same address, sent before, the newest first */
    private function earlier(Submission $submission, ?string $client): array
    {
        $readings = $this->answered->of($submission);
        $sender = $readings->for(Destination::ClientEmail)?->string() ?? '';
        $sender = '' === $sender ? $readings->for(Destination::ClientPhone)->text ?? '' : $sender;
        $same = '' === $sender ? [] : array_values(array_diff($this->search->holding($sender, 'submission'), [$submission->id]));
        if (null === $client && [] === $same) {
            return [];
        }
        /** @var list<Submission> $found */
        $found = $this->em->createQueryBuilder()->select('s')->from(Submission::class, 's')->where('s.client = :client OR s.id IN (:same)')->andWhere('s.receivedAt < :at')
            ->setParameter('client', $client)->setParameter('same', $same)->setParameter('at', $submission->receivedAt, 'datetime_immutable')->orderBy('s.receivedAt', 'DESC')->setMaxResults(4 * self::EARLIER)->getQuery()->getResult();
        // What is searched holds parts of addresses too: the whole one has to be there.
        $wrote = static fn (Submission $one): bool => \in_array(
            mb_strtolower($sender),
            array_map(static fn (mixed $answer): string => \is_string($answer) ? mb_strtolower(trim($answer)) : '', $one->answers),
            true,
        );
        $found = \array_slice(
            array_values(array_filter($found, static fn (Submission $one): bool => (null !== $client && $one->client?->id === $client) || $wrote($one))),
            0,
            self::EARLIER,
        );

        return array_map(
            fn (Submission $one): array => [
                'record' => RecordRef::of($one),
                'at' => $one->receivedAt->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                'state' => $one->state->value,
            ],
            $found,
        );
    }

    /** @return list<array{text: string, by: string, at: string}> the oldest first */
    private function notes(Submission $submission): array
    {
        return array_map(
            fn (ArrivalNote $note): array => ['text' => $note->text, 'by' => $note->staff->name, 'at' => $note->at->setTimezone($this->business->zone())->format(\DATE_RFC3339)],
            $this->em->getRepository(ArrivalNote::class)->findBy(['submission' => $submission], ['at' => 'ASC', 'id' => 'ASC'], 100),
        );
    }

    /** @return array{given: string, offers: list<array{value: string, label: string}>, several: bool, parts: list<string>}|null how an answer can be put right, several values or parts one a line; null where it cannot */
    private static function right(Question $question, mixed $answer): ?array
    {
        $kind = $question->type;
        $shape = $kind->corrected('');
        if (null === $shape) {
            return null;
        }
        $parts = $kind->partNames();
        $given = match (true) {
            [] !== $parts && \is_array($answer) => array_map(static fn (string $part): string => \is_string($answer[$part] ?? null) ? $answer[$part] : '', array_keys($parts)),
            \is_array($answer) => array_filter($answer, is_string(...)),
            default => [\is_scalar($answer) ? (string) $answer : ''],
        };
        $offered = $kind->offersOptions() || Counting::Choices === $kind->counting() ? $kind->offered($question) : [];

        return [
            'given' => implode("\n", $given),
            'offers' => array_map(static fn (string $value): array => ['value' => $value, 'label' => $kind->labelOf($question, $value)], $offered),
            'several' => [] === $parts && \is_array($shape),
            'parts' => array_values($parts),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function answers(Submission $submission): array
    {
        $files = [];
        foreach ($this->shelf->of($submission->id) as $attachment) {
            $files[$attachment->questionKey][] = $attachment->toArray();
        }

        return array_map(static function (Question $question) use ($submission, $files): array {
            return [
                'key' => $question->key,
                'number' => $question->number,
                'wording' => $question->wording,
                'type' => $question->type::name(),
                'text' => $question->type->text($question, $question->type->isFiles() ? '' : ($submission->answers[$question->key] ?? '')),
                'right' => self::right($question, $submission->answers[$question->key] ?? ''),
                'files' => $files[$question->key] ?? [],
            ];
        }, array_values(array_filter($submission->formVersion->definition()->questions(), static fn (Question $question): bool => $question->type->asks())));
    }

    /** @return list<array{kind: string, id: string, label: string, path: string|null}> */
    private function made(Submission $submission): array
    {
        $change = $this->em->getRepository(Change::class)->findOneBy(['submissionId' => $submission->id, 'kind' => ChangeKind::Accept, 'undoneAt' => null], ['seq' => 'DESC']);
        if (null === $change) {
            return [];
        }
        // The client may have been on file before; it is where she looks first.
        $client = RecordRef::maybe($submission->client);
        $made = null === $client ? [] : [$client];
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['change' => $change, 'action' => Action::Made], ['id' => 'ASC']) as $entry) {
            if ('client' !== $entry->recordKind) {
                $made[] = $entry->record();
            }
        }

        return $made;
    }
}
