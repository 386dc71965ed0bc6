<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Mailed;
use Telamon\Journal\Undo;
use Telamon\Planning\Acceptor;
use Telamon\Planning\Decisions;
use Telamon\Planning\MailsAhead;
use Telamon\Planning\PlanMaker;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionPdf;
use Telamon\Submissions\SubmissionState;

#[Route('/api/submissions')]
#[IsGranted(Permission::Decide->value)]
final readonly class SubmissionController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private SubmissionList $list,
        private SubmissionView $view,
        private PlanMaker $plans,
        private Decisions $decisions,
        private Lookers $lookers,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $submission = $this->get($id);

        // Fetched ahead, nobody looks at it yet.
        $others = $request->query->getBoolean('ahead') ? $this->lookers->others($id, $staff) : $this->lookers->look($id, $staff);

        return new JsonResponse(['others' => $others] + $this->view->whole($submission));
    }

    /** The submission as received, to print or keep. */
    #[Route('/{id}/pdf', requirements: ['id' => self::ID], methods: ['GET'])]
    public function pdf(string $id, SubmissionPdf $pdf): Response
    {
        $submission = $this->get($id);

        return new Response(
            $pdf->of($submission),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => HeaderUtils::makeDisposition('inline', "{$submission->number}.pdf")],
        );
    }

    /** What the mails of the plan will say, as it is decided so far. */
    #[Route('/{id}/mails', requirements: ['id' => self::ID], methods: ['GET'])]
    public function mails(string $id, MailsAhead $ahead): Response
    {
        $submission = $this->get($id);

        return new JsonResponse(['items' => SubmissionState::Waiting === $submission->state ? $ahead->of($submission, $this->plans->plan($submission)) : []]);
    }

    /** Keeps what is decided so far, and answers with the submission and its plan made again. */
    #[Route('/{id}/decisions', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function decide(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $submission = $this->get($id);
        $plan = $this->decisions->keep($submission, JsonBody::read($request), $staff, $this->plans->check(...));

        return new JsonResponse(['others' => $this->lookers->look($id, $staff)] + $this->view->whole($submission, $plan));
    }

    #[Route('/{id}/accept', requirements: ['id' => self::ID], methods: ['POST'])]
    public function accept(string $id, Request $request, #[CurrentUser] Staff $staff, Acceptor $acceptor): Response
    {
        $body = JsonBody::read($request);
        $fingerprint = JsonBody::text($body, 'fingerprint', 100);
        if ('' === $fingerprint) {
            throw Problem::invalid('fingerprint', 'Send the fingerprint of the plan that was looked at.');
        }

        $seen = $body['decisionsVersion'] ?? null;

        return new JsonResponse($acceptor->accept($this->get($id), $fingerprint, self::decisions($body), $staff, \is_int($seen) ? $seen : null));
    }

    #[Route('/{id}/set-aside', requirements: ['id' => self::ID], methods: ['POST'])]
    public function setAside(string $id, Request $request, #[CurrentUser] Staff $staff, Acceptor $acceptor): Response
    {
        $body = JsonBody::read($request);
        $reason = JsonBody::text($body, 'reason', 40);
        if (!\in_array($reason, Acceptor::REASONS, true)) {
            throw Problem::invalid('reason', 'Choose one of: '.implode(', ', Acceptor::REASONS).'.');
        }
        $submission = $this->get($id);
        $number = JsonBody::text($body, 'duplicateOf', 20);
        $same = '' === $number ? null : $this->em->getRepository(Submission::class)->findOneBy(['number' => mb_strtoupper($number)]);
        if ('' !== $number && (null === $same || $same === $submission)) {
            throw Problem::invalid('duplicateOf', 'No other submission has this number.');
        }
        $acceptor->setAside($submission, $reason, JsonBody::text($body, 'note'), $staff, $same);

        return new JsonResponse($this->view->row($submission));
    }

    #[Route('/{id}/undo', requirements: ['id' => self::ID], methods: ['POST'])]
    public function undo(string $id, Request $request, #[CurrentUser] Staff $staff, Acceptor $acceptor, Undo $undo, Mailed $mailed): Response
    {
        $submission = $this->get($id);
        if (SubmissionState::SetAside === $submission->state && null === $submission->decidedBy) {
            return new JsonResponse($acceptor->putBack($submission, $staff));
        }
        $change = $this->em->getRepository(Change::class)->findOneBy(
            ['submissionId' => $submission->id, 'kind' => [ChangeKind::Accept, ChangeKind::SetAside], 'undoneAt' => null],
            ['seq' => 'DESC'],
        )
            ?? throw new Problem(409, 'Nothing to take back', 'This submission has not been decided.');

        $mailed->askFirst($change->id, $request);

        return new JsonResponse(['change' => $change->id] + $undo->undo($change->id, $staff));
    }

    private function get(string $id): Submission
    {
        return $this->em->find(Submission::class, $id) ?? throw Problem::notFound('submission');
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private static function decisions(array $body): array
    {
        $decisions = $body['decisions'] ?? [];

        return \is_array($decisions) ? $decisions : throw Problem::invalid('decisions', 'Send the choices by their keys.');
    }
}
