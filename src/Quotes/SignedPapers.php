<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Evidence\SealedPdf;
use Telamon\Core\Evidence\SigningKey;
use Telamon\Files\FileStore;
use Telamon\Files\StoredFile;

/** Papers of quotes and agreements: of what is signed the one file that there is, byte for byte; of the rest as it stands. */
final readonly class SignedPapers
{
    public const RECORD = 'application/json';

    public function __construct(
        private EntityManagerInterface $em,
        private FileStore $store,
        private QuotePdf $pdf,
        private UblQuotation $ubl,
        private Parties $parties,
        private SigningKey $key,
    ) {
    }

    /** @return string the bytes of the PDF file */
    public function quote(Quote $quote): string
    {
        $signed = $this->em->find(Signed::class, $quote->id);

        return null === $signed ? $this->pdf->of(QuoteFacts::of($quote, $this->parties)) : $this->store->bytes($this->file($signed, $quote));
    }

    /** @return string the bytes of the PDF file */
    public function agreement(Agreement $agreement): string
    {
        $signed = $this->em->find(Signed::class, $agreement->id);

        return null === $signed ? $this->pdf->ofAgreement(AgreementFacts::of($agreement, $this->parties)) : $this->store->bytes($this->file($signed, $agreement));
    }

    public function ubl(Quote $quote): string
    {
        $signed = $this->em->find(Signed::class, $quote->id);

        return null === $signed || '' === $signed->ubl ? $this->ubl->of(QuoteFacts::of($quote, $this->parties)) : $signed->ubl;
    }

    /** @return string the bytes of the record that anybody can check; empty where nothing is signed, or it was before there were any */
    public function evidence(string $record): string
    {
        return $this->em->find(Signed::class, $record)->evidence ?? '';
    }

    /** The one file of what was signed: drawn once, however many ask for it at a time, and before anything is locked. */
    public function file(Signed $signed, Quote|Agreement $of): StoredFile
    {
        if (null === $signed->pdf) {
            $drawn = $this->store->keepMade($this->draw($signed, $of), 'application/pdf');
            $db = $this->em->getConnection();
            // Whoever is first decides; the drawing of all others is let go of.
            $db->transactional(static fn () => $db->executeStatement(
                'UPDATE signed SET pdf_sha256 = ? WHERE record_id = ? AND pdf_sha256 IS NULL',
                [$drawn->sha256, $signed->recordId],
            ));
            $this->em->refresh($signed);
        }

        return $signed->pdf ?? throw new \LogicException('it was just drawn');
    }

    private function draw(Signed $signed, Quote|Agreement $of): string
    {
        // Signed before there were records: as it stands when it is first asked for, and from then on so.
        $document = '' === $signed->evidence ? [] : (array) json_decode($signed->document, true);
        $page = new EvidencePage($signed, [] === $document ? null : $document);
        $pdf = $of instanceof Agreement
            ? $this->pdf->ofAgreement([] === $document ? AgreementFacts::of($of, $this->parties) : AgreementFacts::read($document), $page)
            : $this->pdf->of([] === $document ? QuoteFacts::of($of, $this->parties) : QuoteFacts::read($document), $page);

        return '' === $signed->evidence ? $pdf : SealedPdf::close($pdf, $this->key);
    }
}
