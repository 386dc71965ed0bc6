<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Projects\Project;

/** Moves files to where they belong: from uploads to a submission, from there to records. */
final readonly class AttachmentShelf
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<string> $ids
     *
     * @return list<Upload>|null null when one of them is not there (any more)
     */
    public function uploads(array $ids): ?array
    {
        $found = [] === $ids ? [] : $this->em->getRepository(Upload::class)->findBy(['id' => $ids]);
        $byId = [];
        foreach ($found as $upload) {
            $byId[$upload->id] = $upload;
        }
        $uploads = [];
        foreach ($ids as $id) {
            if (!isset($byId[$id])) {
                return null;
            }
            $uploads[] = $byId[$id];
        }

        return $uploads;
    }

    /** @param list<Upload> $uploads */
    public function claim(array $uploads, FileSource $submission, string $questionKey): void
    {
        foreach ($uploads as $i => $upload) {
            $this->em->persist(new Attachment($upload->file, $upload->name, $submission, $questionKey, $i + 1));
            $this->em->remove($upload);
        }
    }

    /** @return list<Attachment> what a submission brought, in the order sent */
    public function of(string $submissionId, ?string $questionKey = null): array
    {
        return $this->em->getRepository(Attachment::class)->findBy(
            ['submission' => $submissionId] + (null === $questionKey ? [] : ['questionKey' => $questionKey]),
            ['questionKey' => 'ASC', 'position' => 'ASC'],
        );
    }

    public function putWith(Attachment $attachment, ?Client $client, ?Project $project, ?Asset $asset): void
    {
        $attachment->putWith($client, $project, $asset);
    }
}
