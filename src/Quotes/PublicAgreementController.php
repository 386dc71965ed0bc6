<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Access\OfficeLooks;
use Telamon\Business\PublicFace;
use Telamon\Http\JsonBody;
use Telamon\Http\PublicLimits;

/** An agreement for the client, by its signed link. */
#[Route('/api/public/agreements/{token}', requirements: ['token' => '[0-9a-f.-]{50,200}'])]
final readonly class PublicAgreementController
{
    public function __construct(private Agreements $agreements, private SignedPapers $papers, private PublicFace $face, private PublicLimits $limits, private OfficeLooks $office)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(string $token): Response
    {
        return $this->answer($this->agreements->find($token));
    }

    #[Route('/opened', methods: ['POST'])]
    public function opened(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $agreement = $this->agreements->find($token);
        if (!$this->office->is()) {
            $this->agreements->opened($agreement);
        }

        return new Response(status: 204);
    }

    #[Route('/sign', methods: ['POST'])]
    public function sign(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $this->office->refuse();
        $agreement = $this->agreements->find($token);
        $body = JsonBody::read($request);
        $this->agreements->sign(
            $agreement,
            JsonBody::text($body, 'name', 200),
            JsonBody::text($body, 'drawing', 200_000),
            new Reached($request->getClientIp() ?? '', $request->headers->get('User-Agent') ?? ''),
        );

        return $this->answer($agreement);
    }

    #[Route('/decline', methods: ['POST'])]
    public function decline(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $this->office->refuse();
        $agreement = $this->agreements->find($token);
        $this->agreements->decline($agreement, JsonBody::text(JsonBody::read($request), 'reason', 500));

        return $this->answer($agreement);
    }

    #[Route('/agreement.pdf', methods: ['GET'])]
    public function pdf(string $token, Request $request): Response
    {
        $this->limits->booking($request);

        return new Response(
            $this->papers->agreement($this->agreements->find($token)),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="agreement.pdf"', 'Cache-Control' => 'private, no-store'],
        );
    }

    /** The record of what was signed, for anybody who checks it. */
    #[Route('/evidence.json', methods: ['GET'])]
    public function evidence(string $token, Request $request): Response
    {
        $this->limits->booking($request);

        return EvidenceAnswer::of($this->papers->evidence($this->agreements->find($token)->id), 'agreement');
    }

    private function answer(Agreement $agreement): Response
    {
        return new JsonResponse(
            [
                'business' => $this->face->show(),
                'agreement' => [
                    'byOffice' => $this->office->is(),
                    'title' => $agreement->title,
                    'text' => $agreement->text,
                    'first' => $agreement->client->givenName,
                    'sent' => $agreement->sentAt->format('Y-m-d'),
                    'state' => $agreement->state->value,
                    'over' => $this->agreements->over($agreement),
                ],
            ],
            headers: ['Cache-Control' => 'private, no-store'],
        );
    }
}
