<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Notes on the project what somebody wishes for. */
final readonly class AddWish implements Changeable
{
    /**
     * @param string $kind appointment or quote
     */
    public function __construct(
        public string $kind,
        public string $text,
    ) {
    }

    public static function name(): string
    {
        return 'wish.add';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Wish for '.('quote' === $this->kind ? 'the quote: ' : 'an appointment: ')), $from->part('text', $this->text)];
    }

    public function fields(): array
    {
        return [
            new LineField('text', 'Wish', 'text', $this->text),
        ];
    }

    public function with(array $values): static
    {
        return new self($this->kind, $values['text'] ?? $this->text);
    }
}
