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
     * @param list<array{name: string, type: string, bytes: string, why: string}> $attachments
     *
     * @return array{list<string>, list<array{name: string, type: string, size: int, why: string}>} ids of uploads; every part, with why it is not kept
     */
    public function keep(array $attachments): array
    {
        $kept = $parts = [];
        foreach ($attachments as $one) {
            $why = $one['why'];
            $name = FileKind::safeName('' === $one['name'] ? 'attachment' : $one['name']);
            if ('' === $why) {
                $path = (string) tempnam(sys_get_temp_dir(), 'mail');
                try {
                    file_put_contents($path, $one['bytes']);
                    $upload = new Upload($this->store->keep($path), $name, $this->clock->now());
                    $this->em->persist($upload);
                    $this->em->flush();
                    $kept[] = $upload->id;
                } catch (FileNotTaken) {
                    // It stays in the letter, which is kept whole.
                    $why = 'only photographs and PDF files are put with records; it is in the letter itself';
                } finally {
                    @unlink($path);
                }
            }
            $parts[] = ['name' => $name, 'type' => mb_substr($one['type'], 0, 100), 'size' => \strlen($one['bytes']), 'why' => $why];
        }

        return [$kept, $parts];
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
