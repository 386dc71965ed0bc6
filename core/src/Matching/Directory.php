<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** The clients on file, as far as matching asks about them. */
interface Directory
{
    /**
     * @param string $key a mail address as EmailReader::key() gives it
     *
     * @return list<KnownClient> the longest on file first
     */
    public function withEmail(string $key): array;
}
