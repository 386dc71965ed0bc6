<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;

/** Ways of looking at the lists of clients and projects, saved under names. They change no record, so no journal tells of them. */
#[Route('/api/lists/{list}/views')]
#[IsGranted(Permission::SeeAll->value)]
final readonly class ListViewController
{
    private const MOST = 30;
    private const LISTS = ['clients', 'projects', 'tasks'];

    public function __construct(private EntityManagerInterface $em)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(string $list): Response
    {
        return new JsonResponse(['items' => array_map(static fn (ListView $view): array => $view->toArray(), $this->of($list))]);
    }

    #[Route('', methods: ['POST'])]
    public function save(string $list, Request $request): Response
    {
        $this->of($list);
        $edit = new Edit(JsonBody::read($request));
        $name = $edit->text('name', 80) ?? '';
        $search = $edit->text('search', 1000) ?? '';
        $hidden = $edit->texts('hidden', 40, 60) ?? [];
        if ('' === $name) {
            throw Problem::invalid('name', 'Give it a name.');
        }
        $view = $this->em->wrapInTransaction(function () use ($list, $name, $search, $hidden): ListView {
            $view = $this->em->getRepository(ListView::class)->findOneBy(['list' => $list, 'name' => $name]);
            if (null === $view) {
                if (\count($this->of($list)) >= self::MOST) {
                    throw Problem::invalid('name', 'There are '.self::MOST.' views already. Remove one first.');
                }
                $this->em->persist($view = new ListView($list, $name, $search, $hidden));
            }
            $view->look($search, $hidden);

            return $view;
        });

        return new JsonResponse($view->toArray(), 201);
    }

    #[Route('/{view}', requirements: ['view' => '[0-9a-f-]{36}'], methods: ['DELETE'])]
    public function remove(string $list, string $view): Response
    {
        $this->em->remove($this->em->getRepository(ListView::class)->findOneBy(['id' => $view, 'list' => $list]) ?? throw Problem::notFound('view'));
        $this->em->flush();

        return new Response('', 204);
    }

    /** @return list<ListView> */
    private function of(string $list): array
    {
        return \in_array($list, self::LISTS, true) ? $this->em->getRepository(ListView::class)->findBy(['list' => $list], ['name' => 'ASC']) : throw Problem::notFound('list');
    }
}
