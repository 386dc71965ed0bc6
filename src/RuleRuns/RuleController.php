<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Rules\HandlingRule;
use Telamon\Rules\RuleChanges;
use Telamon\Rules\RuleUses;
use Telamon\Rules\RuleVersions;
use Telamon\Rules\RuleView;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/rules')]
#[IsGranted(Permission::Rule->value)]
final readonly class RuleController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private RuleChanges $changes,
        private LookBacks $looks,
        private RuleView $view,
        private RuleUses $uses,
        private RuleVersions $versions,
        private RuleTrials $trials,
        private Profile $business,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return $this->answer();
    }

    #[Route('', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->changes->make(JsonBody::read($request), $staff);

        return new JsonResponse($this->view->one($kept), 201);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->get($id);
        $this->changes->change($kept, JsonBody::read($request), $staff);

        return new JsonResponse($this->view->one($kept));
    }

    #[Route('/{id}/move', requirements: ['id' => self::ID], methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $up = JsonBody::read($request)['up'] ?? null;
        $this->changes->move($this->get($id), \is_bool($up) ? $up : throw Problem::invalid('up', 'Say yes or no.'), $staff);

        return $this->answer();
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['DELETE'])]
    public function retire(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->retire($this->get($id), $staff);

        return $this->answer();
    }

    /** The plan of a submission, or of a made-up sample, with and without a rule that is being edited. Nothing is saved. */
    #[Route('/dry-run', methods: ['POST'])]
    public function dryRun(Request $request): Response
    {
        return new JsonResponse($this->trials->run(JsonBody::read($request)));
    }

    /** Versions before. */
    #[Route('/{id}/versions', requirements: ['id' => self::ID], methods: ['GET'])]
    public function versions(string $id): Response
    {
        return new JsonResponse(['items' => $this->versions->of($this->get($id))]);
    }

    /** On what it had its part. */
    #[Route('/{id}/uses', requirements: ['id' => self::ID], methods: ['GET'])]
    public function uses(string $id): Response
    {
        $zone = $this->business->zone();

        return new JsonResponse(['items' => array_map(
            static fn (array $use): array => ['at' => $use['at']->setTimezone($zone)->format(\DATE_RFC3339)] + $use,
            $this->uses->of($this->get($id)->id),
        )]);
    }

    #[Route('/look-backs', methods: ['POST'])]
    public function lookBack(Request $request): Response
    {
        $body = JsonBody::read($request);
        $given = \is_array($body['rule'] ?? null) ? $body['rule'] : throw Problem::invalid('rule', 'Send the rule.');
        $days = $body['days'] ?? null;
        if (!\in_array($days, [30, 90, 365], true)) {
            throw Problem::invalid('days', 'Choose 30, 90 or 365 days.');
        }
        $given = RuleChanges::tried($given);
        if (!$this->changes->check($given)->when->isOfPlan()) {
            throw Problem::invalid('rule.when', 'Only rules on arrivals can be looked back with.');
        }
        $named = [];
        foreach ($given as $name => $value) {
            $named[(string) $name] = $value;
        }

        return new JsonResponse($this->looks->start($named, $days)->toArray(), 201);
    }

    #[Route('/look-backs/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function showLookBack(string $id): Response
    {
        return new JsonResponse(($this->em->find(LookBack::class, $id) ?? throw Problem::notFound('look-back'))->toArray());
    }

    #[Route('/look-backs/{id}/cancel', requirements: ['id' => self::ID], methods: ['POST'])]
    public function cancelLookBack(string $id): Response
    {
        $look = $this->em->wrapInTransaction(function () use ($id): LookBack {
            $look = $this->em->find(LookBack::class, $id) ?? throw Problem::notFound('look-back');
            $this->em->refresh($look);
            if (LookBack::RUNNING === $look->state) {
                $look->cancel();
            }

            return $look;
        });

        return new JsonResponse($look->toArray());
    }

    private function answer(): Response
    {
        return new JsonResponse($this->view->all());
    }

    private function get(string $id): HandlingRule
    {
        $kept = $this->em->find(HandlingRule::class, $id);

        return null === $kept || $kept->retired ? throw Problem::notFound('rule') : $kept;
    }
}
