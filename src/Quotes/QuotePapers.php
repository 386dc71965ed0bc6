<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Files\Attachment;
use Telamon\Files\FileStore;
use Telamon\Messages\EnclosesPapers;

/** Files on record, for the mails that they go with. */
final readonly class QuotePapers implements EnclosesPapers
{
    public function __construct(private EntityManagerInterface $em, private FileStore $store)
    {
    }

    public function paper(string $id): ?array
    {
        $file = $this->em->find(Attachment::class, $id);

        return null === $file ? null : ['name' => $file->name, 'type' => $file->file->type, 'bytes' => (string) stream_get_contents($this->store->open($file->file))];
    }
}
