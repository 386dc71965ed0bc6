<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Submissions\PdfMaker;

/** A quote as a PDF file; once it is signed, with the page that tells how. */
final readonly class QuotePdf
{
    public function __construct(private PdfMaker $pdf, private EntityManagerInterface $em, private Profile $business, private QuoteMails $mails)
    {
    }

    /** @return string the bytes of the file */
    public function of(Quote $quote): string
    {
        $business = $this->business->business();
        $sheet = new QuoteSheet($quote);
        $content = $quote->content();
        $day = static fn (?\DateTimeImmutable $day): string => $day?->format('j F Y') ?? '';
        $signed = $this->em->find(Signed::class, $quote->id);

        return $this->pdf->make('quote.html.twig', [
            'business' => ['name' => $business->name, 'address' => $business->address, 'phone' => $this->business->phoneReader()->format($business->phone), 'vatNumber' => $business->vatNumber],
            'accent' => '' === $business->accent ? '#21262B' : $business->accent,
            'currency' => $quote->currency,
            'quote' => [
                'number' => $quote->shown(), 'client' => $quote->client->name(), 'clientAddress' => $quote->client->address, 'issued' => '' === $day($quote->issuedOn) ? 'draft' : $day($quote->issuedOn), 'validUntil' => $day($quote->validUntil), 'readyBy' => $day($quote->project?->readyBy),
                'title' => null === $quote->asset ? ('Quote'.(null === $quote->project ? '' : ", {$quote->project->title}")) : "Quote for your {$quote->asset->description}", 'gross' => $quote->gross, 'intro' => $content->intro, 'terms' => $content->terms, 'reason' => $content->reason,
            ],
            'lines' => $sheet->lines(), 'sums' => $sheet->sums(), 'payments' => $sheet->payments(),
            'signed' => null === $signed ? null : [
                'name' => $signed->name, 'drawing' => $signed->drawing, 'at' => $signed->at->setTimezone($this->business->zone())->format('l j F Y, H:i:s T').' ('.$signed->at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z').')',
                'address' => $signed->address, 'agent' => $signed->agent, 'email' => $this->mails->address($quote), 'opened' => 1 === $quote->openedTimes ? 'once' : "{$quote->openedTimes} times", 'total' => Money::shown($quote->total, $quote->currency), 'digest' => str_split($signed->sha256, 16),
            ],
        ], "{$business->name}, {$quote->shown()}");
    }
}
