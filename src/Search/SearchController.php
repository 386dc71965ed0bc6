<?php

declare(strict_types=1);

namespace Telamon\Search;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;

#[IsGranted(Permission::Work->value)]
final readonly class SearchController
{
    private const LONGEST = 100;

    public function __construct(private Search $search, private SearchRows $rows, private Viewer $viewer, private Profile $business)
    {
    }

    #[Route('/api/search', methods: ['GET'])]
    public function find(Request $request): Response
    {
        $q = $request->query->getString('q');
        if (mb_strlen($q) > self::LONGEST) {
            throw Problem::invalid('q', 'Shorten this to '.self::LONGEST.' characters.');
        }

        $found = $this->search->find($q, $this->rows->kinds($this->viewer->may(...)), $this->paths());
        $words = array_map(fn (string $words): string => ucfirst(str_replace('{asset}', $this->business->business()->assetWord, $words)), $this->rows->words());

        return new JsonResponse(['items' => array_map(static fn (array $item): array => ['group' => $words[$item['kind']] ?? ''] + $item, $found)]);
    }

    /** @return list<string>|null where what may be read is shown; null for everywhere */
    private function paths(): ?array
    {
        $projects = $this->viewer->projects();

        return null === $projects ? null : [
            ...array_map(static fn (string $id): string => "/projects/$id", $projects),
            ...array_map(static fn (string $id): string => "/clients/$id", $this->viewer->clients() ?? []),
        ];
    }
}
