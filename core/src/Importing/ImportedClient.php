<?php

declare(strict_types=1);

namespace Telamon\Core\Importing;

/** One client out of a file, checked. */
final readonly class ImportedClient
{
    /**
     * @param int $line of the file, from 1
     * @param list<string> $emails
     * @param list<string> $phones E.164
     * @param list<string> $faults why it cannot come in, in words; empty where it can
     * @param list<string> $left what cannot be read and goes to the notes, in words
     */
    public function __construct(
        public int $line,
        public string $externalId,
        public string $given,
        public string $family,
        public string $organisation,
        public array $emails,
        public array $phones,
        public string $address,
        public string $notes,
        public array $faults,
        public array $left,
    ) {
    }

    public function name(): string
    {
        $name = trim("{$this->given} {$this->family}");

        return '' === $name ? $this->organisation : $name;
    }
}
