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
use Telamon\Business\Profile;
use Telamon\Database\Ids;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** What clients were asked to sign: of a project or a client; written, sent, withdrawn. */
#[Route('/api/agreements')]
#[IsGranted(Permission::SeeQuotes->value)]
final readonly class AgreementController
{
    private const ID = '[0-9a-f-]{36}';
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private Agreements $agreements, private SignedPapers $papers, private Profile $business)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $by = array_filter(['project' => Query::id($request, 'project'), 'client' => Query::id($request, 'client')], static fn (?string $id): bool => null !== $id);
        if ([] === $by) {
            throw Problem::invalid('project', 'Ask for a project or a client.');
        }

        return new JsonResponse(['items' => array_map($this->show(...), $this->em->getRepository(Agreement::class)->findBy($by, ['sentAt' => 'DESC'], self::MOST))]);
    }

    #[Route('/draft', methods: ['GET'], priority: 1)]
    public function draft(Request $request): Response
    {
        return new JsonResponse($this->agreements->draft($this->project(Query::id($request, 'project') ?? '')));
    }

    #[Route('', methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function send(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $key = IdempotencyKey::of($request);
        $edit = new Edit(JsonBody::read($request));

        return new JsonResponse(
            $this->show($this->agreements->send(null === $key ? Ids::next() : Ids::named('agreement', $key), $this->project($edit->text('project', 36) ?? ''), $edit, $staff)),
            201,
        );
    }

    #[Route('/{id}/withdraw', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function withdraw(string $id, #[CurrentUser] Staff $staff): Response
    {
        $agreement = $this->agreement($id);
        $this->agreements->withdraw($agreement, $staff);

        return new JsonResponse($this->show($agreement));
    }

    #[Route('/{id}/pdf', requirements: ['id' => self::ID], methods: ['GET'])]
    public function pdf(string $id): Response
    {
        return new Response(
            $this->papers->agreement($this->agreement($id)),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="agreement.pdf"', 'Cache-Control' => 'private, no-store'],
        );
    }

    /** @return array<string, mixed> as Agreement in the contract */
    private function show(Agreement $agreement): array
    {
        $at = fn (?\DateTimeImmutable $at): ?string => $at?->setTimezone($this->business->zone())->format(\DATE_RFC3339);
        $signed = $this->em->find(Signed::class, $agreement->id);

        return [
            'id' => $agreement->id,
            'title' => $agreement->title,
            'state' => $agreement->state->value,
            'sentAt' => $at($agreement->sentAt),
            'openedAt' => $at($agreement->openedAt),
            'answeredAt' => $at($agreement->answeredAt),
            'reason' => $agreement->reason,
            'signedBy' => $signed->name ?? '',
            'token' => $this->agreements->token($agreement),
        ];
    }

    private function project(string $id): Project
    {
        return $this->em->find(Project::class, $id) ?? throw Problem::notFound('project');
    }

    private function agreement(string $id): Agreement
    {
        return $this->em->find(Agreement::class, $id) ?? throw Problem::notFound('agreement');
    }
}
