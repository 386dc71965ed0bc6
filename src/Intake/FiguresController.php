<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Figures\AnswerFigures;
use Telamon\Forms\Form;
use Telamon\Http\Problem;

/** The answers of what is filtered, counted by question. */
#[IsGranted('ROLE_COORDINATOR')]
final readonly class FiguresController
{
    public function __construct(private EntityManagerInterface $em, private FormTable $table)
    {
    }

    #[Route('/api/forms/{id}/figures', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['GET'])]
    public function show(string $id, Request $request): Response
    {
        $form = $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
        $figures = [];
        foreach ($this->table->columns($form) as $key => $question) {
            if (AnswerFigures::counts($question->type)) {
                $figures[$key] = new AnswerFigures($question);
            }
        }
        $submissions = 0;
        foreach ($this->table->answers($form, $request) as $answers) {
            ++$submissions;
            foreach ($figures as $key => $one) {
                $one->take($answers[$key] ?? null);
            }
        }

        return new JsonResponse(['submissions' => $submissions, 'questions' => array_map(static fn (AnswerFigures $one): array => $one->toArray(), array_values($figures))]);
    }
}
