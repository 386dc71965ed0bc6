<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A record whose history is kept. The listener writes every change of its columns into the journal. */
interface Journaled
{
    /** The kind of record, as RecordRef in the contract names it. */
    public function recordKind(): string;

    /** How the record is called in a sentence. */
    public function recordLabel(): string;

    /**
     * The address in the interface of where such a record is shown, itself or as part of another.
     *
     * @param string|null $client id of the client that it is told under
     * @param string|null $project id of the project that it is told under
     *
     * @return string|null null for nowhere
     */
    public static function pathOf(string $id, ?string $client, ?string $project): ?string;

    /** Whether such a record, where it belongs to no project, is read by whoever works for its client. */
    public static function isReadWithClient(): bool;

    /**
     * The client and project under which the change is told as well.
     *
     * @return array{client: string|null, project: string|null} ids
     */
    public function recordContext(): array;
}
