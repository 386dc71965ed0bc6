<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Http\ProofOfWork;

final readonly class PublicFormController
{
    public function __construct(private PublishedForms $forms, private PublicFormView $view, private ProofOfWork $proof)
    {
    }

    #[Route('/api/public/forms/{slug}', methods: ['GET'])]
    public function show(string $slug): Response
    {
        return new JsonResponse($this->view->show($this->forms->get($slug)));
    }

    #[Route('/api/public/forms/{slug}/challenge', methods: ['GET'])]
    public function challenge(string $slug): Response
    {
        $this->forms->get($slug);

        return new JsonResponse($this->proof->challenge());
    }
}
