<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Telamon\Core\Importing\ImportedClient;

/** What will become of one client out of a file. */
final readonly class ImportRow
{
    /**
     * @param 'new'|'matched'|'doubtful'|'wrong' $verdict
     * @param string $why in words
     * @param string $clientId whom it matches, or may match
     */
    public function __construct(public ImportedClient $client, public string $verdict, public string $why, public string $clientId = '')
    {
    }
}
