<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;

/** Ways of looking at a form's table, kept under names. They change no record, so no journal tells of them. */
#[Route('/api/forms/{id}/views', requirements: ['id' => '[0-9a-f-]{36}'])]
#[IsGranted(Permission::Decide->value)]
final readonly class TableViewController
{
    private const MOST = 30;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(string $id): Response
    {
        return new JsonResponse(['items' => array_map(static fn (TableView $view): array => $view->toArray(), $this->of($this->form($id)))]);
    }

    #[Route('', methods: ['POST'])]
    public function keep(string $id, Request $request): Response
    {
        $form = $this->form($id);
        $body = JsonBody::read($request);
        $name = trim(JsonBody::text($body, 'name', 80));
        if ('' === $name) {
            throw Problem::invalid('name', 'Give it a name.');
        }
        $filter = self::filter($body['filter'] ?? null);
        $view = $this->em->wrapInTransaction(function () use ($form, $name, $filter): TableView {
            $view = $this->em->getRepository(TableView::class)->findOneBy(['form' => $form, 'name' => $name]);
            if (null === $view) {
                if (\count($this->of($form)) >= self::MOST) {
                    throw Problem::invalid('name', 'There are '.self::MOST.' views already. Forget one first.');
                }
                $this->em->persist($view = new TableView($form, $name, $filter));
            }
            $view->look($filter);

            return $view;
        });

        return new JsonResponse($view->toArray(), 201);
    }

    #[Route('/{view}', requirements: ['view' => '[0-9a-f-]{36}'], methods: ['DELETE'])]
    public function forget(string $id, string $view): Response
    {
        $found = $this->em->getRepository(TableView::class)->findOneBy(['id' => $view, 'form' => $this->form($id)]) ?? throw Problem::notFound('view');
        $this->em->remove($found);
        $this->em->flush();

        return new Response('', 204);
    }

    /** @return array{q: string, state: string, sort: string, hidden: list<string>} */
    private static function filter(mixed $given): array
    {
        if (!\is_array($given)) {
            throw Problem::invalid('filter', 'Send the filter as an object.');
        }
        $state = JsonBody::text($given, 'state', 20);
        $hidden = $given['hidden'] ?? [];

        return [
            'q' => JsonBody::text($given, 'q', 100),
            'state' => \in_array($state, ['', 'waiting', 'accepted', 'set-aside'], true) ? $state : throw Problem::invalid('filter.state', 'There is no such state.'),
            'sort' => JsonBody::text($given, 'sort', 60),
            'hidden' => \is_array($hidden)
                ? \array_slice(array_values(array_filter($hidden, static fn (mixed $key): bool => \is_string($key) && \strlen($key) <= 40)), 0, 300)
                : [],
        ];
    }

    /** @return list<TableView> */
    private function of(Form $form): array
    {
        return $this->em->getRepository(TableView::class)->findBy(['form' => $form], ['name' => 'ASC']);
    }

    private function form(string $id): Form
    {
        return $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
    }
}
