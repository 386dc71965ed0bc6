<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Database\Ids;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[IsGranted(Permission::Work->value)]
final readonly class FileController
{
    public function __construct(private EntityManagerInterface $em, private FileAnswer $answer, private Viewer $viewer, private FilesOfRecords $files, private FilesByHand $byHand)
    {
    }

    /** Those of one client or one project, as far as whoever looks may read them. */
    #[Route('/api/files', methods: ['GET'])]
    public function list(Request $request): Response
    {
        [$client, $project] = [Query::id($request, 'client'), Query::id($request, 'project')];

        return new JsonResponse(['items' => match (true) {
            null !== $client => $this->files->ofClient($client),
            null !== $project => $this->files->ofProject($project),
            default => throw Problem::invalid('client', 'Say whose files: a client’s or a project’s.'),
        }]);
    }

    #[Route('/api/files', methods: ['POST'])]
    public function add(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $edit = new Edit(JsonBody::read($request));
        if ($edit->has('client') && !$edit->has('project') && !$this->viewer->may(Permission::EditClients)) {
            throw new Problem(403, 'Not allowed', 'Put it with a project that you work on.');
        }

        $key = IdempotencyKey::of($request);

        return new JsonResponse(
            ['items' => array_map(
                static fn (Attachment $file): array => $file->toArray(),
                $this->byHand->add($edit, $staff, null === $key ? null : Ids::named($staff->id, $key, $request->getContent())),
            )],
            201,
        );
    }

    #[Route('/api/files/{id}', methods: ['PUT'])]
    public function describe(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $file = $this->mine($id, $staff);
        $this->byHand->describe($file, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($file->toArray());
    }

    #[Route('/api/files/{id}', methods: ['DELETE'])]
    public function remove(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->byHand->remove($this->mine($id, $staff), $staff);

        return new Response('', 204);
    }

    /** One that whoever asks may change: of a project they lead, or any. */
    private function mine(string $id, Staff $staff): Attachment
    {
        $file = $this->viewer->read($this->em->find(Attachment::class, $id) ?? throw Problem::notFound('file'));

        return $file->project?->lead === $staff || $this->viewer->may(Permission::LeadAny)
            ? $file
            : throw new Problem(403, 'Not allowed', 'Whoever leads the project can change its files.');
    }

    #[Route('/api/files/{id}', methods: ['GET'])]
    public function show(string $id, Request $request): Response
    {
        return $this->answer->of($this->viewer->read($this->em->find(Attachment::class, $id) ?? throw Problem::notFound('file')), $request);
    }
}
