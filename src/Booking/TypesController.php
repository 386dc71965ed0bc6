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
use Telamon\Diary\BookingPage;
use Telamon\Diary\BusyCalendar;
use Telamon\Diary\VisitType;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** How the diary is set up. */
#[Route('/api/diary')]
#[IsGranted(Permission::KeepDiary->value)]
final readonly class TypesController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private TypesView $view,
        private TypeChanges $changes,
        private TypeTrial $trial,
        private OtherCalendars $calendars,
    ) {
    }

    #[Route('/types', methods: ['GET'])]
    public function show(): Response
    {
        return $this->answer();
    }

    #[Route('/types', methods: ['POST'])]
    #[IsGranted(Permission::SetUp->value)]
    public function addType(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->keepType(null, self::edit($request), $staff);

        return $this->answer(201);
    }

    #[Route('/types/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    #[IsGranted(Permission::SetUp->value)]
    public function changeType(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->keepType($this->em->find(VisitType::class, $id) ?? throw Problem::notFound('kind of visit'), self::edit($request), $staff);

        return $this->answer();
    }

    #[Route('/types/try', methods: ['POST'])]
    public function tryType(Request $request): Response
    {
        $edit = self::edit($request);

        return new JsonResponse($this->trial->of($this->changes->settings($edit->any('settings')), $edit->day('from'), $edit->text('address', 300) ?? ''));
    }

    #[Route('/pages', methods: ['POST'])]
    #[IsGranted(Permission::SetUp->value)]
    public function addPage(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->keepPage(null, self::edit($request), $staff);

        return $this->answer(201);
    }

    #[Route('/pages/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    #[IsGranted(Permission::SetUp->value)]
    public function changePage(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->keepPage($this->em->find(BookingPage::class, $id) ?? throw Problem::notFound('booking page'), self::edit($request), $staff);

        return $this->answer();
    }

    #[Route('/roads', methods: ['PUT'])]
    #[IsGranted(Permission::SetUp->value)]
    public function keepRoads(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->keepRoads(self::edit($request), $staff);

        return $this->answer();
    }

    #[Route('/resources', methods: ['POST'])]
    #[IsGranted(Permission::SetUp->value)]
    public function addResource(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->addResource(self::edit($request), $staff);

        return $this->answer(201);
    }

    #[Route('/work-days', methods: ['PUT'])]
    public function workDay(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $edit = self::edit($request);
        $of = $this->em->find(Staff::class, $edit->text('staff', 36) ?? '') ?? throw Problem::invalid('staff', 'Choose whose day it is.');
        $day = $edit->day('day') ?? throw Problem::invalid('day', 'Choose a day.');
        $spans = $edit->any('spans');
        $this->changes->workDay($of, $day, null === $spans ? null : DaySpans::read($spans), $staff);

        return new Response(null, 204);
    }

    #[Route('/calendars', methods: ['POST'])]
    #[IsGranted(Permission::SetUp->value)]
    public function addCalendar(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $edit = self::edit($request);
        $of = $this->em->find(Staff::class, $edit->text('staff', 36) ?? '') ?? throw Problem::invalid('staff', 'Choose whose calendar it is.');
        $file = $edit->any('file');

        return new JsonResponse(['busy' => $this->calendars->add($of, $edit->text('address', 500) ?? '', \is_string($file) ? $file : '', $staff)], 201);
    }

    #[Route('/calendars/{id}', requirements: ['id' => self::ID], methods: ['DELETE'])]
    #[IsGranted(Permission::SetUp->value)]
    public function removeCalendar(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->calendars->remove($this->em->find(BusyCalendar::class, $id) ?? throw Problem::notFound('calendar'), $staff);

        return new Response(null, 204);
    }

    private function answer(int $status = 200): Response
    {
        return new JsonResponse($this->view->show(), $status);
    }

    private static function edit(Request $request): Edit
    {
        return new Edit(JsonBody::read($request));
    }
}
