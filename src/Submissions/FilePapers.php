<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Files\Attachment;
use Telamon\Files\FileStore;
use Telamon\Messages\EnclosesPapers;
use Telamon\Messages\Message;

/** Files on record, and what somebody sent in, drawn when it is asked for. */
final readonly class FilePapers implements EnclosesPapers
{
    private const SHEET = 'sheet';

    public function __construct(private EntityManagerInterface $em, private FileStore $store, private SubmissionPdf $pdf)
    {
    }

    public function makes(): array
    {
        return [self::SHEET => 'their answers, as PDF'];
    }

    public function called(string $paper): ?string
    {
        return self::SHEET === $paper ? $this->makes()[self::SHEET] : $this->file($paper)?->name;
    }

    public function isForAnybody(string $paper): bool
    {
        $file = $this->file($paper);

        return self::SHEET === $paper || (null !== $file && null === $file->client && null === $file->project && null === $file->submission);
    }

    public function paper(string $paper, Message $message): ?array
    {
        if (self::SHEET === $paper) {
            $submission = null === $message->submissionId ? null : $this->em->find(Submission::class, $message->submissionId);

            return null === $submission ? null : ['name' => "{$submission->number}.pdf", 'type' => 'application/pdf', 'bytes' => $this->pdf->of($submission)];
        }
        $file = $this->file($paper);

        return null === $file ? null : ['name' => $file->name, 'type' => $file->file->type, 'bytes' => (string) stream_get_contents($this->store->open($file->file))];
    }

    private function file(string $id): ?Attachment
    {
        $file = 36 === \strlen($id) ? $this->em->find(Attachment::class, $id) : null;

        return null === $file || null !== $file->removedAt ? null : $file;
    }
}
