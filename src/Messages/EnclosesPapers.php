<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Knows the bytes of what goes with messages: files on record, and what is made when a message is sent. */
#[AutoconfigureTag('telamon.encloses_papers')]
interface EnclosesPapers
{
    /** @return array<string, string> what it makes at sending: words by name; empty for files, which are known by id */
    public function makes(): array;

    /** @return string|null what somebody calls it; null where it is not of this kind, or not there (any more) */
    public function called(string $paper): ?string;

    /** Whether it may go with a message to anybody: made for its reader, or with nobody's record. */
    public function isForAnybody(string $paper): bool;

    /** @return array{name: string, type: string, bytes: string}|null null where it is not of this kind, or nothing of it is there for this message */
    public function paper(string $paper, Message $message): ?array;
}
