<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Closure;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The business itself: its particulars, hours, closures, lists and texts. */
#[Route('/api/setup')]
#[IsGranted(Permission::SetUp->value)]
final readonly class BusinessController
{
    public function __construct(
        private EntityManagerInterface $em,
        private BusinessChanges $business,
        private ClosureChanges $closures,
        private LogoChanges $logos,
        private SetupView $view,
    ) {
    }

    #[Route('/business', methods: ['PUT'])]
    public function business(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->business->business(self::edit($request), $staff);

        return $this->answer($staff);
    }

    #[Route('/logo', methods: ['POST'])]
    public function logo(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $file = $request->files->get('file');
        $this->logos->put($file instanceof UploadedFile ? $file : null, $staff);

        return $this->answer($staff, 201);
    }

    #[Route('/logo', methods: ['DELETE'])]
    public function removeLogo(#[CurrentUser] Staff $staff): Response
    {
        $this->logos->remove($staff);

        return $this->answer($staff);
    }

    #[Route('/hours', methods: ['PUT'])]
    public function hours(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->business->hours(JsonBody::read($request)['hours'] ?? null, $staff);

        return $this->answer($staff);
    }

    #[Route('/lists', methods: ['PUT'])]
    public function lists(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->business->lists(self::edit($request), $staff);

        return $this->answer($staff);
    }

    #[Route('/closures', methods: ['POST'])]
    public function close(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->closures->add(self::edit($request), $staff);

        return $this->answer($staff, 201);
    }

    #[Route('/closures/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function changeClosure(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->closures->change($this->em->find(Closure::class, $id) ?? throw Problem::notFound('closure'), self::edit($request), $staff);

        return $this->answer($staff);
    }

    #[Route('/closures/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['DELETE'])]
    public function removeClosure(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->closures->remove($this->em->find(Closure::class, $id) ?? throw Problem::notFound('closure'), $staff);

        return $this->answer($staff);
    }

    #[Route('/messages', methods: ['PUT'])]
    public function messages(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->business->messages(self::edit($request), $staff);

        return $this->answer($staff);
    }

    private static function edit(Request $request): Edit
    {
        return new Edit(JsonBody::read($request));
    }

    private function answer(Staff $staff, int $status = 200): Response
    {
        return new JsonResponse($this->view->show($staff), $status);
    }
}
