<?php

declare(strict_types=1);

namespace Telamon\Search;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\Problem;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

#[IsGranted('ROLE_FIELD')]
final readonly class SearchController
{
    private const FIELD = ['client', 'contact', 'asset', 'project'];
    private const LONGEST = 100;

    public function __construct(private Search $search, private SearchRows $rows)
    {
    }

    #[Route('/api/search', methods: ['GET'])]
    public function find(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $q = $request->query->getString('q');
        if (mb_strlen($q) > self::LONGEST) {
            throw Problem::invalid('q', 'Shorten this to '.self::LONGEST.' characters.');
        }

        return new JsonResponse(['items' => $this->search->find($q, Role::Field === $staff->role ? array_values(array_intersect($this->rows->kinds(), self::FIELD)) : $this->rows->kinds())]);
    }
}
