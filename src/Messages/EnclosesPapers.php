<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Knows the bytes of files that go with messages. */
#[AutoconfigureTag('telamon.encloses_papers')]
interface EnclosesPapers
{
    /** @return array{name: string, type: string, bytes: string}|null null where the file is not there (any more) */
    public function paper(string $id): ?array;
}
