<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Access\OfficeLooks;
use Telamon\Business\PublicFace;
use Telamon\Core\Quotes\Currency;
use Telamon\Files\FileAnswer;
use Telamon\Http\JsonBody;
use Telamon\Http\PublicLimits;

/** A quote for the client, by its signed link. Nobody needs an account. */
#[Route('/api/public/quotes/{token}', requirements: ['token' => '[0-9a-f.-]{50,200}'])]
final readonly class PublicQuoteController
{
    public function __construct(
        private WithQuote $with,
        private FileAnswer $file,
        private QuoteLinks $links,
        private QuoteView $view,
        private QuoteAnswers $answers,
        private SignedPapers $papers,
        private PublicFace $face,
        private PublicLimits $limits,
        private OfficeLooks $office,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function show(string $token): Response
    {
        return $this->answer($this->links->quote($token));
    }

    /** Only a page that was really shown says so: what fetches addresses to look behind them runs no script. */
    #[Route('/opened', methods: ['POST'])]
    public function opened(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $quote = $this->links->quote($token);
        if (!$this->office->is()) {
            $this->answers->opened($quote);
        }

        return new Response(status: 204);
    }

    #[Route('/total', methods: ['POST'])]
    public function total(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $quote = $this->links->quote($token);

        $content = $this->answers->with($quote, self::ticked(JsonBody::read($request)));

        return new JsonResponse(QuoteView::sums($content, $content->totals(Currency::of($quote->currency), $quote->gross), $quote->currency));
    }

    #[Route('/question', methods: ['POST'])]
    public function ask(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $this->office->refuse();
        $quote = $this->links->quote($token);
        $this->answers->ask($quote, JsonBody::text(JsonBody::read($request), 'words', 2000));

        return $this->answer($quote);
    }

    #[Route('/decline', methods: ['POST'])]
    public function decline(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $this->office->refuse();
        $quote = $this->links->quote($token);
        $this->answers->decline($quote, JsonBody::text(JsonBody::read($request), 'reason', 500));

        return $this->answer($quote);
    }

    #[Route('/accept', methods: ['POST'])]
    public function accept(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $this->office->refuse();
        $quote = $this->links->quote($token);
        $body = JsonBody::read($request);
        $this->answers->accept(
            $quote,
            self::ticked($body),
            JsonBody::text($body, 'total', 30),
            JsonBody::text($body, 'name', 200),
            JsonBody::text($body, 'drawing', 200_000),
            new Reached($request->getClientIp() ?? '', $request->headers->get('User-Agent') ?? ''),
        );

        return $this->answer($quote);
    }

    #[Route('/quote.pdf', methods: ['GET'])]
    public function pdf(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $quote = $this->links->quote($token);

        return new Response(
            $this->papers->quote($quote),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$quote->number}.pdf\"", 'Cache-Control' => 'private, no-store'],
        );
    }

    /** The record of what was signed, for anybody who checks it. */
    #[Route('/evidence.json', methods: ['GET'])]
    public function evidence(string $token, Request $request): Response
    {
        $this->limits->booking($request);
        $quote = $this->links->quote($token);

        return EvidenceAnswer::of($this->papers->evidence($quote->id), "{$quote->number}-{$quote->revision}");
    }

    #[Route('/files/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['GET'])]
    public function file(string $token, string $id, Request $request): Response
    {
        $this->limits->booking($request);

        return $this->file->of($this->with->one($this->links->quote($token), $id), $request);
    }

    private function answer(Quote $quote): Response
    {
        return new JsonResponse(
            ['business' => $this->face->show(), 'quote' => $this->view->forClient($quote, $this->office->is())],
            headers: ['Cache-Control' => 'private, no-store'],
        );
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return list<string>
     */
    private static function ticked(array $body): array
    {
        $ticked = $body['ticked'] ?? [];

        return \is_array($ticked) ? array_values(array_unique(array_filter($ticked, \is_string(...)))) : [];
    }
}
