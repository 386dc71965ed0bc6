<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Clients\Client;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\FollowUps\Rehearsal;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Projects\Project;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/follow-ups')]
#[IsGranted(Permission::Write->value)]
final readonly class FollowUpController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private FollowUpChanges $changes,
        private FollowUpView $view,
        private Walking $walking,
        private RunWithOneself $oneself,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return new JsonResponse($this->view->all());
    }

    #[Route('', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->whole($this->changes->make(JsonBody::read($request), $staff)), 201);
    }

    /** What a series would do on a clock that is wound forward; nothing is saved or sent. */
    #[Route('/try', methods: ['POST'], priority: 1)]
    public function rehearse(Request $request): Response
    {
        $body = JsonBody::read($request);
        $series = $this->changes->check($body['courses'] ?? null);
        $start = $this->moment($body['start'] ?? null, 'start') ?? $this->walking->now();
        $at = $this->moment($body['answeredAt'] ?? null, 'answeredAt');
        $says = \is_string($body['says'] ?? null) ? $body['says'] : 'stop';
        $acts = (new Rehearsal($this->walking->walk()))->run(
            $series,
            $start,
            $at,
            'stop' === $says ? null : Course::tryFrom($says) ?? throw Problem::invalid('says', 'Say what they answer.'),
        );

        return new JsonResponse(['acts' => array_map(
            static fn (array $act): array => [
                'at' => $act['at']->format(\DATE_RFC3339),
                'key' => $act['step']->key ?? '',
                'kind' => $act['step']->kind->value ?? 'end',
                'asText' => $act['step']->asText ?? false,
                'what' => $act['step']->what ?? '',
                'course' => $act['course']->value,
            ],
            $acts,
        )]);
    }

    /** The same as mails to whoever asks, all at once. */
    #[Route('/to-me', methods: ['POST'], priority: 1)]
    public function toMe(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $sent = $this->oneself->run($this->changes->check($body['courses'] ?? null), JsonBody::text($body, 'name', 100), $staff);

        return new JsonResponse(['sent' => $sent, 'to' => $staff->email]);
    }

    #[Route('/runs', methods: ['GET'], priority: 1)]
    public function runs(Request $request): Response
    {
        $runs = $this->em->getRepository(FollowUpRun::class)->findBy(['client' => Query::id($request, 'client') ?? ''], ['startedAt' => 'DESC'], 20);

        return new JsonResponse(['items' => array_map($this->view->run(...), $runs)]);
    }

    #[Route('/runs/{id}/stop', requirements: ['id' => self::ID], methods: ['POST'], priority: 1)]
    public function stop(string $id, #[CurrentUser] Staff $staff): Response
    {
        $run = $this->em->find(FollowUpRun::class, $id) ?? throw Problem::notFound('run');
        $this->changes->stop($run, $staff);

        return new JsonResponse($this->view->run($run));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->get($id)));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $one = $this->get($id);
        $this->changes->change($one, JsonBody::read($request), $staff);

        return new JsonResponse($this->view->whole($one));
    }

    #[Route('/{id}/switch', requirements: ['id' => self::ID], methods: ['POST'])]
    public function turn(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $one = $this->get($id);
        $this->changes->turn($one, true === (JsonBody::read($request)['on'] ?? null), $staff);

        return new JsonResponse($this->view->whole($one));
    }

    #[Route('/{id}/bring', requirements: ['id' => self::ID], methods: ['POST'])]
    public function bring(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $one = $this->get($id);
        $this->changes->bring($one, JsonBody::text(JsonBody::read($request), 'gone', 10), $staff);

        return new JsonResponse($this->view->whole($one));
    }

    #[Route('/{id}/begin', requirements: ['id' => self::ID], methods: ['POST'])]
    public function begin(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $client = $this->em->find(Client::class, JsonBody::text($body, 'client', 36)) ?? throw Problem::notFound('client');
        $project = \is_string($body['project'] ?? null) && '' !== $body['project'] ? $this->em->find(Project::class, $body['project']) ?? throw Problem::notFound('project') : null;

        return new JsonResponse($this->view->run($this->changes->begin($this->get($id), $client->mergedInto ?? $client, $project, $staff)), 201);
    }

    private function moment(mixed $given, string $field): ?\DateTimeImmutable
    {
        if (null === $given || '' === $given) {
            return null;
        }
        $at = \is_string($given) ? \DateTimeImmutable::createFromFormat(\DATE_RFC3339, $given) : false;

        return false === $at ? throw Problem::invalid($field, 'Send a time as RFC 3339 has it.') : $at->setTimezone($this->walking->now()->getTimezone());
    }

    private function get(string $id): FollowUp
    {
        return $this->em->find(FollowUp::class, $id) ?? throw Problem::notFound('follow-up');
    }
}
