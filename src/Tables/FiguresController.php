<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Figures\AnswerFigures;
use Telamon\Forms\Form;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;

/** The answers of what is filtered, counted by question. */
#[IsGranted(Permission::Decide->value)]
final readonly class FiguresController
{
    public function __construct(private EntityManagerInterface $em, private FormTable $table, private TableRows $rows)
    {
    }

    #[Route('/api/forms/{id}/figures', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['GET'])]
    public function show(string $id, Request $request): Response
    {
        $form = $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
        $columns = $this->table->columns($form);
        $figures = [];
        foreach ($columns as $key => $question) {
            if (null !== $question->type->counting()) {
                $figures[$key] = new AnswerFigures($question);
            }
        }
        $filter = TableFilter::from($request, $columns);
        $submissions = $filter->letsAllThrough() ? $this->ofAll($form, $figures) : $this->ofSome($form, $filter, $figures);

        return new JsonResponse(['submissions' => $submissions, 'questions' => array_map(static fn (AnswerFigures $one): array => $one->toArray(), array_values($figures))]);
    }

    /**
     * @param array<string, AnswerFigures> $figures by key
     *
     * @return int how many submissions there are
     */
    private function ofAll(Form $form, array $figures): int
    {
        foreach ($this->rows->counts($form->id) as $one) {
            if ('' === $one['value']) {
                ($figures[$one['key']] ?? null)?->answered($one['times']);
            } else {
                ($figures[$one['key']] ?? null)?->count($one['value'], $one['times']);
            }
        }

        return $this->rows->count($form->id);
    }

    /**
     * @param array<string, AnswerFigures> $figures by key
     *
     * @return int how many submissions the filter lets through
     */
    private function ofSome(Form $form, TableFilter $filter, array $figures): int
    {
        $submissions = 0;
        foreach ($this->rows->answers($form->id, $filter) as $answers) {
            ++$submissions;
            foreach ($figures as $key => $one) {
                $one->take($answers[$key] ?? null);
            }
        }

        return $submissions;
    }
}
