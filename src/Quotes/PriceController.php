<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\CsvFile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The price list, and how the business quotes. */
#[Route('/api/prices')]
#[IsGranted(Permission::SeePrices->value)]
final readonly class PriceController
{
    public function __construct(private EntityManagerInterface $em, private PriceList $prices, private PriceFile $file, private SetupKeeping $setup)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(): Response
    {
        return new JsonResponse($this->prices->show());
    }

    #[Route('', methods: ['POST'])]
    #[IsGranted(Permission::KeepPrices->value)]
    public function add(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->prices->keep(null, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->prices->show(), 201);
    }

    #[Route('/setup', methods: ['PUT'], priority: 1)]
    #[IsGranted(Permission::KeepPrices->value)]
    public function setUp(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->setup->keep(new Edit(JsonBody::read($request)), $staff);

        return $this->show();
    }

    #[Route('/export', methods: ['GET'], priority: 1)]
    public function export(): Response
    {
        return CsvFile::download('prices.csv', $this->file->export());
    }

    #[Route('/import', methods: ['POST'], priority: 1)]
    #[IsGranted(Permission::KeepPrices->value)]
    public function import(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);

        return new JsonResponse($this->file->import(JsonBody::text($body, 'csv', 500_000), true === ($body['dry'] ?? true), $staff));
    }

    #[Route('/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    #[IsGranted(Permission::KeepPrices->value)]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->prices->keep($this->em->find(PriceItem::class, $id) ?? throw Problem::notFound('price'), new Edit(JsonBody::read($request)), $staff);

        return $this->show();
    }
}
