<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/forms')]
#[IsGranted(Permission::Design->value)]
final readonly class FormController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private FormView $view,
        private Draft $drafts,
        private FormSettings $settings,
        private Starters $starters,
        private FormKinds $kinds,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return new JsonResponse(['items' => $this->view->rows()]);
    }

    #[Route('/starters', methods: ['GET'])]
    public function starters(): Response
    {
        return new JsonResponse(['items' => $this->starters->names()]);
    }

    #[Route('/kinds', methods: ['GET'])]
    public function kinds(): Response
    {
        return new JsonResponse($this->kinds->toArray());
    }

    #[Route('', methods: ['POST'])]
    public function begin(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $title = trim(JsonBody::text($body, 'title', 200));
        if ('' === $title) {
            throw Problem::invalid('title', 'A form has a name.');
        }
        $copy = JsonBody::text($body, 'copyOf', 36);
        $definition = match (true) {
            '' !== $copy => $this->drafts->of($this->get($copy))->definition,
            '' !== JsonBody::text($body, 'starter', 40) => $this->starters->definition(JsonBody::text($body, 'starter', 40)),
            default => Starters::empty(),
        };
        $form = $this->drafts->begin($title, ['title' => $title] + $definition, $staff);

        return new JsonResponse($this->view->whole($this->drafts->of($form)), 201);
    }

    #[Route('/import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $file = JsonBody::read($request)['file'] ?? null;
        if (!\is_array($file) || !\is_array($file['definition'] ?? null)) {
            throw Problem::invalid('file', 'This is no form file: it has no “definition”.');
        }
        try {
            FormDefinition::fromArray($file['definition']);
        } catch (InvalidDefinition $error) {
            throw Problem::invalid('file', $error->getMessage());
        }
        $title = \is_string($file['definition']['title'] ?? null) && '' !== trim($file['definition']['title'])
            ? mb_substr(trim($file['definition']['title']), 0, 200)
            : 'Imported form';

        return new JsonResponse($this->view->whole($this->drafts->of($this->drafts->begin($title, $file['definition'], $staff))), 201);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->drafts->of($this->get($id))));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function keep(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $definition = $body['definition'] ?? null;
        if (!\is_array($definition)) {
            throw Problem::invalid('definition', 'Send the definition as an object.');
        }
        $draft = $this->drafts->of($this->get($id));
        $this->drafts->keep($draft, $definition, self::version($body), $staff);

        return new JsonResponse($this->view->whole($draft));
    }

    #[Route('/{id}/settings', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function settings(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $form = $this->get($id);
        $this->settings->change($form, JsonBody::read($request), $staff);

        return new JsonResponse($this->view->whole($this->drafts->of($form)));
    }

    #[Route('/{id}/publish', requirements: ['id' => self::ID], methods: ['POST'])]
    public function publish(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $draft = $this->drafts->of($this->get($id));
        $this->drafts->publish($draft, self::version(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($draft));
    }

    #[Route('/{id}/withdraw', requirements: ['id' => self::ID], methods: ['POST'])]
    public function withdraw(string $id, #[CurrentUser] Staff $staff): Response
    {
        $form = $this->get($id);
        $this->drafts->withdraw($form, $staff);

        return new JsonResponse($this->view->whole($this->drafts->of($form)));
    }

    /** The form as a file that another installation can take in. */
    #[Route('/{id}/export', requirements: ['id' => self::ID], methods: ['GET'])]
    public function export(string $id): Response
    {
        $form = $this->get($id);
        $response = new JsonResponse(['format' => 'telamon-form', 'version' => 1, 'definition' => $this->drafts->of($form)->definition]);
        $response->setEncodingOptions(\JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $response->headers->set('Content-Disposition', HeaderUtils::makeDisposition('attachment', "{$form->slug}.json"));

        return $response;
    }

    private function get(string $id): Form
    {
        return $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
    }

    /** @param array<array-key, mixed> $body */
    private static function version(array $body): int
    {
        $version = $body['version'] ?? null;

        return \is_int($version) ? $version : throw Problem::invalid('version', 'Send the version of the draft that was looked at.');
    }
}
