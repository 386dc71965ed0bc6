<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Writes a notice for staff, in a room of the board. */
final readonly class PostNotice implements Changeable
{
    /** What the names of rooms are kept under beside those of templates. */
    public const NAMED = 'room:';

    /** @param string $by who or what writes it, in words */
    public function __construct(public string $room, public string $words, public string $by)
    {
    }

    public static function name(): string
    {
        return 'notice.post';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words("Tell the room {$telling->template(self::NAMED.$this->room)}: “"), $from->part('words', $this->words), Part::words('”')];
    }

    public function fields(): array
    {
        return [new LineField('words', 'Notice', 'text', $this->words)];
    }

    public function with(array $values): static
    {
        return new self($this->room, $values['words'] ?? $this->words, $this->by);
    }
}
