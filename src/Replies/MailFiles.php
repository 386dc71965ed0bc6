<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Clients\Client;
use Telamon\Files\Attachment;
use Telamon\Files\AttachmentShelf;
use Telamon\Files\FileKind;
use Telamon\Files\FileNotTaken;
use Telamon\Files\FileStore;
use Telamon\Files\Upload;
use Telamon\Projects\Project;

/** The files that came with a mail: kept at once, put with a record afterwards. Kinds that are not taken stay in the mail itself. */
final readonly class MailFiles
{
    public function __construct(private FileStore $store, private AttachmentShelf $shelf, private EntityManagerInterface $em, private ClockInterface $clock)
    {
    }

    /**
     * @param list<array{name: string, type: string, bytes: string}> $attachments
     *
     * @return list<string> ids of uploads
     */
    public function keep(array $attachments): array
    {
        $kept = [];
        foreach ($attachments as $one) {
            $path = (string) tempnam(sys_get_temp_dir(), 'mail');
            try {
                file_put_contents($path, $one['bytes']);
                $upload = new Upload($this->store->keep($path), FileKind::safeName('' === $one['name'] ? 'attachment' : $one['name']), $this->clock->now());
                $this->em->persist($upload);
                $this->em->flush();
                $kept[] = $upload->id;
            } catch (FileNotTaken) {
                // It stays in the mail, which is kept whole.
            } finally {
                @unlink($path);
            }
        }

        return $kept;
    }

    /**
     * Call it inside a change.
     *
     * @param list<string> $uploads
     */
    public function putWith(array $uploads, ?Client $client, ?Project $project): void
    {
        $found = null === $client ? null : $this->shelf->uploads($uploads);
        foreach ($found ?? [] as $i => $upload) {
            $file = new Attachment($upload->file, $upload->name, null, '', $i + 1);
            $file->putWith($client, $project, null);
            $this->em->persist($file);
            $this->em->remove($upload);
        }
    }
}
