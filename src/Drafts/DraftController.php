<?php

declare(strict_types=1);

namespace Telamon\Drafts;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** What is typed and not saved yet; everybody has only their own. */
#[Route('/api/drafts')]
#[IsGranted(Permission::Work->value)]
final readonly class DraftController
{
    private const NAME = '[A-Za-z0-9][A-Za-z0-9._:@-]{0,199}';

    public function __construct(private Drafts $drafts, private Profile $business)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(#[CurrentUser] Staff $me): Response
    {
        return new JsonResponse(['items' => array_map(
            fn (Draft $draft): array => ['name' => $draft->name, 'revision' => $draft->revision, 'at' => $draft->at->setTimezone($this->business->zone())->format(\DATE_RFC3339)],
            $this->drafts->of($me),
        )]);
    }

    #[Route('/{name}', requirements: ['name' => self::NAME], methods: ['GET'])]
    public function show(#[CurrentUser] Staff $me, string $name): Response
    {
        return new JsonResponse(['mine' => $this->drafts->find($me, $name)?->toArray($this->business->zone()), 'others' => $this->drafts->others($me, $name)]);
    }

    #[Route('/{name}', requirements: ['name' => self::NAME], methods: ['PUT'])]
    public function keep(#[CurrentUser] Staff $me, string $name, Request $request): Response
    {
        // Checked as an object first; the value is kept as it was written, in which {} is not [].
        $body = JsonBody::read($request);
        $revision = $body['revision'] ?? null;
        if (!\is_int($revision) || $revision < 0) {
            throw Problem::invalid('revision', 'Say which one it was typed over, or 0.');
        }
        if (!\array_key_exists('value', $body)) {
            throw Problem::invalid('value', 'Nothing was typed.');
        }
        $read = json_decode($request->getContent(), false, 64, \JSON_THROW_ON_ERROR);
        \assert($read instanceof \stdClass);
        $value = json_encode($read->value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);

        return new JsonResponse($this->drafts->keep($me, $name, $revision, $value)->toArray($this->business->zone()));
    }

    #[Route('/{name}', requirements: ['name' => self::NAME], methods: ['DELETE'])]
    public function forget(#[CurrentUser] Staff $me, string $name, Request $request): Response
    {
        $this->drafts->forget($me, $name, $request->query->getInt('revision'));

        return new Response('', 204);
    }
}
