<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Files\Attachment;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageTemplate;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Files of templates: kept first, and named by a version when it is saved, so that an earlier one still has its own. */
#[IsGranted(Permission::Write->value)]
final readonly class TemplateFilesController
{
    public function __construct(private EntityManagerInterface $em, private LetterFiles $files, private Changes $changes)
    {
    }

    #[Route('/api/templates/{id}/files', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function add(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $template = $this->em->find(MessageTemplate::class, $id) ?? throw Problem::notFound('template');
        $edit = new Edit(JsonBody::read($request));
        $act = Act::of(ChangeKind::Settings, "kept a file for the template “{$template->name}”", $staff)->on('business', $template->id, $template->name);
        $brought = $this->changes->carryOut($act, fn (): array => $this->files->bring($edit, null, null) ?: throw new InvalidInput('uploads', 'Choose a file first.'));

        return new JsonResponse(['items' => array_map(static fn (Attachment $file): array => $file->toArray(), $brought)], 201);
    }
}
