<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Importing\ClientField;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/client-imports')]
#[IsGranted(Permission::Import->value)]
final readonly class ImportController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(private EntityManagerInterface $em, private ImportRuns $runs)
    {
    }

    #[Route('', methods: ['POST'])]
    public function take(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            throw Problem::invalid('file', 'Send one file of at most 10 MB, named “file”.');
        }
        try {
            return new JsonResponse($this->runs->take($file->getPathname(), $file->getClientOriginalName(), $staff)->toArray(), 201);
        } catch (FileNotRead $error) {
            throw Problem::invalid('file', $error->getMessage());
        }
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->get($id)->toArray());
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function map(string $id, Request $request): Response
    {
        $run = $this->get($id);
        $given = JsonBody::read($request)['fields'] ?? null;
        if (!\is_array($given) || \count($given) !== \count($run->heads)) {
            throw Problem::invalid('fields', 'Send a field, or nothing, for each column.');
        }
        $fields = array_map(
            static fn (mixed $field): string => '' === $field ? '' : ClientField::tryFrom(\is_string($field) ? $field : '?')->value ?? throw Problem::invalid('fields', 'Choose among the fields.'),
            array_values($given),
        );
        try {
            $this->runs->map($run, $fields);
        } catch (FileNotRead $error) {
            throw Problem::invalid('file', $error->getMessage());
        }

        return new JsonResponse($run->toArray());
    }

    #[Route('/{id}/carry-out', requirements: ['id' => self::ID], methods: ['POST'])]
    public function carryOut(string $id): Response
    {
        $run = $this->get($id);
        $this->runs->begin($run);

        return new JsonResponse($run->toArray());
    }

    private function get(string $id): ClientImportRun
    {
        return $this->em->find(ClientImportRun::class, $id) ?? throw Problem::notFound('import');
    }
}
