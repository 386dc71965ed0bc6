<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Files\Attachment;
use Telamon\Files\AttachmentShelf;
use Telamon\Files\FileStore;
use Telamon\Journal\Change;
use Telamon\Journal\Changes;

/** Keeps submissions as received with their projects. Drawing a PDF takes a while, so the worker does it. */
final readonly class Sheets
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private SubmissionPdf $pdf,
        private FileStore $files,
        private AttachmentShelf $shelf,
    ) {
    }

    #[AsMessageHandler]
    public function keep(KeepSheet $asked): void
    {
        $change = $this->em->find(Change::class, $asked->changeId);
        $submission = $this->em->find(Submission::class, $asked->submissionId);
        if (null === $change || null === $submission || null !== $change->undoneAt) {
            return;
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        try {
            file_put_contents($path, $this->pdf->of($submission));
            $this->changes->carryOut($change, function () use ($change, $submission, $path): void {
                $this->em->refresh($change);
                $this->em->refresh($submission);
                // Asked again after a worker died, or taken back meanwhile: there is nothing more to do.
                if (null !== $change->undoneAt || (null === $submission->project && null === $submission->client) || [] !== $this->shelf->of($submission->id, Attachment::SHEET)) {
                    return;
                }
                $file = new Attachment($this->files->keep($path), "{$submission->number} as received.pdf", $submission, Attachment::SHEET, 1);
                $this->shelf->putWith($file, $submission->client, $submission->project, null);
                $this->em->persist($file);
            });
        } finally {
            @unlink($path);
        }
    }
}
