<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Kinds\Signature;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Text\Fold;
use Telamon\Files\Upload;
use Telamon\Forms\Form;
use Telamon\Tasks\TaskCounts;

/** Recognises a form that was filled in twice with the same answers: that is one submission, not two. */
final readonly class Twins
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private TaskCounts $tasks)
    {
    }

    /**
     * What equal answers share, whatever capitals and blanks they were typed with. Files count by their bytes.
     *
     * @param array<string, list<Upload>> $uploads by question key
     *
     * @return string empty where nothing in it tells who wrote: two people may well say the same to two questions
     */
    public function sameness(Form $form, Readings $readings, array $uploads): string
    {
        if (null === ($readings->for(Destination::ClientEmail) ?? $readings->for(Destination::ClientPhone))?->value) {
            return '';
        }
        $said = [$form->id];
        foreach ($readings->all as $reading) {
            $said[] = $reading->question->key."\n".$reading->line."\n".self::plain($reading);
        }
        foreach ($uploads as $key => $files) {
            $said[] = $key."\n".implode(' ', array_map(static fn (Upload $upload): string => $upload->file->sha256, $files));
        }

        return hash('sha256', implode("\n\n", $said));
    }

    /**
     * The first that said the same, within the time in which work is taken up again, and waits or is being worked on. One
     * that was thrown out, or whose work is done, is another matter.
     */
    public function before(Submission $submission, \DateTimeImmutable $now): ?Submission
    {
        if ('' === $submission->sameness) {
            return null;
        }
        $since = $now->modify("-{$this->business->business()->againDays} days");
        /** @var list<Submission> $found */
        $found = $this->em->createQueryBuilder()->select('s')->from(Submission::class, 's')
            ->where('s.sameness = :sameness')->andWhere('s.receivedAt >= :since')->andWhere('s.state <> :aside')
            ->setParameter('sameness', $submission->sameness)->setParameter('since', $since, 'datetime_immutable')->setParameter('aside', SubmissionState::SetAside->value)
            ->orderBy('s.receivedAt', 'ASC')->setMaxResults(10)->getQuery()->getResult();
        foreach ($found as $earlier) {
            if (SubmissionState::Waiting === $earlier->state || (null !== $earlier->project && $this->tasks->isUnderWay($earlier->project))) {
                return $earlier;
            }
        }

        return null;
    }

    private static function plain(Reading $reading): string
    {
        if ($reading->question->type->isFiles() || $reading->question->type instanceof Signature) {
            return '';
        }
        $value = \is_array($reading->value) ? implode("\n", $reading->value) : $reading->value ?? $reading->text;
        $folded = Fold::text($value);

        return '' === $folded ? $value : $folded;
    }
}
