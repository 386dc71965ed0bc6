<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Files\Attachment;
use Telamon\Files\AttachmentShelf;
use Telamon\Messages\Enclosed;
use Telamon\Messages\Lacking;
use Telamon\Messages\Message;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\NotAllowed;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;

/** Files that go with letters: those of the client, and what is brought along, which is put with the record. Call it inside a change. */
final readonly class LetterFiles
{
    /** Megabytes; common practice: many mail servers take 25, and a file grows by a third in a mail (RFC 2045, section 6.8). */
    private const MOST_MEGABYTES = 15;

    public function __construct(private EntityManagerInterface $em, private AttachmentShelf $shelf, private Viewer $viewer, private Lacking $lacking)
    {
    }

    /**
     * @param MessageTemplate|null $template that it was written from
     *
     * @throws Refusal
     */
    public function enclose(Message $message, Edit $edit, ?MessageTemplate $template): void
    {
        if (null !== $template) {
            $along = $template->text()->enclosed;
            $message->carry(new Enclosed(array_values(array_intersect($along->papers, $edit->texts('papers', Enclosed::MOST, 36) ?? [])), $along->answersTo, $along->consent));
            if (!$this->lacking->isAllowed($message)) {
                throw new InvalidInput('to', (new NotAllowed($message))->getMessage());
            }
            if ('' !== $this->lacking->of($message)) {
                throw new InvalidInput('papers', 'Not everything that the template sends along is there: take out what is missing.');
            }
        }
        $files = [...$this->onRecord($edit->texts('files', Enclosed::MOST, 36) ?? [], $message->client), ...$this->bring($edit, $message->client, $message->project)];
        if (\count($files) > Enclosed::MOST) {
            throw new InvalidInput('files', 'At most '.Enclosed::MOST.' files go with a letter.');
        }
        if (array_sum(array_map(static fn (Attachment $file): int => $file->file->size, $files)) > self::MOST_MEGABYTES * 1024 * 1024) {
            throw new InvalidInput('files', 'Together they are larger than '.self::MOST_MEGABYTES.' MB; many mailboxes would refuse that. Take one out.');
        }
        foreach ($files as $file) {
            $message->encloseFile($file->id);
        }
    }

    /**
     * @return list<Attachment> what was uploaded, put with a record; with none where nobody is known
     *
     * @throws InvalidInput
     */
    public function bring(Edit $edit, ?Client $client, ?Project $project): array
    {
        $ids = $edit->texts('uploads', Enclosed::MOST, 36) ?? [];
        $brought = [];
        foreach ([] === $ids ? [] : $this->shelf->uploads($ids) ?? throw new InvalidInput('uploads', 'A file is no longer here. Add it again.') as $i => $upload) {
            $file = new Attachment($upload->file, $upload->name, null, '', $i + 1);
            if (null !== $client) {
                $file->putWith($client, $project, null);
            }
            $this->em->persist($file);
            $this->em->remove($upload);
            $brought[] = $file;
        }

        return $brought;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<Attachment>
     *
     * @throws InvalidInput
     */
    private function onRecord(array $ids, ?Client $client): array
    {
        $files = [];
        foreach ($ids as $id) {
            $file = $this->em->find(Attachment::class, $id);
            // Nobody gets another client's papers.
            if (null === $file || null === $client || null !== $file->removedAt || ($file->client ?? $file->project?->client) !== $client) {
                throw new InvalidInput('files', 'One of these files is not with this client any more. Take it out.');
            }
            $files[] = $this->viewer->read($file);
        }

        return $files;
    }
}
