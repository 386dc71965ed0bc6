<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Business\Profile;
use Telamon\Submissions\PdfMaker;

/** A quote or an agreement as a PDF file; once it is signed, with the page that tells how, and the record of it inside. */
final readonly class QuotePdf
{
    public const RECORD = 'evidence.json';

    public function __construct(private PdfMaker $pdf, private Profile $business)
    {
    }

    /** @return string the bytes of the file */
    public function of(QuoteFacts $quote, ?EvidencePage $signed = null): string
    {
        $sheet = new QuoteSheet($quote->content, $quote->totals, $quote->currency);
        $content = $quote->content;

        return $this->pdf->make('quote.html.twig', [
            'business' => $quote->business->toArray(), 'accent' => $quote->accent, 'currency' => $quote->currency,
            'quote' => [
                'number' => $quote->shown(), 'client' => $quote->client->name, 'clientAddress' => $quote->client->address, 'issued' => '' === $quote->issued
                    ? 'draft'
                    : self::day($quote->issued), 'validUntil' => self::day($quote->validUntil), 'readyBy' => self::day($quote->readyBy),
                'title' => $quote->title, 'gross' => $quote->gross, 'intro' => $content->intro, 'terms' => $content->terms, 'reason' => $content->reason,
            ],
            'lines' => $sheet->lines(), 'sums' => $sheet->sums(), 'payments' => $sheet->payments(),
            'signed' => $signed?->toArray($this->business->zone(), Money::shown((string) $quote->totals->total, $quote->currency)),
        ], "{$quote->business->name}, {$quote->shown()}", self::files($signed));
    }

    /** @return string the bytes of the file */
    public function ofAgreement(AgreementFacts $agreement, ?EvidencePage $signed = null): string
    {
        return $this->pdf->make('agreement.html.twig', [
            'business' => $agreement->business->toArray(), 'accent' => $agreement->accent,
            'agreement' => [
                'title' => $agreement->title,
                'text' => $agreement->text,
                'client' => $agreement->client->name,
                'project' => $agreement->project,
                'sent' => self::day($agreement->sent),
            ],
            'signed' => $signed?->toArray($this->business->zone()),
        ], "{$agreement->business->name}, {$agreement->number}", self::files($signed));
    }

    /** @return array<string, string> bytes by name */
    private static function files(?EvidencePage $signed): array
    {
        $record = $signed?->record() ?? '';

        return '' === $record ? [] : [self::RECORD => $record];
    }

    private static function day(string $iso): string
    {
        return '' === $iso ? '' : (new \DateTimeImmutable($iso, new \DateTimeZone('UTC')))->format('j F Y');
    }
}
