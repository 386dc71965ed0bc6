<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Files\Attachment;
use Telamon\Files\FileKind;
use Telamon\Files\FileStore;
use Telamon\Files\StoredFile;
use Telamon\Journal\Change;
use Telamon\Journal\Changes;
use Telamon\Messages\Message;

/** Draws papers of quotes and agreements, and puts them where they belong: on file, and with the letter that waits for one. Once each, however often it is asked. */
#[AsMessageHandler]
final readonly class KeepPaperHandler
{
    public function __construct(private EntityManagerInterface $em, private FileStore $store, private SignedPapers $papers, private Changes $changes)
    {
    }

    public function __invoke(KeepPaper $command): void
    {
        $of = $this->em->find($command->isAgreement ? Agreement::class : Quote::class, $command->of);
        if (null === $of || $this->isDone($command)) {
            return;
        }
        // Drawn before anything is locked.
        $signed = $this->em->find(Signed::class, $command->of);
        $stored = null !== $signed
            ? $this->papers->file($signed, $of)
            : $this->store->keepMade($of instanceof Agreement ? $this->papers->agreement($of) : $this->papers->quote($of), 'application/pdf');
        $record = '' === ($signed->evidence ?? '') ? null : $this->store->keepMade($this->papers->evidence($command->of), SignedPapers::RECORD);
        $change = $this->em->find(Change::class, $command->changeId);
        if (null === $change) {
            return;
        }
        $this->changes->carryOut($change, function () use ($command, $of, $stored, $record, $signed, $change): void {
            $this->em->refresh($change);
            if ((null !== $change->undoneAt && null === $signed) || $this->isDone($command)) {
                return;
            }
            $message = '' === $command->message ? null : $this->em->find(Message::class, $command->message);
            $message?->paperIsThere($this->put($stored, $command->name, $of, null !== $signed)->id);
            if (null !== $record) {
                $with = $this->put($record, pathinfo($command->name, \PATHINFO_FILENAME).'-evidence.json', $of, true);
                $message?->encloseFile($with->id);
            }
        });
    }

    private function put(StoredFile $stored, string $name, Quote|Agreement $of, bool $isSigned): Attachment
    {
        $file = new Attachment($stored, FileKind::safeName($name), null, '', 1);
        $file->putWith($of->client, $of->project, null);
        if ($isSigned) {
            $file->beSigned();
        }
        $this->em->persist($file);

        return $file;
    }

    /** Whether its letter has its paper, or no letter waits and a paper of that name is there. */
    private function isDone(KeepPaper $command): bool
    {
        $message = '' === $command->message ? null : $this->em->find(Message::class, $command->message);

        return null !== $message ? !$message->awaitsPaper() : false !== $this->em
            ->getConnection()
            ->fetchOne(
                'SELECT 1 FROM journal_entry WHERE change_id = ? AND record_kind = ? AND record_label = ?',
                [$command->changeId, 'file', FileKind::safeName($command->name)],
            );
    }
}
