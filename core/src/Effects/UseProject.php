<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Adds to a project that is open. */
final readonly class UseProject implements Essential
{
    public function __construct(
        public string $id,
        public string $notes,
    ) {
    }

    public static function name(): string
    {
        return 'project.use';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        $parts = [Part::words('Add to '), $telling->record('project', $this->id)];
        foreach ($from->each('notes', 'the note') as $i => $note) {
            array_push($parts, Part::words(0 === $i ? ' ' : ' and '), $note);
        }

        return $parts;
    }
}
