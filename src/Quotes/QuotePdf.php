<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Clients\ContactKind;
use Telamon\Submissions\PdfMaker;

/** A quote as a PDF file; once it is signed, with the page that tells how. */
final readonly class QuotePdf
{
    public function __construct(private PdfMaker $pdf, private Evidence $evidence, private QuoteMails $mails)
    {
    }

    /** @return string the bytes of the file */
    public function of(Quote $quote): string
    {
        $sheet = new QuoteSheet($quote);
        $content = $quote->content();
        $day = static fn (?\DateTimeImmutable $day): string => $day?->format('j F Y') ?? '';

        return $this->pdf->make('quote.html.twig', [
            'business' => $this->evidence->head(),
            'accent' => $this->evidence->accent(),
            'currency' => $quote->currency,
            'quote' => [
                'number' => $quote->shown(), 'client' => $quote->client->name(), 'clientAddress' => $quote->client->address, 'issued' => '' === $day($quote->issuedOn) ? 'draft' : $day($quote->issuedOn), 'validUntil' => $day($quote->validUntil), 'readyBy' => $day($quote->project?->readyBy),
                'title' => null === $quote->asset ? ('Quote'.(null === $quote->project ? '' : ", {$quote->project->title}")) : "Quote for your {$quote->asset->description}", 'gross' => $quote->gross, 'intro' => $content->intro, 'terms' => $content->terms, 'reason' => $content->reason,
            ],
            'lines' => $sheet->lines(), 'sums' => $sheet->sums(), 'payments' => $sheet->payments(),
            'signed' => $this->evidence->of($quote->id, $this->mails->address($quote), 1 === $quote->openedTimes ? 'once' : "{$quote->openedTimes} times", Money::shown($quote->total, $quote->currency)),
        ], "{$this->evidence->head()['name']}, {$quote->shown()}");
    }

    /** @return string the bytes of the file */
    public function ofAgreement(Agreement $agreement): string
    {
        return $this->pdf->make('agreement.html.twig', [
            'business' => $this->evidence->head(), 'accent' => $this->evidence->accent(),
            'agreement' => ['title' => $agreement->title, 'text' => $agreement->text, 'client' => $agreement->client->name(), 'project' => $agreement->project->recordLabel(), 'sent' => $agreement->sentAt->format('j F Y')],
            'signed' => $this->evidence->of($agreement->id, $agreement->client->first(ContactKind::Email) ?? ''),
        ], "{$this->evidence->head()['name']}, {$agreement->project->number}");
    }
}
