<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\HttpFoundation\Response;
use Telamon\Refusal\NotThere;

/** Sends the record of what was signed, as a file. */
final class EvidenceAnswer
{
    /**
     * @param string $evidence empty where there is none
     * @param string $name of the file, without its ending
     *
     * @throws NotThere
     */
    public static function of(string $evidence, string $name): Response
    {
        return '' === $evidence
            ? throw new NotThere('record of a signature')
            : new Response(
                $evidence,
                200,
                ['Content-Type' => SignedPapers::RECORD, 'Content-Disposition' => "attachment; filename=\"$name-evidence.json\"", 'Cache-Control' => 'private, no-store'],
            );
    }
}
