<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Core\Form\AnswerCheck;
use Telamon\Core\Form\AnswerText;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\EndingKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Priority;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Reading\SubmissionReader;
use Telamon\Database\Counter;
use Telamon\Files\AttachmentShelf;
use Telamon\Files\Upload;
use Telamon\Forms\FormVersion;
use Telamon\Http\Problem;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Setup\BusinessFacts;

/** Takes a filled-in form: checks it, and puts it on file once. */
final readonly class Receiver
{
    public function __construct(
        private EntityManagerInterface $em,
        private AnswerCheck $check,
        private SubmissionReader $reader,
        private MessageBusInterface $bus,
        private AttachmentShelf $shelf,
        private BusinessFacts $facts,
        private Changes $changes,
        private Counter $counter,
        private ClockInterface $clock,
        private Twins $twins,
    ) {
    }

    /**
     * @param array<array-key, mixed> $answers by question key
     *
     * @throws Problem 422 with a violation for each answer that needs another look
     */
    public function receive(FormVersion $version, array $answers, Arriving $arriving): Submission
    {
        $key = null === $arriving->key || '' === $arriving->key ? null : hash('sha256', $arriving->key);
        $known = $this->known($version, $key);
        if (null !== $known) {
            return $known;
        }
        $now = $this->clock->now();
        $form = $version->definition();
        $violations = array_map(
            static fn ($violation): array => ['path' => $violation->path, 'message' => $violation->message],
            $this->check->check($form, $answers, $now->setTimezone($this->facts->zone())),
        );
        $uploads = [] === $violations ? $this->uploads($form, $answers, $violations) : [];
        if ([] !== $violations) {
            throw new Problem(422, 'Some answers need another look', 'Nothing was sent yet, and nothing you wrote is lost.', $violations);
        }
        $kept = self::kept($form, $answers, $now->setTimezone($this->facts->zone())->format('Y-m-d'));

        return $this->changes->carryOut(
            new Change(ChangeKind::Receive, 'received a form', null, $now),
            // Looked for again under the write lock: the same key may have come twice at the same moment.
            fn (): Submission => $this->known($version, $key) ?? $this->file($version, $kept, $uploads, $arriving, $key, $now),
        );
    }

    private function known(FormVersion $version, ?string $key): ?Submission
    {
        if (null === $key) {
            return null;
        }
        $row = $this->em->getConnection()->fetchOne(
            'SELECT s.id FROM submission s JOIN form_version v ON v.id = s.form_version_id WHERE v.form_id = ? AND s.idempotency_key = ?',
            [$version->form->id, $key],
        );

        return \is_string($row) ? $this->em->find(Submission::class, $row) : null;
    }

    /**
     * @param array<array-key, mixed> $answers
     * @param list<array{path: string, message: string}> $violations
     *
     * @return array<string, list<Upload>> by question key
     */
    private function uploads(FormDefinition $form, array $answers, array &$violations): array
    {
        $uploads = [];
        foreach ($form->questions() as $question) {
            if (QuestionType::Files !== $question->type && QuestionType::Signature !== $question->type) {
                continue;
            }
            $found = $this->shelf->uploads(self::uploadIds($question, $answers[$question->key] ?? []));
            if (null === $found) {
                $violations[] = ['path' => $question->key, 'message' => 'A file is no longer here. Add it again.'];
            } elseif ([] !== array_filter($found, static fn (Upload $upload): bool => !self::fits($question, $upload->file->type))) {
                $violations[] = ['path' => $question->key, 'message' => 'pdf' === $question->fileKinds ? 'Only PDF files fit here.' : 'Only photographs and pictures fit here.'];
            } elseif ([] !== array_filter($found, static fn (Upload $upload): bool => $upload->file->size > $question->maxBytes)) {
                $violations[] = ['path' => $question->key, 'message' => \sprintf('A file has more than %d MB. Send a smaller one.', intdiv($question->maxBytes, 1_048_576))];
            } else {
                $uploads[$question->key] = $found;
            }
        }

        return $uploads;
    }

    /** @return list<string> */
    private static function uploadIds(Question $question, mixed $answer): array
    {
        if (!\is_array($answer)) {
            return [];
        }
        $ids = QuestionType::Signature === $question->type ? ('drawn' === ($answer['how'] ?? null) ? [$answer['image'] ?? null] : []) : $answer;

        return array_values(array_unique(array_filter($ids, static fn (mixed $id): bool => \is_string($id) && '' !== $id)));
    }

    private static function fits(Question $question, string $type): bool
    {
        return match (true) {
            QuestionType::Signature === $question->type => 'image/png' === $type,
            'images' === $question->fileKinds => str_starts_with($type, 'image/'),
            'pdf' === $question->fileKinds => 'application/pdf' === $type,
            default => true,
        };
    }

    /**
     * @param array<string, mixed> $answers
     * @param array<string, list<Upload>> $uploads
     */
    private function file(FormVersion $version, array $answers, array $uploads, Arriving $arriving, ?string $key, \DateTimeImmutable $now): Submission
    {
        $form = $version->definition();
        $readings = $this->reader->read($form, $answers);
        $submission = new Submission(
            $this->counter->next('A'),
            $version,
            $answers,
            mb_substr($readings->for(Destination::ClientName)->text ?? 'No name given', 0, 200),
            $readings->doubts(),
            $arriving->channel,
            $now,
            $this->facts->workingTime()->add($now, $form->promiseMinutes),
            $key,
            $arriving->origin,
            $arriving->continues,
        );
        $local = $now->setTimezone($this->facts->zone())->format('Y-m-d');
        if (EndingKind::Form === $form->ending($answers, $local)?->kind) {
            $submission->continueBy = $now->modify("+{$this->facts->business()->unfinishedMinutes} minutes");
        }
        $submission->sent = $arriving->sent;
        $submission->priority = Priority::of($readings, $local)->points();
        $submission->sameness = $this->twins->sameness($version->form, $readings, $uploads);
        $twin = $this->twins->before($submission, $now);
        if (null !== $twin) {
            $submission->sameAs = $twin;
            $twin->doubled = true;
            $submission->state = SubmissionState::SetAside;
            $submission->asideReason = 'duplicate';
            $submission->asideNote = "The same answers came before as {$twin->number}.";
            $submission->decidedAt = $now;
        }
        if (null !== $arriving->suspicion) {
            // Out of the way, never thrown away: she can put it back.
            $submission->state = SubmissionState::SetAside;
            $submission->asideReason = 'advertising';
            $submission->asideNote = $arriving->suspicion;
            $submission->decidedAt = $now;
        }
        $this->em->persist($submission);
        if (SubmissionState::Waiting === $submission->state) {
            $this->bus->dispatch(new LookAhead($submission->id));
            if (null !== $submission->continueBy) {
                // Looked at again when the long form should have come: a rule may wait for that.
                $this->bus->dispatch(new LookAhead($submission->id), [new DelayStamp(1000 * ($submission->continueBy->getTimestamp() - $now->getTimestamp() + 1))]);
            }
        }
        $this->finish($arriving->continues, $submission, $now);
        foreach ($uploads as $questionKey => $files) {
            $this->shelf->claim($files, $submission, $questionKey);
        }

        return $submission;
    }

    /** The short form is done once the long one is here: what it said is in the long one's plan. */
    private function finish(?Submission $short, Submission $long, \DateTimeImmutable $now): void
    {
        if (null === $short || SubmissionState::Waiting !== $long->state) {
            return;
        }
        $this->em->refresh($short);
        if (SubmissionState::Waiting === $short->state) {
            $short->state = SubmissionState::SetAside;
            $short->asideReason = 'continued';
            $short->asideNote = "Carried on in {$long->number}.";
            $short->decidedAt = $now;
        }
    }

    /**
     * The answers as written, without empty ones and those to questions that were not shown.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return array<string, mixed>
     */
    private static function kept(FormDefinition $form, array $answers, string $today): array
    {
        $kept = [];
        foreach ($form->shown($answers, $today) as $question) {
            $answer = $answers[$question->key] ?? null;
            if (\is_string($answer) && '' !== trim($answer)) {
                $kept[$question->key] = $answer;
            } elseif (\is_array($answer) && '' !== trim(AnswerText::of($question, $answer))) {
                $kept[$question->key] = array_is_list($answer) ? $answer : array_filter($answer, static fn (mixed $part): bool => \is_string($part) && '' !== trim($part));
            }
        }

        return $kept;
    }
}
