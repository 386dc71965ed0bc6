<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Forms\PublicFormView;
use Telamon\Forms\PublishedForms;

/** A published form as somebody gets it by a link of their own. */
final readonly class PersonalFormController
{
    public function __construct(private PublishedForms $forms, private PublicFormView $view, private FormLinks $links)
    {
    }

    #[Route('/api/public/forms/{slug}/personal', methods: ['GET'])]
    public function show(string $slug, Request $request): Response
    {
        $version = $this->forms->get($slug);
        $client = $this->links->client($request->query->getString('t'), $slug);

        return new JsonResponse($this->view->show(
            $version,
            not: array_keys($this->links->answers($version->definition(), $client)),
        ) + ['for' => '' === $client->givenName ? $client->name() : $client->givenName]);
    }
}
