<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Puts files with clients and projects by hand, names them, notes something beside them, and removes them: the bytes stay as long as undo may want them. */
final readonly class FilesByHand
{
    private const MOST = 20;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private AttachmentShelf $shelf, private Viewer $viewer, private ClockInterface $clock)
    {
    }

    /**
     * @param string|null $sending by which the same one is known again: what went through once is not put there twice
     *
     * @return list<Attachment>
     *
     * @throws Refusal
     */
    public function add(Edit $edit, Staff $staff, ?string $sending = null): array
    {
        $ids = $edit->texts('uploads', self::MOST, 36) ?? [];
        if ([] === $ids) {
            throw new InvalidInput('uploads', 'Choose a file first.');
        }
        [$client, $project] = $this->home($edit);
        $to = $project ?? $client;
        $words = 1 === \count($ids) ? 'put a file with ' : 'put '.\count($ids).' files with ';

        return $this->changes->carryOut($this->change($words.$to->recordLabel(), $client, $project, $staff), function () use ($ids, $client, $project, $sending): array {
            $known = null === $sending ? [] : array_map(static fn (int $i): string => Ids::named($sending, (string) $i), array_keys($ids));
            $there = [] === $known ? [] : $this->em->getRepository(Attachment::class)->findBy(['id' => $known], ['position' => 'ASC']);
            if ([] !== $there) {
                return $there;
            }
            // Looked up under the write lock: one upload serves one record.
            $uploads = $this->shelf->uploads($ids) ?? throw new InvalidInput('uploads', 'A file is no longer here. Add it again.');
            $added = [];
            foreach ($uploads as $i => $upload) {
                $file = new Attachment($upload->file, $upload->name, null, '', $i + 1, $known[$i] ?? null);
                $file->putWith($client, $project, null);
                $this->em->persist($file);
                $this->em->remove($upload);
                $added[] = $file;
            }

            return $added;
        });
    }

    /** @throws Refusal */
    public function describe(Attachment $file, Edit $edit, Staff $staff): void
    {
        $name = $edit->text('name', 200) ?? $file->name;
        if ('' === $name) {
            throw new InvalidInput('name', 'A file has a name.');
        }
        $note = $edit->text('note', 500) ?? $file->note;
        $office = $edit->yes('forOffice') ?? $file->forOffice;
        $this->changes->carryOut(
            $this->change("described {$file->name}", $file->client, $file->project, $staff),
            static fn () => $file->describe(FileKind::safeName($name), $note, $office),
        );
    }

    public function remove(Attachment $file, Staff $staff): void
    {
        $this->changes->carryOut($this->change("removed {$file->name}", $file->client, $file->project, $staff)->looking($file), function () use ($file): void {
            if (null !== $file->removedAt) {
                throw new NotThere('file');
            }
            if (null !== $file->staysBecause()) {
                throw new SignedFile();
            }
            $file->beRemoved($this->clock->now());
        });
    }

    /**
     * @return array{Client, Project|null}
     *
     * @throws Refusal
     */
    private function home(Edit $edit): array
    {
        $project = $edit->text('project', 36);
        if (null !== $project) {
            $found = $this->viewer->read($this->em->find(Project::class, $project) ?? throw new NotThere('project'));

            return [$found->client, $found];
        }
        $client = $this->viewer->read($this->em->find(Client::class, $edit->text('client', 36) ?? '') ?? throw new NotThere('client'));

        return [$client->mergedInto ?? $client, null];
    }

    private function change(string $words, ?Client $client, ?Project $project, Staff $staff): Act
    {
        $about = $project ?? $client;

        return Act::of(ChangeKind::Edit, $words, $staff)->about($about);
    }
}
