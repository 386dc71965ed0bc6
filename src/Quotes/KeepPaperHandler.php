<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Files\Attachment;
use Telamon\Files\FileKind;
use Telamon\Files\FileStore;
use Telamon\Journal\Change;
use Telamon\Journal\Changes;
use Telamon\Messages\Message;

/** Draws papers of quotes and agreements, and puts them where they belong: on file, and with the letter that waits for one. Once each, however often it is asked. */
#[AsMessageHandler]
final readonly class KeepPaperHandler
{
    public function __construct(private EntityManagerInterface $em, private FileStore $store, private QuotePdf $pdf, private Changes $changes)
    {
    }

    public function __invoke(KeepPaper $command): void
    {
        $of = $this->em->find($command->isAgreement ? Agreement::class : Quote::class, $command->of);
        if (null === $of || $this->isDone($command)) {
            return;
        }
        // Drawn before anything is locked.
        $bytes = $of instanceof Agreement ? $this->pdf->ofAgreement($of) : $this->pdf->of($of);
        $path = tempnam(sys_get_temp_dir(), 'paper') ?: throw new \RuntimeException('nothing can be written');
        try {
            file_put_contents($path, $bytes);
            $stored = $this->store->keep($path);
        } finally {
            @unlink($path);
        }
        $change = $this->em->find(Change::class, $command->changeId);
        if (null === $change) {
            return;
        }
        $this->changes->carryOut($change, function () use ($command, $of, $stored, $change): void {
            $this->em->refresh($change);
            if (null !== $change->undoneAt || $this->isDone($command)) {
                return;
            }
            $file = new Attachment($stored, FileKind::safeName($command->name), null, '', 1);
            $file->putWith($of->client, $of->project, null);
            $this->em->persist($file);
            $message = '' === $command->message ? null : $this->em->find(Message::class, $command->message);
            $message?->paperIsThere($file->id);
        });
    }

    /** Whether its letter has its paper, or no letter waits and a paper of that name is there. */
    private function isDone(KeepPaper $command): bool
    {
        $message = '' === $command->message ? null : $this->em->find(Message::class, $command->message);

        return null !== $message ? !$message->awaitsPaper() : false !== $this->em->getConnection()->fetchOne('SELECT 1 FROM journal_entry WHERE change_id = ? AND record_kind = ? AND record_label = ?', [$command->changeId, 'file', FileKind::safeName($command->name)]);
    }
}
