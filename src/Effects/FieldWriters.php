<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Finds who writes the fields of a kind of record. */
final readonly class FieldWriters
{
    /** @param iterable<FieldWriter> $writers */
    public function __construct(#[AutowireIterator('telamon.field_writer')] private iterable $writers)
    {
    }

    public function of(string $record): FieldWriter
    {
        foreach ($this->writers as $writer) {
            if ($writer::record() === $record) {
                return $writer;
            }
        }
        throw new \LogicException("nobody writes fields of $record");
    }
}
