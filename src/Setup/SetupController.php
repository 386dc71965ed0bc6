<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\OwnField;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/setup')]
#[IsGranted(Permission::SetUp->value)]
final readonly class SetupController
{
    public function __construct(private EntityManagerInterface $em, private SetupChanges $changes, private SetupView $view)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Staff $staff): Response
    {
        return $this->answer($staff);
    }

    #[Route('/intake', methods: ['PUT'])]
    public function intake(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        [$shortens, $minutes] = [$body['shortensAddresses'] ?? null, $body['unfinishedMinutes'] ?? null];
        if (!\is_bool($shortens)) {
            throw Problem::invalid('shortensAddresses', 'Say yes or no.');
        }
        if (!\is_int($minutes) || $minutes < 1 || $minutes > 10080) {
            throw Problem::invalid('unfinishedMinutes', 'Write whole minutes, from 1 to 10,080 (a week).');
        }
        $this->changes->intake($shortens, $minutes, $staff);

        return $this->answer($staff);
    }

    #[Route('/matching', methods: ['PUT'])]
    public function matching(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $number = static function (string $field, int $least, int $most) use ($body): int {
            $value = $body[$field] ?? null;

            return \is_int($value) && $value >= $least && $value <= $most ? $value : throw Problem::invalid($field, "Write a whole number, from $least to $most.");
        };
        [$same, $perhaps, $days] = [$number('sameFrom', 2, 99), $number('perhapsFrom', 1, 98), $number('againDays', 0, 3650)];
        if ($perhaps >= $same) {
            throw Problem::invalid('perhapsFrom', 'This lies below the other.');
        }
        $this->changes->matching($same, $perhaps, $days, $staff);

        return $this->answer($staff);
    }

    #[Route('/custom-fields', methods: ['POST'])]
    public function add(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->add(JsonBody::read($request), $staff);

        return $this->answer($staff, 201);
    }

    #[Route('/custom-fields/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->change($this->em->find(OwnField::class, $id) ?? throw Problem::notFound('custom field'), JsonBody::read($request), $staff);

        return $this->answer($staff);
    }

    private function answer(Staff $staff, int $status = 200): Response
    {
        return new JsonResponse($this->view->show($staff), $status);
    }
}
