<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Puts the files of an answer with the records. */
final readonly class AttachFiles implements Effect
{
    public function __construct(
        public string $question,
        public int $count = 1,
        public bool $toProject = true,
    ) {
    }

    public static function name(): string
    {
        return 'files.attach';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [
            Part::words('Put '),
            $from->part('count', 1 === $this->count ? '1 file' : "{$this->count} files"),
            Part::words($this->toProject ? " with the {$telling->assetWord} and the project" : ' with the client'),
        ];
    }
}
