<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Files\StoredFile;

/** What was signed, kept exactly, and how: it is written once and never changed. */
#[ORM\Entity]
#[ORM\Table(name: 'signed')]
class Signed
{
    /**
     * The one file of it, drawn once.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'pdf_sha256', referencedColumnName: 'sha256')]
    public ?StoredFile $pdf = null;

    /**
     * @param string $recordId of the quote or agreement
     * @param string $document what was agreed, as JSON: the bytes of which the digest is
     * @param string $sha256 of them (FIPS 180-4), hexadecimal
     * @param string $drawing PNG as a data address; empty where the name was typed
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $recordId,
        #[ORM\Column(type: 'text')]
        public readonly string $document,
        #[ORM\Column(length: 64)]
        public readonly string $sha256,
        #[ORM\Column(length: 200)]
        public readonly string $name,
        #[ORM\Column(type: 'text')]
        public readonly string $drawing,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
        #[ORM\Column(length: 45)]
        public readonly string $address,
        #[ORM\Column(length: 300)]
        public readonly string $agent,
        /** The record that anybody can check, byte for byte as it goes out; empty where it was signed before there were any. */
        #[ORM\Column(type: 'text', options: ['default' => ''])]
        public readonly string $evidence = '',
        /** What was agreed for machines, as XML; empty where there is none. */
        #[ORM\Column(type: 'text', options: ['default' => ''])]
        public readonly string $ubl = '',
    ) {
    }
}
