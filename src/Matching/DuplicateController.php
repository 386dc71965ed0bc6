<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[IsGranted(Permission::Merge->value)]
final readonly class DuplicateController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(private EntityManagerInterface $em, private DuplicateList $list, private Merging $merging, private Profile $business, private Records $records)
    {
    }

    #[Route('/api/duplicates', methods: ['GET'])]
    public function list(): Response
    {
        return new JsonResponse($this->list->page());
    }

    #[Route('/api/clients/{id}/merge', requirements: ['id' => self::ID], methods: ['POST'])]
    public function merge(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $take = $body['take'] ?? [];
        $take = \is_array($take) ? array_values(array_map(static fn (mixed $one): string => \is_string($one) ? $one : '?', $take)) : ['?'];
        $unknown = array_filter(array_diff($take, Merging::FIELDS), static fn (string $field): bool => 1 !== preg_match('/^custom\.[a-z][a-z0-9_]{0,39}$/', $field));
        if ([] !== $unknown) {
            throw Problem::invalid('take', 'Choose among '.implode(', ', Merging::FIELDS).' and custom fields.');
        }
        [$into, $other] = $this->two($id, $body);

        return new JsonResponse(['change' => $this->merging->merge($into, $other, $take, $staff)->toArray($this->business->zone(), $this->records)]);
    }

    #[Route('/api/clients/{id}/tell-apart', requirements: ['id' => self::ID], methods: ['POST'])]
    public function tellApart(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        [$one, $other] = $this->two($id, JsonBody::read($request));

        return new JsonResponse(['change' => $this->merging->tellApart($one, $other, $staff)->toArray($this->business->zone(), $this->records)]);
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array{Client, Client}
     */
    private function two(string $id, array $body): array
    {
        $one = $this->em->find(Client::class, $id) ?? throw Problem::notFound('client');
        $other = $this->em->find(Client::class, JsonBody::text($body, 'other', 36));
        if (null === $other || $other === $one) {
            throw Problem::invalid('other', 'Name another client.');
        }

        return [$one, $other];
    }
}
