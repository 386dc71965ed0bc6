<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Closures and days off out of a calendar file. */
#[IsGranted(Permission::SetUp->value)]
final readonly class DaysOffController
{
    private const MOST_BYTES = 2_000_000;

    public function __construct(private EntityManagerInterface $em, private DaysOffImport $import)
    {
    }

    #[Route('/api/setup/days-off/read', methods: ['POST'])]
    public function read(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $file = $body['file'] ?? null;
        if (!\is_string($file) || '' === trim($file) || \strlen($file) > self::MOST_BYTES) {
            throw Problem::invalid('file', 'Send the text of a calendar file, of 2 MB at most.');
        }
        $id = JsonBody::text($body, 'staff', 36);
        $of = '' === $id ? null : $this->em->find(Staff::class, $id) ?? throw Problem::notFound('member of staff');

        return new JsonResponse($this->import->take($file, $of, true === ($body['dry'] ?? false), $staff));
    }
}
