<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/templates')]
#[IsGranted(Permission::Write->value)]
final readonly class TemplateController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private TemplateChanges $changes,
        private TemplateView $view,
        private TemplatePreview $preview,
        private MessageQueue $queue,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return new JsonResponse(['items' => $this->view->rows()]);
    }

    #[Route('', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->whole($this->changes->make(JsonBody::read($request), $staff)), 201);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->get($id)));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $template = $this->get($id);
        $this->changes->change($template, JsonBody::read($request), $staff);

        return new JsonResponse($this->view->whole($template));
    }

    #[Route('/{id}/retire', requirements: ['id' => self::ID], methods: ['POST'])]
    public function retire(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $template = $this->get($id);
        $this->changes->retire($template, true === (JsonBody::read($request)['retired'] ?? null), $staff);

        return new JsonResponse($this->view->whole($template));
    }

    #[Route('/{id}/goes', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::SetUp->value)]
    public function turn(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $template = $this->get($id);
        $this->changes->turn($template, true === (JsonBody::read($request)['goes'] ?? null), $staff);

        return new JsonResponse($this->view->whole($template));
    }

    #[Route('/{id}/versions/{version}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function version(string $id, string $version): Response
    {
        $kept = $this->em->getRepository(TemplateVersion::class)->findOneBy(['template' => $this->get($id), 'version' => (int) $version]) ?? throw Problem::notFound('version');

        // One that is older than what it says here sent nothing along.
        return new JsonResponse(['version' => $kept->version] + $kept->text + (new Enclosed())->toArray());
    }

    #[Route('/{id}/examples', requirements: ['id' => self::ID], methods: ['GET'])]
    public function examples(string $id): Response
    {
        return new JsonResponse(['items' => $this->preview->records($this->get($id)->purpose())]);
    }

    /** How a draft would read; nothing is saved. */
    #[Route('/{id}/preview', requirements: ['id' => self::ID], methods: ['POST'])]
    public function preview(string $id, Request $request): Response
    {
        $template = $this->get($id);
        $body = JsonBody::read($request);
        $record = \is_string($body['record'] ?? null) ? $body['record'] : '';

        return new JsonResponse($this->preview->show($this->changes->check($body, $template->fields()), $template->purpose(), $template->fields(), $record));
    }

    /** Sends a draft to whoever looks at it. */
    #[Route('/{id}/test', requirements: ['id' => self::ID], methods: ['POST'])]
    public function test(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $template = $this->get($id);
        $body = JsonBody::read($request);
        $text = $this->changes->check($body, $template->fields());
        $shown = $this->preview->show($text, $template->purpose(), $template->fields(), \is_string($body['record'] ?? null) ? $body['record'] : '');
        $this->queue->test($template, $shown, $text->enclosed, $staff);

        return new JsonResponse(['to' => $staff->email]);
    }

    private function get(string $id): MessageTemplate
    {
        return $this->em->find(MessageTemplate::class, $id) ?? throw Problem::notFound('template');
    }
}
