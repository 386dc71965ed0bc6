<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/** Says of any file what of it was signed here, and whether it is as it was signed. */
final readonly class Checker
{
    public function __construct(private SigningKey $own)
    {
    }

    public function check(string $bytes): Verdict
    {
        return EvidenceRecord::check($bytes, $this->own) ?? SealedPdf::check($bytes, $this->own) ?? Verdict::nothing();
    }

    /** @return string|null the record that is in the file, or is it */
    public function record(string $bytes): ?string
    {
        return null !== EvidenceRecord::check($bytes, $this->own) ? $bytes : SealedPdf::record($bytes);
    }
}
