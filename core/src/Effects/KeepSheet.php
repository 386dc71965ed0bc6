<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Keeps the submission as a PDF. */
final readonly class KeepSheet implements Effect
{
    public function __construct(public bool $toProject = true)
    {
    }

    public static function name(): string
    {
        return 'sheet.keep';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Keep the answers as they came with the '.($this->toProject ? 'project' : 'client').', as a PDF')];
    }
}
