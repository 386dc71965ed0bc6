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
use Telamon\Core\Quotes\Currency;
use Telamon\Database\Ids;
use Telamon\Http\CsvFile;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Quotes: the list, one of them, its sums as it is typed, and sending it. */
#[Route('/api/quotes')]
#[IsGranted(Permission::SeeQuotes->value)]
final readonly class QuoteController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private QuoteList $list,
        private QuoteView $view,
        private QuoteWriting $writing,
        private QuoteSending $sending,
        private QuoteReply $reply,
        private SignedPapers $papers,
        private UblReader $reader,
        private Setups $setups,
        private Templates $templates,
        private Profile $business,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->show(new Edit($request->query->all())));
    }

    #[Route('', methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function draft(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->show($this->writing->draft(self::key($request), new Edit(JsonBody::read($request)), $staff)), 201);
    }

    #[Route('/export', methods: ['GET'], priority: 1)]
    public function export(Request $request): Response
    {
        return CsvFile::download('quotes.csv', $this->list->export(new Edit($request->query->all())));
    }

    #[Route('/total', methods: ['POST'], priority: 1)]
    public function total(Request $request): Response
    {
        $body = JsonBody::read($request);
        $content = $this->writing->content($body['content'] ?? []);
        $currency = $this->business->business()->currency;

        $prices = $this->setups->prices();
        $listed = [];
        foreach ($content->lines as $i => $line) {
            $other = ($prices[$line->code] ?? null)?->otherFor($line);
            if (null !== $other) {
                $listed[] = ['line' => $i, 'price' => $other];
            }
        }

        return new JsonResponse([
            'totals' => QuoteView::sums($content, $content->totals(Currency::of($currency), true === ($body['gross'] ?? $this->setups->setup()->gross)), $currency),
            'missing' => $content->missing(),
            'listed' => $listed,
        ]);
    }

    #[Route('/ubl', methods: ['POST'], priority: 1)]
    #[IsGranted(Permission::Quote->value)]
    public function read(Request $request): Response
    {
        return new JsonResponse($this->reader->read(
            JsonBody::text(JsonBody::read($request), 'xml', 2_000_000),
            $this->setups->setup()->vat(),
            $this->business->business()->currency,
        ));
    }

    #[Route('/templates', methods: ['GET'], priority: 1)]
    public function templates(): Response
    {
        return new JsonResponse($this->templates->show());
    }

    #[Route('/templates/{id}', requirements: ['id' => self::ID], methods: ['DELETE'], priority: 1)]
    #[IsGranted(Permission::Quote->value)]
    public function forget(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->templates->remove($id, $staff);

        return $this->templates();
    }

    #[Route('/{id}/template', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function template(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->templates->keep($this->quote($id), new Edit(JsonBody::read($request)), $staff);

        return $this->templates();
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->show($this->quote($id)));
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    #[IsGranted(Permission::Quote->value)]
    public function edit(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->done($id, fn (Quote $quote) => $this->writing->edit($quote, new Edit(JsonBody::read($request)), $staff));
    }

    #[Route('/{id}/send', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function send(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->done($id, fn (Quote $quote) => $this->sending->send($quote, new Edit(JsonBody::read($request)), $staff));
    }

    #[Route('/{id}/reply', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function reply(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->done($id, fn (Quote $quote) => $this->reply->reply($quote, new Edit(JsonBody::read($request)), $staff));
    }

    #[Route('/{id}/withdraw', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function withdraw(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->done($id, fn (Quote $quote) => $this->sending->withdraw($quote, new Edit(JsonBody::read($request)), $staff));
    }

    #[Route('/{id}/revise', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Quote->value)]
    public function revise(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->show($this->writing->revise($this->quote($id), self::key($request), $staff)), 201);
    }

    #[Route('/{id}/compare/{other}', requirements: ['id' => self::ID, 'other' => self::ID], methods: ['GET'])]
    public function compare(string $id, string $other): Response
    {
        return new JsonResponse(['differences' => $this->view->differences($this->quote($other), $this->quote($id))]);
    }

    #[Route('/{id}/pdf', requirements: ['id' => self::ID], methods: ['GET'])]
    public function pdf(string $id): Response
    {
        $quote = $this->quote($id);

        return new Response(
            $this->papers->quote($quote),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$quote->number}-{$quote->revision}.pdf\"", 'Cache-Control' => 'private, no-store'],
        );
    }

    #[Route('/{id}/evidence', requirements: ['id' => self::ID], methods: ['GET'])]
    public function evidence(string $id): Response
    {
        $quote = $this->quote($id);

        return EvidenceAnswer::of($this->papers->evidence($quote->id), "{$quote->number}-{$quote->revision}");
    }

    #[Route('/{id}/ubl', requirements: ['id' => self::ID], methods: ['GET'])]
    public function ubl(string $id): Response
    {
        $quote = $this->quote($id);

        return new Response(
            $this->papers->ubl($quote),
            200,
            ['Content-Type' => 'application/xml; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$quote->number}-{$quote->revision}.xml\""],
        );
    }

    /** @param \Closure(Quote): mixed $do */
    private function done(string $id, \Closure $do): Response
    {
        $quote = $this->quote($id);
        $do($quote);

        return new JsonResponse($this->view->show($quote));
    }

    private function quote(string $id): Quote
    {
        return $this->em->find(Quote::class, $id) ?? throw Problem::notFound('quote');
    }

    private static function key(Request $request): string
    {
        $key = IdempotencyKey::of($request);

        return null === $key ? Ids::next() : Ids::named('quote', $key);
    }
}
