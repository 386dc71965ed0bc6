<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Business\Profile;
use Telamon\Business\Service;
use Telamon\Core\Answers\AnswerCheck;
use Telamon\Core\Answers\Priority;
use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\EndingKind;
use Telamon\Core\Form\Faults;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\Signature;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readings;
use Telamon\Core\Planning\AskedService;
use Telamon\Database\Counter;
use Telamon\Files\AttachmentShelf;
use Telamon\Files\Upload;
use Telamon\Forms\FormVersion;
use Telamon\Forms\PublishedForms;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;

/** Takes a filled-in form: checks it, and puts it on file once. */
final readonly class Receiver
{
    /** Why it is out of the way where the form itself told them that it is not for us. */
    private const AWAY = 'sent-away';

    public function __construct(
        private EntityManagerInterface $em,
        private AnswerCheck $check,
        private SubmissionReader $reader,
        private MessageBusInterface $bus,
        private AttachmentShelf $shelf,
        private Profile $business,
        private Changes $changes,
        private Counter $counter,
        private ClockInterface $clock,
        private Twins $twins,
        private PublishedForms $forms,
        private AnswerCopy $copy,
        private TellAtOnce $tell,
        private BookingBegun $booking,
    ) {
    }

    /**
     * @param array<array-key, mixed> $answers by question key
     *
     * @throws Refusal with a violation for each answer that needs another look
     */
    public function receive(FormVersion $version, array $answers, Arriving $arriving): Submission
    {
        $key = null === $arriving->key || '' === $arriving->key ? null : hash('sha256', $arriving->key);
        // A letter that is taken in again has its files kept again, under other ids: the same bytes are the same sending.
        $digest = self::digest($arriving->asFound ? $this->byHash($answers) : $answers);
        $known = $this->known($version, $key, $digest);
        if (null !== $known) {
            return $known;
        }
        $now = $this->clock->now();
        $form = $version->definition();
        $violations = array_map(
            static fn ($violation): array => ['path' => $violation->path, 'message' => $violation->message],
            // On the phone not everything is asked, and what only staff are asked is.
            $this->check->check($form, $answers, $now->setTimezone($this->business->zone()), $arriving->isLenient(), !$arriving->isLenient()),
        );
        self::refuse($violations);
        $kept = self::kept($form, $answers, $now->setTimezone($this->business->zone())->format('Y-m-d'), $arriving->isLenient());
        if ($arriving->isLenient() && [] === $kept) {
            throw new InvalidAnswers([['path' => 'answers', 'message' => 'Write something down first.']]);
        }

        return $this->changes->carryOut(
            null === $arriving->by ? Act::of(
                ChangeKind::Receive,
                $arriving->asFound ? 'received a letter' : 'received a form',
            ) : Act::of(ChangeKind::WriteDown, 'wrote an inquiry down', $arriving->by),
            // Looked for again under the write lock: the same key may have come twice at the same moment.
            fn (): Submission => $this->known($version, $key, $digest) ?? $this->file($version, $kept, $arriving, $key, $digest, $now),
        );
    }

    /**
     * @param list<array{path: string, message: string}> $violations
     *
     * @throws Refusal where there are any
     */
    private static function refuse(array $violations): void
    {
        if ([] !== $violations) {
            throw new InvalidAnswers($violations);
        }
    }

    /**
     * What a sending said, whatever order it was said in.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return string SHA-256 in hexadecimal
     */
    private static function digest(array $answers): string
    {
        ksort($answers);

        return hash('sha256', json_encode($answers, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /**
     * @param array<array-key, mixed> $answers
     *
     * @return array<array-key, mixed> with the hash of each file in the place of its id
     */
    private function byHash(array $answers): array
    {
        $of = fn (mixed $id): mixed => \is_string($id) ? $this->em->find(Upload::class, $id)->file->sha256 ?? $id : $id;

        return array_map(static fn (mixed $answer): mixed => \is_array($answer) ? array_map($of, $answer) : $answer, $answers);
    }

    /** @throws Refusal when the key came before with other answers */
    private function known(FormVersion $version, ?string $key, string $digest): ?Submission
    {
        if (null === $key) {
            return null;
        }
        $row = $this->em->getConnection()->fetchOne(
            'SELECT s.id FROM submission s JOIN form_version v ON v.id = s.form_version_id WHERE v.form_id = ? AND s.idempotency_key = ?',
            [$version->form->id, $key],
        );

        $known = \is_string($row) ? $this->em->find(Submission::class, $row) : null;
        if (null !== $known && '' !== $known->digest && $known->digest !== $digest) {
            throw new SentBefore("Something else came under this key before, as {$known->number}. Send this one under a key of its own.");
        }

        return $known;
    }

    /**
     * The files that came with the answers to questions that were shown. Looked up under the write lock: one upload
     * serves one submission.
     *
     * @param array<string, mixed> $kept
     *
     * @return array<string, list<Upload>> by question key
     *
     * @throws Refusal when one of them is gone, or does not fit
     */
    private function uploads(FormDefinition $form, array $kept): array
    {
        $uploads = [];
        $violations = [];
        $taken = [];
        foreach ($form->questions() as $question) {
            $ids = $question->type->isFiles() || $question->type instanceof Signature ? self::uploadIds($question, $kept[$question->key] ?? []) : [];
            if ([] === $ids) {
                continue;
            }
            $found = [] === array_intersect($ids, $taken) ? $this->shelf->uploads($ids) : null;
            array_push($taken, ...$ids);
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
        self::refuse($violations);

        return $uploads;
    }

    /** @return list<string> */
    private static function uploadIds(Question $question, mixed $answer): array
    {
        if (!\is_array($answer)) {
            return [];
        }
        $ids = $question->type instanceof Signature ? ('drawn' === ($answer['how'] ?? null) ? [$answer['image'] ?? null] : []) : $answer;

        return array_values(array_unique(array_filter($ids, static fn (mixed $id): bool => \is_string($id) && '' !== $id)));
    }

    private static function fits(Question $question, string $type): bool
    {
        return match (true) {
            $question->type instanceof Signature => 'image/png' === $type,
            'images' === $question->fileKinds => str_starts_with($type, 'image/'),
            'pdf' === $question->fileKinds => 'application/pdf' === $type,
            default => true,
        };
    }

    /** @return int|null working minutes that the service asked for promises; null where the form's promise counts */
    private function promise(Readings $readings): ?int
    {
        $service = AskedService::of($readings->for(Destination::ProjectService), $this->business->serviceNames());

        return '' === $service ? null : $this->em->getRepository(Service::class)->findOneBy(['key' => $service, 'retired' => false])?->promiseMinutes;
    }

    /**
     * @param array<string, mixed> $answers
     *
     * @throws Refusal where the form has had all it takes, 422 for files that are gone
     */
    private function file(FormVersion $version, array $answers, Arriving $arriving, ?string $key, string $digest, \DateTimeImmutable $now): Submission
    {
        $form = $version->definition();
        if (null === $arriving->suspicion && !$arriving->isLenient()) {
            $this->forms->refuseClosed($version->form, $now);
        }
        $uploads = $this->uploads($form, $answers);
        $readings = $this->reader->read($form, $answers, $now->setTimezone($this->business->zone()));
        $submission = new Submission(
            $this->counter->next('A'),
            $version,
            $answers,
            mb_substr($readings->for(Destination::ClientName)->text ?? 'No name given', 0, 200),
            $readings->doubts(),
            $arriving->channel,
            $now,
            $this->business->workingTime()->add($now, min($this->promise($readings) ?? $form->promiseMinutes, Faults::LONGEST_PROMISE)),
            $key,
            $arriving->origin,
            $arriving->continues,
        );
        $local = $now->setTimezone($this->business->zone())->format('Y-m-d');
        // Another form is to follow, or a time is to be chosen.
        $ending = $this->booking->ending($form->ending($answers, $local), $version, $arriving->bookingPage);
        if (\in_array($ending?->kind, [EndingKind::Form, EndingKind::Booking], true) && !$arriving->isLenient()) {
            $submission->waitForMore($now->modify("+{$this->business->business()->unfinishedMinutes} minutes"));
        }
        $submission->keepWith($digest, $arriving->sent, Priority::of($readings, $local)->points(), $this->twins->sameness($version->form, $readings, $uploads));
        if ($arriving->answered && null !== $arriving->by) {
            $submission->answer($arriving->by, $now);
        }
        // What a person wrote down knowingly is no slip of a finger.
        $twin = null === $arriving->by ? $this->twins->before($submission, $now) : null;
        if (null !== $twin) {
            $submission->setAside('duplicate', "The same answers came before as {$twin->number}.", $now, same: $twin);
        }
        if (!$arriving->isLenient() && null === $twin && true === $ending?->sendsAway) {
            $submission->setAside(self::AWAY, 'The form told them that it is not for us; nobody owes an answer.', $now);
        }
        if (null !== $arriving->suspicion) {
            // Out of the way, never thrown away: she can put it back.
            $submission->setAside('advertising', $arriving->suspicion, $now, same: $submission->sameAs);
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
        if (null === $arriving->suspicion && !$arriving->isLenient()) {
            $this->copy->send($submission, $readings, $form, $now);
        }
        if (SubmissionState::Waiting === $submission->state && !$arriving->isLenient()) {
            $this->tell->tell($submission, $form, $now);
        }

        return $submission;
    }

    /** The short form is done once the long one is here: what it said is in the long one's plan. */
    private function finish(?Submission $short, Submission $long, \DateTimeImmutable $now): void
    {
        // Whoever the long one sends away was sent away: nobody owes the short one an answer either.
        $isAway = self::AWAY === $long->asideReason;
        if (null === $short || (SubmissionState::Waiting !== $long->state && !$isAway)) {
            return;
        }
        $this->em->refresh($short);
        if (SubmissionState::Waiting === $short->state) {
            $short->setAside($isAway ? self::AWAY : 'continued', "Carried on in {$long->number}.", $now);
        }
    }

    /**
     * The answers as written, without empty ones and those to questions that were not shown.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return array<string, mixed>
     */
    private static function kept(FormDefinition $form, array $answers, string $today, bool $staff): array
    {
        $kept = [];
        foreach ($form->shown($answers, $today, $staff) as $question) {
            $answer = $answers[$question->key] ?? null;
            if (\is_string($answer) && '' !== trim($answer)) {
                $kept[$question->key] = $answer;
            } elseif (\is_array($answer) && '' !== trim($question->type->text($question, $answer))) {
                $kept[$question->key] = array_is_list($answer) ? $answer : array_filter($answer, static fn (mixed $part): bool => \is_string($part) && '' !== trim($part));
            }
        }

        return $kept;
    }
}
