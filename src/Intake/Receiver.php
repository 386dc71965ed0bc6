<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Form\AnswerCheck;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\FormDefinition;
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
        private AttachmentShelf $shelf,
        private BusinessFacts $facts,
        private Changes $changes,
        private Counter $counter,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<array-key, mixed> $answers by question key
     * @param string|null $key the same key again gives the same submission
     *
     * @param string|null $suspicion why it is set aside at once, as what looks unwanted
     *
     * @throws Problem 422 with a violation for each answer that needs another look
     */
    public function receive(FormVersion $version, array $answers, string $channel, ?string $key, ?string $suspicion = null): Submission
    {
        $key = null === $key || '' === $key ? null : hash('sha256', $key);
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
            fn (): Submission => $this->known($version, $key) ?? $this->file($version, $kept, $uploads, $channel, $key, $now, $suspicion),
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
            if (QuestionType::Files !== $question->type) {
                continue;
            }
            $answer = $answers[$question->key] ?? [];
            $found = $this->shelf->uploads(\is_array($answer) ? array_values(array_unique(array_filter($answer, \is_string(...)))) : []);
            if (null === $found) {
                $violations[] = ['path' => $question->key, 'message' => 'A file is no longer here. Add it again.'];
            } elseif ([] !== array_filter($found, static fn (Upload $upload): bool => $upload->file->size > $question->maxBytes)) {
                $violations[] = ['path' => $question->key, 'message' => \sprintf('A file has more than %d MB. Send a smaller one.', intdiv($question->maxBytes, 1_048_576))];
            } else {
                $uploads[$question->key] = $found;
            }
        }

        return $uploads;
    }

    /**
     * @param array<string, mixed> $answers
     * @param array<string, list<Upload>> $uploads
     */
    private function file(FormVersion $version, array $answers, array $uploads, string $channel, ?string $key, \DateTimeImmutable $now, ?string $suspicion): Submission
    {
        $form = $version->definition();
        $readings = $this->reader->read($form, $answers);
        $submission = new Submission(
            $this->counter->next('A'),
            $version,
            $answers,
            mb_substr($readings->for(Destination::ClientName)->text ?? 'No name given', 0, 200),
            $readings->doubts(),
            $channel,
            $now,
            $this->facts->workingTime()->add($now, $form->promiseMinutes),
            $key,
        );
        if (null !== $suspicion) {
            // Out of the way, never thrown away: she can put it back.
            $submission->state = SubmissionState::SetAside;
            $submission->asideReason = 'advertising';
            $submission->asideNote = $suspicion;
            $submission->decidedAt = $now;
        }
        $this->em->persist($submission);
        foreach ($uploads as $questionKey => $files) {
            $this->shelf->claim($files, $submission, $questionKey);
        }

        return $submission;
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
            } elseif (\is_array($answer) && [] !== $answer) {
                $kept[$question->key] = array_values($answer);
            }
        }

        return $kept;
    }
}
